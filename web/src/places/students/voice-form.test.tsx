import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { refusal } from '../../testing/fake-api.ts';
import { session, STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

const SAVE = `PUT /api/students/${STUDENT}`;
type Body = Schemas['ChangedStudentDto'];

async function openForm(file: Partial<Schemas['VoiceFile']> = {}, answers = {}): Promise<OpenedPage> {
  const page = openPage(`/students/${STUDENT}`, {
    [`GET /api/students/${STUDENT}/today`]: studentToday({ student: student({ voice: voice(file) }) }),
    [SAVE]: (body: unknown) => student(body as Body),
    ...answers,
  });
  await page.user.click(await screen.findByRole('button', { name: 'Change the file' }));
  return page;
}

async function save({ user, sent }: OpenedPage): Promise<Body> {
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await screen.findByRole('button', { name: 'Change the file' });
  return sent.at(-1)?.body as Body;
}

const groupOf = (legend: string): HTMLElement => screen.getByRole('group', { name: legend });

test('a file that is opened and saved comes back as it was', async () => {
  const whole = {
    speakingNote: 57,
    hardFloor: 55,
    hardCeiling: 81,
    beltCeiling: 70,
    margin: 2,
    gritAllowed: true,
    wanted: 'a lighter top',
    piece: 'Lantern song',
    otherStyles: ['folk'],
    cautions: ['asthma'],
    obstacles: ['no-straw'],
    clearedOn: '2026-10-01',
    holdsOnSince: '2026-10-02',
    consentOn: '2026-10-03',
    beltEaseOn: '2026-10-04',
    gaps: [{ low: 60, high: 61 }],
    avoid: [
      { low: 64, high: 66, kind: 'not-held', seconds: 1.5 },
      { low: 70, high: 71, kind: 'not-loud' },
    ],
    bridges: [{ low: 64, high: 65, date: '2026-11-03' }],
    approach: { chin: 'level' },
    rules: { 'opening.sungSteps': 3 },
  } satisfies Partial<Schemas['VoiceFile']>;
  const page = await openForm(whole);
  expect((await save(page)).voice).toEqual(voice(whole));
});

test('a margin that was never set stays with the rules, and the field says what they are', async () => {
  const page = await openForm({}, { 'GET /api/session': session({ rules: { 'margin.usual': 2 } }) });
  expect(screen.getByLabelText('Margin')).toHaveAttribute('placeholder', '2, by the rules');
  expect((await save(page)).voice).not.toHaveProperty('margin');
});

test('a note, a note in another spelling, a number and words are typed and sent', async () => {
  const page = await openForm();
  for (const [label, typed] of [
    ['Speaking note', 'A3'],
    ['Hard ceiling', 'd#5'],
    ['Age, if it matters', '35'],
    ['Missing and wanted', '  more edge '],
  ] as const)
    await fill(page, screen.getByLabelText(label), typed);
  expect((await save(page)).voice).toMatchObject({ speakingNote: 57, hardCeiling: 75, age: 35, wanted: 'more edge' });
});

test('what is no note is said, and nothing is sent until it is one', async () => {
  const page = await openForm();
  const field = screen.getByLabelText('Belt ceiling');
  await fill(page, field, 'H9');
  await page.user.tab();
  expect(screen.getAllByText(/Not a note: write a letter and an octave/)[0]).toBeVisible();
  expect(screen.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.user.clear(field);
  expect((await save(page)).voice).not.toHaveProperty('beltCeiling');
});

test('zones are added, filled and removed; half a row is left out', async () => {
  const page = await openForm({ avoid: [{ low: 70, high: 71, kind: 'not-loud' }] });
  const { user } = page;
  const zones = groupOf('Zones');
  await user.click(within(zones).getByRole('button', { name: 'Remove' }));
  await user.click(within(zones).getByRole('button', { name: 'Add a zone' }));
  await fill(page, within(zones).getByLabelText('from'), 'E4');
  await fill(page, within(zones).getByLabelText('to'), 'F4');
  await user.click(within(zones).getByRole('button', { name: 'Add a zone' }));
  const second = within(zones).getAllByLabelText('from')[1];
  if (second) await fill(page, second, 'C5');
  expect((await save(page)).voice.avoid).toEqual([{ low: 64, high: 65, kind: 'never-sounded' }]);
});

test('goals are one a line, and empty lines are none', async () => {
  const page = await openForm();
  const field = screen.getByLabelText('Wanted, one a line');
  await fill(page, field, 'bridge\n\n light-top ');
  expect((await save(page)).voice.goals).toEqual(['bridge', 'light-top']);
});

test('cautions and what is in the way are ticked off and on', async () => {
  const page = await openForm({ cautions: ['asthma'], obstacles: [] });
  await page.user.click(screen.getByLabelText('asthma'));
  await page.user.click(screen.getByLabelText('neck and shoulders'));
  await page.user.click(within(groupOf('In the way')).getAllByRole('checkbox')[0] as HTMLElement);
  const { voice: sent } = await save(page);
  expect([sent.cautions, sent.obstacles]).toEqual([['neck-and-shoulder'], ['cannot-trill']]);
});

test('a changing voice has its stage; for any other the field is not there', async () => {
  await openForm();
  expect(screen.queryByLabelText('Stage of change')).toBeNull();
});

test('a changing voice is asked for its stage', async () => {
  const page = await openForm({ type: 'changing', changingStage: 'third', age: 13 });
  expect(screen.getByRole('combobox', { name: 'Stage of change' })).toHaveValue('third, least steady');
  expect((await save(page)).voice.changingStage).toBe('third');
});

test('cancelling sends nothing', async () => {
  const page = await openForm();
  await fill(page, screen.getByLabelText('Your note'), 'late again');
  await page.user.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(await screen.findByRole('button', { name: 'Change the file' })).toBeVisible();
  expect(page.sent).toEqual([]);
});

test('a file that another window changed is kept here, and both ways on are offered', async () => {
  const theirs = student({ version: 9, note: 'theirs' });
  const page = await openForm({}, { [SAVE]: refusal(409, 'STALE_WRITE', 'Changed.', { current: theirs }) });
  const { user, sent, answer } = page;
  await fill(page, screen.getByLabelText('Your note'), 'mine');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  const alert = await screen.findByRole('alert');
  expect(within(alert).getByText(/Your edit is kept below/)).toBeVisible();
  expect(screen.getByLabelText('Your note')).toHaveValue('mine');
  const mine = student({ version: 10, note: 'mine' });
  answer({ [SAVE]: mine, [`GET /api/students/${STUDENT}/today`]: studentToday({ student: mine }) });
  await user.click(within(alert).getByRole('button', { name: 'Save mine over it' }));
  expect(await screen.findByText('mine')).toBeVisible();
  expect(sent.map(({ body }) => (body as Body).version)).toEqual([3, 9]);
});

test('taking what another window saved leaves it as it is there', async () => {
  const theirs = student({ version: 9, note: 'theirs' });
  const { user, sent } = await openForm({}, { [SAVE]: refusal(409, 'STALE_WRITE', 'Changed.', { current: theirs }) });
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await user.click(await screen.findByRole('button', { name: 'Take what is there' }));
  expect(await screen.findByText('theirs')).toBeVisible();
  expect(sent).toHaveLength(1);
});

test('a refusal says what is wrong, by field', async () => {
  const { user } = await openForm(
    {},
    {
      [SAVE]: refusal(422, 'INVALID', 'as in the log', {
        values: { context: 'field', field: 'voice.age', fault: { code: 'fault.too-high', values: { most: 120 } } },
      }),
    },
  );
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText(/^voice.age: is over 120/)).toBeVisible();
});

test.each([
  ['saved on the way', 'Save and go on', '/students', [SAVE]],
  ['left unsaved', 'Leave it unsaved', '/students', []],
  ['kept as typed', 'Stay here', `/students/${STUDENT}`, []],
])('a file that was changed is not lost by going elsewhere: %s', async (_, answer, place, asked) => {
  const page = await openForm();
  await fill(page, screen.getByLabelText(/^Name/), 'Maud the younger');
  await page.user.click(screen.getByRole('link', { name: 'Students' }));
  const dialog = await screen.findByRole('dialog', { name: 'The voice file is not saved' });
  await page.user.click(within(dialog).getByRole('button', { name: answer }));
  await waitFor(() => {
    expect([page.path(), page.sent.map(({ what }) => what)]).toEqual([place, asked]);
  });
});

test.each<[string, Partial<Schemas['VoiceFile']>, readonly boolean[]]>([
  ['a grown-up', { age: 34 }, [true, true, false, false]],
  ['one of sixteen', { age: 16 }, [true, true, true, true]],
  ['a child', { type: 'treble', age: 9 }, [false, false, true, false]],
  [
    'a child with a belt ceiling on file all the same',
    { type: 'treble', age: 9, beltCeiling: 66 },
    [true, false, true, false],
  ],
])('%s is asked only what can apply', async (_, file, shown) => {
  await openForm(file);
  const fields = ['Belt ceiling', 'pregnancy', 'Guardian’s consent to keep recordings, since', /^Light grit/];
  expect(fields.map((label) => screen.queryByLabelText(label) !== null)).toEqual(shown);
});
