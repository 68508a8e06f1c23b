import { routineFileOf, shippedExercises } from '@soft-lark/core';
import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import {
  LONG_NAME,
  OTHER_STUDENT,
  ROUTINE,
  RUN,
  routine,
  runSummary,
  step,
  STUDENT,
  student,
  studentToday,
  voice,
} from '../../testing/samples.ts';
import { Answer, refusal } from '../../testing/fake-api.ts';

const fileField = (): HTMLInputElement => document.querySelector('input[type=file]') as HTMLInputElement;
const sentTo = (sent: OpenedPage['sent'], to: string): readonly unknown[] =>
  sent.filter(({ what }) => what === to).map(({ body }) => body);
const TODAY = `GET /api/students/${STUDENT}/today`;

function open(change: Partial<Schemas['StudentTodayDto']> = {}, tab = '', answers = {}): OpenedPage {
  return openPage(`/students/${STUDENT}${tab}`, { [TODAY]: studentToday(change), ...answers });
}

test('a student is shown with voice type, age and every style', async () => {
  open({ student: student({ name: LONG_NAME, voice: voice({ otherStyles: ['folk'] }) }) });
  expect(await screen.findByRole('heading', { name: LONG_NAME })).toBeVisible();
  expect(screen.getByText('mezzo · 34 · theatre · folk')).toBeVisible();
});

test('a student who is not there is said, with a way to try again', async () => {
  openPage(`/students/${OTHER_STUDENT}`);
  expect(await screen.findByText(/There is no such thing in this studio/)).toBeVisible();
});

test.each<[string, Partial<Schemas['VoiceFile']>, string, RegExp]>([
  ['belt as it usually is', {}, 'Belt ceiling', /default/],
  ['belt set by hand', { beltCeiling: 70 }, 'Belt ceiling', /^B♭4/],
  ['no belt for a child', { type: 'treble', age: 9 }, 'Belt ceiling', /no belt/],
  ['a margin of none', { margin: 0 }, 'Margin', /^none$/],
  ['the usual margin', {}, 'Margin', /^one semitone default$/],
  ['reach', {}, 'Reach', /^G3 – G5$/],
  ['a speaking note', { speakingNote: 57 }, 'Speaking note', /^A3$/],
  ['bridges', {}, 'Bridges', /^E4–F4$/],
  ['no zones', {}, 'Zones', /^none$/],
  ['a zone with its kind', { avoid: [{ low: 64, high: 66, kind: 'not-loud' }] }, 'Zones', /^E4–F♯4 not loud$/],
  ['missing notes', { gaps: [{ low: 60, high: 61 }] }, 'Missing notes', /^C4–D♭4$/],
  ['cautions', { cautions: ['asthma', 'jaw'] }, 'Cautions on file', /asthma.*jaw: disorder/],
  ['what is in the way', { obstacles: ['no-straw'] }, 'In the way', /straw/],
  ['the piece in hand', { piece: 'Lantern song' }, 'The piece in hand', /^Lantern song$/],
  ['what is wanted', { wanted: 'a lighter top' }, 'Missing and wanted', /^a lighter top$/],
])('the file says: %s', async (_, change, name, value) => {
  open({ student: student({ voice: voice(change) }) });
  const file = await screen.findByRole('complementary');
  const fact = within(file).getByText(name, { selector: 'dt, dt *' }).closest('dt')?.nextElementSibling;
  expect(fact?.textContent.trim()).toMatch(value);
});

test('a piece whose tune the studio has says where it lies and in which key it sits best', async () => {
  const tune = { name: 'Lantern song', tempo: 60, mode: 'major', beatsPerBar: 4, pickupBeats: 0 };
  const events = [{ midi: 74, beats: 4 }, { midi: 79, beats: 6 }, { beats: 2 }, { midi: 79, beats: 1 }];
  openPage(`/students/${STUDENT}`, {
    [`GET /api/students/${STUDENT}/today`]: studentToday({
      student: student({ voice: voice({ piece: 'lantern song' }) }),
    }),
    'GET /api/songs': [{ id: RUN, version: 1, ...tune, events }],
  });
  const words = 'D5 – G5, mostly D5–G5; longest phrase 10 s.';
  expect(await screen.findByText(new RegExp(words))).toHaveTextContent(
    /Sits best 1[0-2] semitones lower: 7 s outside the easy range become 0 s\./,
  );
});

test.each<[string, Partial<Schemas['StudentTodayDto']>, RegExp]>([
  [
    'a lock',
    { lock: { id: RUN, level: 'see-someone', since: '2026-11-20', liftedAt: null, liftedBy: null, reason: null } },
    /To be seen, since .*20.*: gentle work only/,
  ],
  ['a change of voice', { changeSince: '2026-11-10' }, /A change of voice is likely/],
  ['a check that is due', { checkDueInDays: -3 }, /was due 3 days ago/],
  ['holds that are off', { holdsOff: true }, /Breath holds are off/],
])('what wants attention: %s', async (_, change, words) => {
  open(change);
  await waitFor(() => {
    expect(screen.getAllByRole('status').map(({ textContent }) => textContent)).toContainEqual(
      expect.stringMatching(words),
    );
  });
});

test('today’s condition is sent at once, and fresh stands alone', async () => {
  const { user, sent } = open({ conditions: ['tired'] });
  const conditions = await screen.findByRole('group', { name: 'How is the voice today?' });
  await user.click(within(conditions).getByRole('button', { name: 'Fresh' }));
  expect(sent).toEqual([
    { what: `PUT /api/students/${STUDENT}/condition`, body: { day: '2026-11-25', conditions: ['fresh'] } },
  ]);
  expect(within(conditions).getByRole('button', { name: 'Fresh' })).toHaveAttribute('aria-pressed', 'true');
  expect(within(conditions).getByRole('button', { name: 'Tired' })).toHaveAttribute('aria-pressed', 'false');
});

test('a lesson is added with day, time and minutes, and taken away again', async () => {
  const lesson = { id: RUN, studentId: STUDENT, weekday: 2, startsAt: '16:30', minutes: 45 };
  const { user, sent } = open({}, '', {
    'GET /api/lessons': [lesson, { ...lesson, id: ROUTINE, studentId: OTHER_STUDENT, weekday: 6 }],
    'POST /api/lessons': lesson,
    [`DELETE /api/lessons/${RUN}`]: new Answer(204, undefined),
  });
  expect(await screen.findByText(/Tuesday, 16:30, 45 min/)).toBeVisible();
  expect(screen.queryByText(/Saturday, /)).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Add a lesson' }));
  await user.click(screen.getByRole('button', { name: 'Remove Tuesday, 16:30' }));
  expect(sent).toEqual([
    {
      what: 'POST /api/lessons',
      body: { id: expect.any(String) as string, studentId: STUDENT, weekday: 1, startsAt: '15:00', minutes: 30 },
    },
    { what: `DELETE /api/lessons/${RUN}`, body: undefined },
  ]);
});

test('a lesson that is taken away comes back as it was, and one that meets another says whom', async () => {
  const other = { id: ROUTINE, studentId: RUN, weekday: 1, startsAt: '14:45', minutes: 30 };
  const lesson = { id: RUN, studentId: STUDENT, weekday: 2, startsAt: '16:30', minutes: 45 };
  const { user, sent } = open({}, '', {
    'GET /api/lessons': [lesson, other],
    'GET /api/students': [student(), student({ id: RUN, name: 'Corwin Dace' })],
    [`DELETE /api/lessons/${RUN}`]: new Answer(204, undefined),
    'POST /api/lessons': lesson,
  });
  expect(await screen.findByText('Overlaps with Corwin Dace, 14:45.')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Remove Tuesday, 16:30' }));
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(sent).toEqual([
    { what: `DELETE /api/lessons/${RUN}`, body: undefined },
    { what: 'POST /api/lessons', body: lesson },
  ]);
});

test('a new routine is made empty and opened on the bench', async () => {
  const { user, sent, path } = open({}, '', { 'POST /api/routines': routine({ steps: [] }) });
  await user.click(await screen.findByRole('button', { name: 'More' }));
  await user.click(await screen.findByRole('menuitem', { name: 'New routine' }));
  expect(sent[0]?.body).toMatchObject({ studentId: STUDENT, minutes: 10, steps: [] });
  expect(await screen.findByText(/An empty bench/)).toBeVisible();
  expect(path()).toBe(`/routines/${ROUTINE}`);
});

test.each<[string, string, RegExp]>([
  ['cut off', '{"kind": "soft-lark-rou', /The file is not whole JSON/],
  [
    'with an exercise of another studio',
    routineFileOf({ name: 'Low water', kind: 'lesson', minutes: 8, steps: [step('nobody-knows')] }, []),
    /The shelf has no nobody-knows/,
  ],
])('a routine file %s is refused, and nothing is made', async (_, content, said) => {
  const { user, sent } = open();
  await user.click(await screen.findByRole('button', { name: 'More' }));
  await user.click(await screen.findByRole('menuitem', { name: 'Ready-made' }));
  await screen.findByRole('button', { name: 'From a routine file' });
  await user.upload(fileField(), new File([content], 'low-water.json'));
  expect(await screen.findByRole('alert')).toHaveTextContent(said);
  expect(sentTo(sent, 'POST /api/routines')).toHaveLength(0);
});

test('a routine from a file goes to the bench, with the exercise it brings put on the shelf', async () => {
  const [ready] = shippedExercises();
  const own = { ...(ready as NonNullable<typeof ready>), id: 'low-water-hum', name: 'Low water hum' };
  const { user, sent, path } = open({}, '', {
    'POST /api/routines': (body: unknown) => routine(body as object),
    'POST /api/exercises/imports': (body: unknown) => body,
  });
  await user.click(await screen.findByRole('button', { name: 'More' }));
  await user.click(await screen.findByRole('menuitem', { name: 'Ready-made' }));
  await screen.findByRole('button', { name: 'From a routine file' });
  const steps = [step('thirds'), step('low-water-hum')];
  const content = routineFileOf({ name: 'Low water', kind: 'home', minutes: 8, steps }, [own]);
  await user.upload(fileField(), new File([content], 'low-water.json'));
  await waitFor(() => {
    expect(path()).toMatch(/^\/routines\//);
  });
  expect(sentTo(sent, 'POST /api/exercises/imports')).toMatchObject([{ exercises: [{ id: 'low-water-hum' }] }]);
  const [made] = sentTo(sent, 'POST /api/routines') as { steps: { id: string }[] }[];
  expect(made).toMatchObject({ name: 'Low water', kind: 'home', minutes: 8, studentId: STUDENT });
  // Its steps are steps of their own: both routines may be opened side by side.
  expect(made?.steps.map(({ id }) => id)).not.toContain(steps[0]?.id);
});

test('a ready-made routine is filled for this voice before it is made', async () => {
  const { user, sent } = open({}, '', { 'POST /api/routines': routine() });
  await user.click(await screen.findByRole('button', { name: 'More' }));
  await user.click(await screen.findByRole('menuitem', { name: 'Ready-made' }));
  await user.click(await screen.findByRole('button', { name: /^Short/ }));
  const made = sent[0]?.body as Schemas['NewRoutineDto'];
  expect([made.name, made.minutes]).toEqual(['Short', 5]);
  expect(made.steps.length).toBeGreaterThanOrEqual(3);
});

test('routines of a student say their length and their notes', async () => {
  open({ changeSince: '2026-11-10' }, '/routines', {
    'GET /api/routines': [routine({ steps: [step('up-and-down-five', { settings: { start: 60 } })] })],
  });
  expect(await screen.findByRole('link', { name: 'Warm-up' })).toHaveAttribute('href', `/routines/${ROUTINE}`);
  expect(screen.getByText(/of 10:00 · C4 – /)).toBeVisible();
  expect(screen.getByText(/rest on a range that has moved since/)).toBeVisible();
});

test('a student without routines or runs says so', async () => {
  open({}, '/routines', { 'GET /api/routines': [] });
  expect(await screen.findByText('No routine yet.')).toBeVisible();
});

test('runs of a student are listed, the way to each one with them', async () => {
  open({}, '/runs', { 'GET /api/runs': [runSummary({ marks: ['strain'] })] });
  expect(await screen.findByRole('link', { name: /Nov.*15:32|15:32.*Nov|03:32/ })).toHaveAttribute(
    'href',
    `/log/${RUN}`,
  );
});

// The document of the tests keeps no recordings, as a private window does not.
test.each([
  ['goes ten seconds later, or when the page is left', false, [`DELETE /api/students/${STUDENT}`]],
  ['stays where that is called off', true, []],
])('a student who is deleted, said twice, %s', async (_, isCalledOff, asked) => {
  const gone = [
    { table: 'student', count: 1 },
    { table: 'run', count: 182 },
  ];
  const removed = { name: 'Maud Pellow', at: '2026-11-25T15:20:00Z', gone, left: 0 };
  const { user, sent, path } = open({}, '/rules', { [`DELETE /api/students/${STUDENT}`]: removed });
  await user.click(await screen.findByRole('button', { name: 'Delete this student' }));
  const dialog = await screen.findByRole('dialog');
  expect(within(dialog).getByText(/Delete Maud Pellow with voice file/)).toBeVisible();
  await user.click(within(dialog).getByRole('button', { name: /^Delete/ }));
  expect(await screen.findByRole('heading', { name: 'One student' })).toBeVisible();
  expect([sent, path()]).toEqual([[], '/students']);
  if (isCalledOff) await user.click(await screen.findByRole('button', { name: 'Keep the file' }));
  window.dispatchEvent(new Event('pagehide'));
  await waitFor(() => {
    expect(sent.map(({ what }) => what)).toEqual(asked);
  });
  const proof = /Maud Pellow is deleted: the voice file, 182 runs\. Nothing is left\./;
  if (isCalledOff) expect(screen.queryByText(proof)).toBeNull();
  else expect(await screen.findByText(proof)).toBeVisible();
});

test('a rule of this student is changed and sent with the rest of the file', async () => {
  const { user, sent } = open({}, '/rules', {
    [`PUT /api/students/${STUDENT}`]: refusal(409, 'STALE_WRITE', 'Somebody was faster.', { current: student() }),
  });
  const field = await screen.findByLabelText('First sung steps that stay modest');
  await user.clear(field);
  await user.type(field, '3');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(sent[0]?.body).toMatchObject({
    version: 3,
    voice: { type: 'mezzo-soprano', rules: { 'opening.sungSteps': 3 } },
  });
  expect(await screen.findByText(/changed in another window meanwhile/)).toBeVisible();
});
