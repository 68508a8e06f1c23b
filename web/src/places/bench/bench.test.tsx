import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { Answer, refusal } from '../../testing/fake-api.ts';
import { LONG_NAME, ROUTINE, routine, step, STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

const READ = `GET /api/routines/${ROUTINE}`;
const SAVE = `PUT /api/routines/${ROUTINE}`;
type Body = Schemas['ChangedRoutineDto'];

const saves = (body: unknown): unknown => {
  const changed = body as Body;
  return routine({ ...changed, version: changed.version + 1 });
};

async function openBench(change: Partial<Schemas['RoutineDto']> = {}, answers = {}): Promise<OpenedPage> {
  const page = openPage(`/routines/${ROUTINE}`, { [READ]: routine(change), [SAVE]: saves, ...answers });
  await screen.findByRole('heading', { name: /^The order/ });
  return page;
}

/** What was saved last; saving waits for a pause in the editing. */
async function saved({ sent }: OpenedPage): Promise<Body> {
  await waitFor(() => {
    expect(sent.filter(({ what }) => what === SAVE).length).toBeGreaterThan(0);
  });
  await screen.findByText(/^saved/);
  return sent.filter(({ what }) => what === SAVE).at(-1)?.body as Body;
}

const idsOf = ({ steps }: Body): readonly string[] => steps.map(({ exerciseId }) => exerciseId);
const order = (): readonly string[] =>
  within(screen.getByRole('region', { name: /^The order/ }))
    .getAllByRole('listitem')
    .map(({ textContent }) => textContent);

test('the order, the time against the minutes, and the way to the piano', async () => {
  await openBench();
  expect(order().map((row) => row.slice(0, 5))).toHaveLength(4);
  expect(screen.getByRole('group', { name: /of 10:00/ })).toBeVisible();
  expect(screen.getByRole('link', { name: 'Sing it' })).toHaveAttribute('href', `/sing/${ROUTINE}`);
});

test.each<[string, Partial<Schemas['RoutineDto']>, RegExp]>([
  ['an empty bench', { steps: [] }, /An empty bench/],
  ['a routine over its minutes', { minutes: 2 }, /\d over/],
  ['a routine with room', { minutes: 30 }, /\d left/],
])('%s says so', async (_, change, words) => {
  await openBench(change);
  expect(screen.getAllByText(words)[0]).toBeVisible();
});

test('a routine or a student that is not there is said', async () => {
  openPage(`/routines/${ROUTINE}`, { [READ]: refusal(404, 'NOT_FOUND', 'There is no such routine.') });
  expect(await screen.findByText('There is no such thing in this studio, or not any more.')).toBeVisible();
});

test('a student who is gone is said', async () => {
  openPage(`/routines/${ROUTINE}`, {
    [`GET /api/students/${STUDENT}/today`]: refusal(404, 'NOT_FOUND', 'There is no such student.'),
  });
  expect(await screen.findByText('The student of this routine is not here any more.')).toBeVisible();
});

test('a name is typed, saved by itself, and taken back', async () => {
  const page = await openBench();
  const name = screen.getByLabelText('Name of the routine');
  await page.user.type(name, ' for spring');
  expect((await saved(page)).name).toBe('Warm-up for spring');
  await page.user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(name).toHaveValue('Warm-up');
  await page.user.click(screen.getByRole('button', { name: 'Redo' }));
  expect(name).toHaveValue('Warm-up for spring');
});

test('an empty name is not taken', async () => {
  const { user } = await openBench();
  const name = screen.getByLabelText('Name of the routine');
  await user.clear(name);
  expect(name).toHaveValue('Warm-up');
});

test('a name of a hundred letters and a student of forty stand whole', async () => {
  await openBench(
    { name: LONG_NAME.repeat(2) },
    { [`GET /api/students/${STUDENT}/today`]: studentToday({ student: student({ name: LONG_NAME }) }) },
  );
  expect(screen.getByLabelText('Name of the routine')).toHaveValue(LONG_NAME.repeat(2));
});

test('minutes are typed', async () => {
  const page = await openBench();
  const minutes = screen.getByLabelText('Minutes');
  await page.user.clear(minutes);
  await page.user.type(minutes, '25');
  expect((await saved(page)).minutes).toBe(25);
});

test('a step is taken off, and brought back with undo', async () => {
  const page = await openBench();
  await page.user.click(screen.getByRole('button', { name: /^Remove “Up and down/ }));
  expect(idsOf(await saved(page))).toEqual(['long-hiss', 'lip-trill-on-five', 'falling-hum']);
  expect(order()).toHaveLength(3);
  await page.user.keyboard('{Control>}z{/Control}');
  expect(order()).toHaveLength(4);
});

test('with the keyboard a step is moved, pinned, copied and taken off', async () => {
  const page = await openBench();
  const { user } = page;
  const row = (index: number): HTMLElement =>
    within(screen.getByRole('region', { name: /^The order/ }))
      .getAllByRole('listitem')
      [index]?.querySelector('[data-row]') as HTMLElement;
  await user.click(row(1));
  await user.keyboard('{Alt>}{ArrowUp}{/Alt}');
  expect(idsOf(await saved(page))[0]).toBe('lip-trill-on-five');
  expect(screen.getByText(/is now step 1 of 4/)).toBeInTheDocument();
  row(0).focus();
  await user.keyboard('l');
  await waitFor(async () => {
    expect((await saved(page)).steps[0]?.locked).toBe(true);
  });
  row(0).focus();
  await user.keyboard('d');
  expect(order()).toHaveLength(5);
  row(1).focus();
  await user.keyboard('{Delete}');
  await waitFor(() => {
    expect(order()).toHaveLength(4);
  });
});

test('several steps are put in a block and taken apart again', async () => {
  const page = await openBench();
  const { user } = page;
  const rows = within(screen.getByRole('region', { name: /^The order/ })).getAllByRole('listitem');
  await user.click(rows[0]?.querySelector('[data-row]') as HTMLElement);
  await user.keyboard('{Shift>}');
  await user.click(rows[1]?.querySelector('[data-row]') as HTMLElement);
  await user.keyboard('{/Shift}');
  expect(screen.getByText('2 steps')).toBeVisible();
  await user.type(screen.getByLabelText('Name of the block'), 'Body first{enter}');
  expect((await saved(page)).steps.map(({ block }) => block)).toEqual([
    'Body first',
    'Body first',
    undefined,
    undefined,
  ]);
  await user.click(screen.getByRole('button', { name: 'Take the block apart' }));
  await waitFor(async () => {
    expect((await saved(page)).steps.some(({ block }) => block)).toBe(false);
  });
});

test('a step is set: start, tempo, most keys, a cue, a note', async () => {
  const page = await openBench({ steps: [step('up-and-down-five'), step('falling-hum')] });
  for (const [label, typed] of [
    ['Start', 'C4'],
    ['Tempo', '100'],
    ['Keys, at most', '5'],
    ['Said at the piano', 'Lighter.'],
    ['Note, for you alone', 'ask again'],
  ] as const) {
    await fill(page, screen.getByLabelText(label), typed);
    await page.user.tab();
  }
  await waitFor(async () => {
    expect((await saved(page)).steps[0]?.settings).toEqual({
      ...{ start: 60, tempo: 100, maxKeys: 5, cue: 'Lighter.', note: 'ask again' },
    });
  });
});

test.each<[string, string, string, string, Schemas['RoutineStep']['settings']]>([
  ['counts on the way out', 'long-hiss', 'Out, counts', '8', { figures: { outCounts: 8 } }],
  ['how high a glide goes', 'lip-trill-glides', 'To, % of the range', '60', { figures: { highShare: 0.6 } }],
  ['rounds', 'long-hiss', 'Times', '2', { repeats: 2 }],
])('a figure of work that is no tune is set and put back: %s', async (_, id, label, typed, settings) => {
  const page = await openBench({ steps: [step(id)] });
  const field = screen.getByLabelText(label);
  await page.user.type(field, typed);
  await page.user.tab();
  await waitFor(async () => {
    expect((await saved(page)).steps[0]?.settings).toEqual(settings);
  });
  await page.user.clear(field);
  await waitFor(async () => {
    expect((await saved(page)).steps[0]?.settings).toEqual({});
  });
});

test('a draft fills an empty bench, says why, and keeps its minutes', async () => {
  const page = await openBench({ steps: [] });
  await page.user.click(screen.getByRole('button', { name: 'Draft a routine' }));
  const body = await saved(page);
  expect(body.steps.length).toBeGreaterThanOrEqual(5);
  expect(body.minutes).toBe(10);
  expect(await screen.findByRole('button', { name: 'Another draft' })).toBeVisible();
  await page.user.click(screen.getByRole('tab', { name: 'Why' }));
  expect(screen.getByRole('tabpanel').textContent).toMatch(/New: |Known already|Gentle work|Serves /);
});

test('a draft asked for on the way here is made once', async () => {
  const page = openPage(`/routines/${ROUTINE}?draft=1`, { [READ]: routine({ steps: [] }), [SAVE]: saves });
  expect((await saved(page)).steps.length).toBeGreaterThanOrEqual(5);
  expect(page.path()).toBe(`/routines/${ROUTINE}`);
});

test('what is pinned stays in another draft', async () => {
  const page = await openBench({ steps: [step('long-hiss'), step('thirds', { locked: true }), step('falling-hum')] });
  await page.user.click(screen.getByRole('button', { name: 'Another draft' }));
  expect(idsOf(await saved(page))).toContain('thirds');
});

test('the review says what is amiss, and mends it in a press that undo takes back', async () => {
  const page = await openBench({ minutes: 2 });
  const { user } = page;
  const review = screen.getByRole('region', { name: 'What the review says' });
  expect(within(review).getByText(/over its 2 minutes/)).toBeVisible();
  const before = order();
  await user.click(within(review).getAllByRole('button', { name: /Shorten|Set|Take/ })[0] as HTMLElement);
  await waitFor(() => {
    expect([order(), screen.queryByText(/\d over/)]).not.toEqual([before, expect.anything()]);
  });
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(order()).toEqual(before);
});

test('a rule is muted with a reason, and heard again', async () => {
  const mute = { id: STUDENT, rule: 'over-budget', reason: 'Long lesson.', studentId: null, routineId: ROUTINE };
  const page = await openBench({ minutes: 2 }, { 'POST /api/mutes': mute });
  const { user, sent } = page;
  const review = screen.getByRole('region', { name: 'What the review says' });
  await user.click(within(review).getAllByRole('button', { name: 'Mute …' })[0] as HTMLElement);
  const form = within(review);
  await user.type(form.getByLabelText('Your reason'), 'Long lesson.');
  await user.click(form.getByRole('button', { name: 'Mute the rule' }));
  expect(sent.find(({ what }) => what === 'POST /api/mutes')?.body).toMatchObject({
    reason: 'Long lesson.',
    routineId: ROUTINE,
  });
});

test('what another window saved meanwhile is brought together, or asked about', async () => {
  const theirs = routine({ version: 5, name: 'Theirs' });
  const page = await openBench({}, { [SAVE]: refusal(409, 'STALE_WRITE', 'Changed.', { current: theirs }) });
  await page.user.type(screen.getByLabelText('Name of the routine'), '!');
  const question = await screen.findByText('This routine was changed in another window.');
  expect(question).toBeVisible();
  expect(screen.getByText('here: Warm-up!')).toBeVisible();
  expect(screen.getByText('there: Theirs')).toBeVisible();
  page.answer({ [SAVE]: saves });
  await page.user.click(screen.getByRole('button', { name: 'Take what is there' }));
  expect(screen.getByLabelText('Name of the routine')).toHaveValue('Theirs');
});

test('without a server the bench goes on and says that it keeps what is done', async () => {
  const page = await openBench({}, { [SAVE]: () => Promise.reject(new TypeError('away')) });
  await page.user.type(screen.getByLabelText('Name of the routine'), '!');
  expect(await screen.findByText(/no connection; kept here/)).toBeVisible();
});

test('a step that cannot be sung says why, and is mended in a press', async () => {
  const page = await openBench({ steps: [step('up-and-down-five', { settings: { start: 90 } }), step('falling-hum')] });
  await page.user.click(screen.getByRole('button', { name: /Up and down five.*left out/ }));
  expect(screen.getByText('This step is left out today')).toBeVisible();
  await page.user.click(screen.getByRole('button', { name: /Start on/ }));
  expect((await saved(page)).steps[0]?.settings.start).toBeLessThan(76);
});

test('a step whose exercise is gone is left out and said, and everything else stands', async () => {
  await openBench({ steps: [step('gone-for-good'), step('falling-hum')] });
  expect(order()).toHaveLength(1);
});

test('cautions of an exercise are beside it, and a caution on file stops it', async () => {
  const { user } = await openBench(
    { steps: [step('straw-slides'), step('falling-hum')] },
    {
      [`GET /api/students/${STUDENT}/today`]: studentToday({
        student: student({ voice: voice({ cautions: ['eyes-or-ears'] }) }),
      }),
    },
  );
  await user.click(screen.getByRole('button', { name: /Straw slides.*left out/ }));
  expect(screen.getByRole('alert')).toHaveTextContent(/there is a caution on file about eyes or ears/);
});

test('a routine is kept as a template, as a recipe or as it is', async () => {
  const page = await openBench({}, { 'POST /api/templates': {} });
  const { user, sent } = page;
  await user.click(screen.getByRole('button', { name: 'More' }));
  await user.click(await screen.findByRole('menuitem', { name: 'Templates' }));
  const dialog = await screen.findByRole('dialog');
  await user.clear(within(dialog).getByLabelText('Keep this routine as'));
  await user.type(within(dialog).getByLabelText('Keep this routine as'), 'Tuesdays');
  await user.click(within(dialog).getByRole('button', { name: 'Keep the template' }));
  await waitFor(() => {
    expect(within(dialog).getByLabelText('Keep this routine as')).toHaveValue('');
  });
  await user.type(within(dialog).getByLabelText('Keep this routine as'), 'Fridays');
  await user.click(within(dialog).getByLabelText(/^As it is/));
  await user.click(within(dialog).getByRole('button', { name: 'Keep the template' }));
  await waitFor(() => {
    expect(sent).toHaveLength(2);
  });
  const [recipe, asItIs] = sent.map(({ body }) => body as Schemas['TemplateDto']);
  expect([recipe?.name, recipe?.steps.length, recipe?.parts.length]).toEqual(['Tuesdays', 0, 4]);
  expect([asItIs?.name, asItIs?.steps.length, asItIs?.parts.length]).toEqual(['Fridays', 4, 0]);
});

test('a routine is deleted when it is said twice', async () => {
  const page = await openBench({}, { [`DELETE /api/routines/${ROUTINE}`]: new Answer(204, undefined) });
  await page.user.click(screen.getByRole('button', { name: 'More' }));
  await page.user.click(await screen.findByRole('menuitem', { name: 'Delete this routine' }));
  const dialog = await screen.findByRole('dialog');
  expect(within(dialog).getByText(/Runs of it stay in the log/)).toBeVisible();
  await page.user.click(within(dialog).getByRole('button', { name: 'Delete this routine' }));
  await waitFor(() => {
    expect(page.path()).toBe(`/students/${STUDENT}/routines`);
  });
});
