import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { Answer } from '../../testing/fake-api.ts';
import {
  OTHER_STUDENT,
  ROUTINE,
  routine,
  RUN,
  step,
  STUDENT,
  student,
  studentToday,
  voice,
} from '../../testing/samples.ts';

const SAVE = `PUT /api/routines/${ROUTINE}`;
type Body = Schemas['ChangedRoutineDto'];

const FOUR_NOTES = voice({ bridges: [], measured: { low: 60, high: 63, date: '2026-11-03' } });
const FIVE = [step('up-and-down-five'), step('falling-hum')];

async function openBench(change: Partial<Schemas['RoutineDto']> = {}, answers = {}): Promise<OpenedPage> {
  const page = openPage(`/routines/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine(change),
    [SAVE]: (body: unknown) => routine({ ...(body as Body), version: (body as Body).version + 1 }),
    ...answers,
  });
  await screen.findByRole('heading', { name: /^The order/ });
  return page;
}

async function saved({ sent }: OpenedPage, isIt: (body: Body) => boolean = () => true): Promise<Body> {
  await waitFor(() => {
    const body = sent.filter(({ what }) => what === SAVE).at(-1)?.body as Body | undefined;
    expect(body && isIt(body)).toBe(true);
  });
  return sent.filter(({ what }) => what === SAVE).at(-1)?.body as Body;
}

const press = (name: string | RegExp): HTMLElement => screen.getByRole('button', { name });

test('a step is added from the shelf by its letters, where its stage belongs', async () => {
  const page = await openBench({ steps: FIVE });
  await page.user.click(press(/^Add a step/));
  const dialog = within(await screen.findByRole('dialog'));
  await fill(page, dialog.getByRole('searchbox'), 'long hiss');
  await page.user.keyboard('{Enter}');
  const { steps } = await saved(page);
  expect(steps.map(({ exerciseId }) => exerciseId)).toEqual(['long-hiss', 'up-and-down-five', 'falling-hum']);
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('an exercise is called up by playing how it begins, in any key; another note and it is gone', async () => {
  const page = await openBench({ steps: FIVE });
  await page.user.click(press(/^Add a step/));
  const dialog = within(await screen.findByRole('dialog'));
  const rows = (name: string): readonly HTMLElement[] => dialog.queryAllByRole('button', { name });
  await page.user.click(dialog.getByRole('button', { name: 'Play it' }));
  const play = async (...notes: string[]): Promise<void> => {
    for (const note of notes) await page.user.click(dialog.getByRole('button', { name: note }));
  };
  await play('D4', 'E4', 'F♯4', 'G4', 'A4', 'G4');
  expect(dialog.getByRole('status')).toHaveTextContent(/D4 E4 F♯4 G4 A4 G4 \d+ exercises begin so\./);
  expect([rows('Up and down five').length, rows('Thirds').length]).toEqual([1, 0]);
  await play('C4');
  expect(dialog.getByRole('status')).toHaveTextContent('Nothing on the shelf begins so.');
  await page.user.click(dialog.getByRole('button', { name: 'Start afresh' }));
  expect(rows('Thirds')).toHaveLength(1);
  await page.user.click(dialog.getByRole('button', { name: 'Play it' }));
  expect(dialog.queryByRole('status')).toBeNull();
});

test('a search of the shelf that finds nothing says so, and enter does nothing', async () => {
  const page = await openBench({ steps: FIVE });
  await page.user.click(press(/^Add a step/));
  const dialog = within(await screen.findByRole('dialog'));
  await fill(page, dialog.getByRole('searchbox'), 'zzzzz');
  await page.user.keyboard('{Enter}');
  expect(dialog.getByText(/Nothing on the shelf fits/)).toBeVisible();
  expect(page.sent).toEqual([]);
});

test('a swap offers the nearest three with what each keeps and how long it is, and takes one', async () => {
  const page = await openBench({ steps: FIVE });
  await page.user.click(press('Swap'));
  const items = await screen.findAllByRole('menuitem');
  expect(items).toHaveLength(3);
  for (const item of items) expect(item.textContent).toMatch(/keeps .+\d:\d\d in place of \d:\d\d/);
  const name = /^\d\. (.+?)keeps/.exec(items[0]?.textContent ?? '')?.[1] ?? '';
  await page.user.click(items[0] as HTMLElement);
  await saved(page, ({ steps }) => steps[0]?.exerciseId !== 'up-and-down-five');
  expect(press(new RegExp(`^Remove “${name}”`))).toBeVisible();
});

test('a swap because of what stands in the way offers nothing that needs it', async () => {
  const page = await openBench({ steps: [step('straw-slides'), step('falling-hum')] });
  await page.user.click(press('Swap'));
  await page.user.click(await screen.findByRole('combobox', { name: 'because of …' }));
  await page.user.click(await screen.findByRole('option', { name: 'no straw' }));
  for (const item of await screen.findAllByRole('menuitem')) expect(item).not.toHaveTextContent(/straw/i);
});

test('a key is left out by hand and put back, and a key is put in', async () => {
  const page = await openBench({ steps: FIVE });
  const leaveOut = screen.getAllByRole('button', { name: /^Leave .+ out$/ });
  expect(leaveOut.length).toBeGreaterThan(4);
  await page.user.click(leaveOut[2] as HTMLElement);
  const body = await saved(page, ({ steps }) => steps[0]?.settings.struck?.length === 1);
  expect(body.steps[0]?.settings.struck).toEqual([expect.any(Number)]);
  await page.user.click(screen.getAllByRole('button', { name: /^Put .+ back$/ })[0] as HTMLElement);
  await saved(page, ({ steps }) => (steps[0]?.settings.struck ?? []).length === 0);
});

test.each<[string, string, Partial<Schemas['RoutineStep']['settings']>]>([
  ['Step', 'whole tone', { step: 2 }],
  ['Travel', 'rise', { travel: 'rise' }],
])('%s is chosen: %s', async (label, option, settings) => {
  const page = await openBench({ steps: FIVE });
  await page.user.click(screen.getByRole('combobox', { name: label }));
  await page.user.click(await screen.findByRole('option', { name: option }));
  expect((await saved(page)).steps[0]?.settings).toEqual(settings);
});

test('a start set by hand goes back to the proposed one in a press', async () => {
  const page = await openBench({ steps: [step('up-and-down-five', { settings: { start: 60 } }), step('falling-hum')] });
  await page.user.click(press(/^Put back: start C4, proposed /));
  expect((await saved(page)).steps[0]?.settings).toEqual({});
});

test('overlays are laid over a step, and what may not be is said', async () => {
  const page = await openBench(
    { steps: [step('up-and-down-five', { settings: { overlay: 'hand-at-the-jaw' } }), step('falling-hum')] },
    {
      [`GET /api/students/${STUDENT}/today`]: studentToday({
        student: student({ voice: voice({ cautions: ['jaw'] }) }),
      }),
    },
  );
  expect(screen.getByText(/What lies over it is left out/)).toBeVisible();
  await page.user.click(screen.getByRole('combobox', { name: 'Laid over it' }));
  await page.user.click(await screen.findByRole('option', { name: 'Eyes closed' }));
  await saved(page, ({ steps }) => steps[0]?.settings.overlay === 'eyes-closed');
});

test('versions are compared with the bench, said step by step, and brought back', async () => {
  const old = routine({
    version: 1,
    minutes: 8,
    steps: [step('long-hiss'), step('gone-for-good'), step('falling-hum')],
  });
  const page = await openBench(
    { steps: [step('falling-hum'), step('thirds')], version: 2 },
    {
      [`GET /api/routines/${ROUTINE}/versions`]: [
        { ...old, savedAt: '2026-11-20T10:00:00Z', savedBy: 'Ida Tern' },
        { ...old, version: 2, savedAt: '2026-11-21T10:00:00Z', savedBy: null },
      ],
    },
  );
  await page.user.click(press('More'));
  await page.user.click(await screen.findByRole('menuitem', { name: 'Versions' }));
  const dialog = within(await screen.findByRole('dialog'));
  expect(await dialog.findByText(/version 1 · 3 steps · Ida Tern/)).toBeVisible();
  await page.user.click(dialog.getAllByRole('button', { pressed: false })[0] as HTMLElement);
  const table = within(dialog.getByRole('table'));
  expect(table.getAllByText('added since').length).toBe(1);
  expect(table.getAllByText('not there now').length).toBeGreaterThan(0);
  expect(table.getByText('an exercise that is gone')).toBeVisible();
  expect(dialog.getByText(/One step had an exercise that is not on the shelf any more/)).toBeVisible();
  await page.user.click(dialog.getByRole('button', { name: 'Bring this version back' }));
  const body = await saved(page, ({ minutes }) => minutes === 8);
  expect(body.steps.map(({ exerciseId }) => exerciseId)).toEqual(['long-hiss', 'falling-hum']);
});

test('a copy for another student says what becomes of each step before it is made', async () => {
  const bass = student({
    id: OTHER_STUDENT,
    name: 'Nan Osier',
    voice: voice({ type: 'bass', bridges: [], measured: { low: 40, high: 60, date: '2026-11-03' } }),
  });
  const page = await openBench(
    { steps: [step('long-hiss'), ...FIVE] },
    {
      'GET /api/students': [student(), bass],
      [`GET /api/students/${OTHER_STUDENT}/today`]: studentToday({ student: bass }),
      'POST /api/routines': (body: unknown) => routine({ ...(body as Schemas['NewRoutineDto']), id: ROUTINE }),
    },
  );
  await page.user.click(press('More'));
  await page.user.click(await screen.findByRole('menuitem', { name: 'Copy to another student' }));
  const dialog = within(await screen.findByRole('dialog'));
  expect(dialog.getByRole('button', { name: 'Make the copy' })).toBeDisabled();
  await page.user.click(dialog.getByRole('combobox', { name: 'For whom' }));
  expect(screen.queryByRole('option', { name: 'Maud Pellow' })).toBeNull();
  await page.user.click(await screen.findByRole('option', { name: 'Nan Osier' }));
  expect((await dialog.findByText('Long hiss')).closest('li')).toHaveTextContent('as it is');
  expect(dialog.getByText('Up and down five').closest('li')).toHaveTextContent(/placed anew: .* → /);
  await page.user.click(dialog.getByRole('button', { name: 'Make the copy' }));
  await waitFor(() => {
    expect(page.sent.find(({ what }) => what === 'POST /api/routines')?.body).toMatchObject({
      studentId: OTHER_STUDENT,
    });
  });
});

test('a muted rule is listed with its reason, and heard again', async () => {
  const mute = { id: RUN, rule: 'over-budget', reason: 'Long lesson.', studentId: null, routineId: ROUTINE };
  const page = await openBench(
    { minutes: 2, steps: FIVE },
    { 'GET /api/mutes': [mute], [`DELETE /api/mutes/${RUN}`]: new Answer(204, undefined) },
  );
  const review = within(screen.getByRole('region', { name: 'What the review says' }));
  expect(await review.findByText(/Long lesson\./)).toBeVisible();
  await waitFor(() => {
    expect(review.queryByText(/over its 2 minutes/)).toBeNull();
  });
  await page.user.click(review.getByRole('button', { name: 'Hear it again' }));
  expect(page.sent.at(-1)?.what).toBe(`DELETE /api/mutes/${RUN}`);
});

test('why a rule is one is told with its source', async () => {
  const page = await openBench({ minutes: 2, steps: FIVE });
  const review = within(screen.getByRole('region', { name: 'What the review says' }));
  const why = review.getAllByRole('button', { name: 'Why?' })[0] as HTMLElement;
  const before = document.body.textContent.length;
  await page.user.click(why);
  expect(why).toHaveAttribute('aria-expanded', 'true');
  expect(document.body.textContent.length).toBeGreaterThan(before + 10);
});

test('the day’s condition works on the routine at once', async () => {
  const page = await openBench({ steps: ['lip-trill-on-five', 'hum-on-the-chord', 'thirds'].map((id) => step(id)) });
  await page.user.click(press(/Thirds.*\d:\d\d$/));
  await page.user.click(screen.getByRole('tab', { name: 'Limits' }));
  const top = (): string => screen.getByRole('heading', { name: /is the top today$/ }).textContent;
  const before = top();
  await page.user.click(press('Tired'));
  await waitFor(() => {
    expect(top()).not.toBe(before);
  });
});

test('what a whole warm-up has and a draft could not be given is said, with what to do', async () => {
  const page = await openBench(
    { steps: [], minutes: 2 },
    { [`GET /api/students/${STUDENT}/today`]: studentToday({ student: student({ voice: FOUR_NOTES }) }) },
  );
  await page.user.click(press('Draft a routine'));
  await saved(page);
  expect((await screen.findAllByRole('status')).map(({ textContent }) => textContent).join()).toMatch(
    /No tune finds room in this voice today.*do a range check/,
  );
});
