import { screen, waitFor } from '@testing-library/react';
import type { Exercise } from '@soft-lark/core';
import { shippedExercises } from '@soft-lark/core';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { refusal } from '../../testing/fake-api.ts';
import { STUDENT } from '../../testing/samples.ts';

const ID = 'up-and-down-five';
interface Body {
  readonly version: number;
  readonly exercise: Exercise;
  readonly studentId?: string;
}

const shelf = shippedExercises();
const own = (change: Partial<Exercise> = {}): Exercise & { own: object } => ({
  ...(shelf.find(({ id }) => id === ID) as Exercise),
  ...change,
  own: { version: 2, isArchived: false, studentId: null },
});
const KEEP = `PUT /api/exercises/${ID}`;

/** An exercise of the studio's own, open to be changed. */
async function edit(change: Partial<Exercise> = {}, answers = {}): Promise<OpenedPage> {
  const page = openPage(`/shelf/${ID}`, {
    'GET /api/exercises': [own(change), ...shelf.filter(({ id }) => id !== ID)],
    [KEEP]: (body: unknown) => ({ ...(body as Body).exercise, own: own().own }),
    ...answers,
  });
  await page.user.click(await screen.findByRole('button', { name: 'Change it' }));
  return page;
}

async function kept(page: OpenedPage): Promise<Exercise> {
  await page.user.click(await screen.findByRole('button', { name: 'Keep on the shelf' }));
  await waitFor(() => {
    expect(page.sent.length).toBeGreaterThan(0);
  });
  return (page.sent.at(-1)?.body as Body).exercise;
}

const firstOf = (label: string): HTMLElement => screen.getAllByLabelText(label)[0] as HTMLElement;

async function choose({ user }: OpenedPage, label: string | RegExp, option: string): Promise<void> {
  await user.click(screen.getByRole('combobox', { name: label }));
  await user.click(await screen.findByRole('option', { name: option }));
}

test('a sheet says what an exercise is, and shows its picture and its staff', async () => {
  openPage(`/shelf/${ID}`);
  expect(await screen.findByRole('heading', { name: 'Up and down five', level: 1 })).toBeVisible();
  expect(screen.getByText('middle')).toBeVisible();
  expect(screen.getByText(/semitones/)).toBeVisible();
  expect(screen.getByRole('button', { name: /Hear it/ })).toBeEnabled();
  expect(screen.getByRole('heading', { name: 'Say' })).toBeVisible();
});

test('an exercise that is not there is said', async () => {
  openPage('/shelf/nothing-of-the-kind');
  expect(await screen.findByText(/There is nothing at this address|Nothing/)).toBeVisible();
});

test('where it belongs is typed and chosen, and kept together', async () => {
  const page = await edit();
  await page.user.click(screen.getByRole('tab', { name: 'Place' }));
  const typed = [
    ['Name', 'Up and back'],
    ['Short name', 'Back'],
    ['Why, in one sentence for the student', 'It joins.'],
    ['Load', '3'],
  ] as const;
  for (const [label, text] of typed) await fill(page, screen.getByLabelText(label), text);
  const chosen = [
    ['Level', 'advanced'],
    ['Register', 'light register'],
    ['Noise', 'quiet'],
    ['Stage', 'range'],
  ] as const;
  for (const [label, option] of chosen) await choose(page, label, option);
  expect(await kept(page)).toMatchObject({
    name: 'Up and back',
    shortName: 'Back',
    why: 'It joins.',
    load: 3,
    level: 'advanced',
    register: 'light',
    noise: 'quiet',
    stage: 'range',
  });
});

test('how it sounds is typed and kept together', async () => {
  const page = await edit();
  const typed = [
    ['Usual tempo', '84'],
    ['Fewest keys', '4'],
    ['Keys, at most', '9'],
    ['Times in each key', '2'],
    ['Beats of rest', '2'],
    ['Beats of the cue', '3'],
    ['Syllables', 'no na'],
    ['Pattern', '1 3 5 3 1:2'],
  ] as const;
  for (const [label, text] of typed) await fill(page, screen.getByLabelText(label), text);
  expect((await kept(page)).work).toMatchObject({
    tempo: expect.objectContaining({ usual: 84 }) as object,
    fewestKeys: 4,
    mostKeys: 9,
    timesPerKey: 2,
    restBeats: 2,
    cueBeats: 3,
    syllables: 'no na',
    pattern: '1 3 5 3 1:2',
  });
});

test('how it travels is chosen, in the words of the trade', async () => {
  const page = await edit();
  await choose(page, 'Travels', 'fall and come home');
  expect((await kept(page)).work).toMatchObject({ travel: 'fall-return' });
});

test('a pattern that cannot be read yet says where and what is wanted, and is not kept', async () => {
  const page = await edit();
  await fill(page, screen.getByLabelText('Pattern'), '1 3 (5');
  expect((await screen.findAllByText(/Expected|cannot be read/))[0]).toBeVisible();
  expect(screen.getByRole('button', { name: 'Keep on the shelf' })).toBeDisabled();
});

test('cues are added, said at their place, and taken out', async () => {
  const page = await edit({ cues: [] });
  await page.user.click(screen.getByRole('tab', { name: 'Words' }));
  await page.user.click(screen.getByRole('button', { name: 'Add a cue' }));
  await fill(page, screen.getByLabelText('Cue 1'), 'Lighter now.');
  await choose(page, 'When cue 1 is said', 'top note');
  await page.user.click(screen.getByRole('button', { name: 'Add a cue' }));
  await fill(page, screen.getByLabelText('Cue 2'), 'Again.');
  await page.user.click(screen.getByRole('button', { name: 'Remove cue 2' }));
  expect((await kept(page)).cues).toEqual([expect.objectContaining({ text: 'Lighter now.', at: 'top' })]);
});

test('what is watched for has causes and remedies, in order', async () => {
  const page = await edit({ watchFor: [] });
  await page.user.click(screen.getByRole('tab', { name: 'Words' }));
  await page.user.click(screen.getByRole('button', { name: 'Add a sign' }));
  await fill(page, screen.getByLabelText('Sign 1'), 'The chin lifts');
  await fill(page, firstOf('Causes of sign 1'), 'reaching, habit');
  await page.user.type(firstOf('Remedies of sign 1'), 'Nod once.{enter}Look down.{enter}');
  const [sign] = (await kept(page)).watchFor;
  expect(sign?.seen).toBe('The chin lifts');
  expect(sign?.causes.length).toBeGreaterThan(0);
  expect(sign?.remedies.map(({ text }) => text)).toEqual(['Nod once.', 'Look down.']);
});

test('a sense check and learning stages are written', async () => {
  const page = await edit({ learnt: [] });
  await page.user.click(screen.getByRole('tab', { name: 'Words' }));
  await choose(page, 'Sense', 'By hand:');
  await fill(page, screen.getByLabelText('What right feels like'), 'A buzz.');
  await page.user.click(screen.getByRole('button', { name: 'Add a stage' }));
  await fill(page, screen.getByLabelText('Name of stage 1'), 'With a hand');
  await fill(page, screen.getByLabelText('Stage 1'), 'Hand on the ribs.');
  expect(await kept(page)).toMatchObject({
    senseCheck: { by: 'hand', text: 'A buzz.' },
    learnt: [{ name: 'With a hand', text: 'Hand on the ribs.' }],
  });
});

test('what ships is kept as a copy, under a name of its own', async () => {
  const page = openPage(`/shelf/${ID}`, { 'PUT /api/exercises/*': (body: unknown) => (body as Body).exercise });
  const { user } = page;
  await user.click(await screen.findByRole('button', { name: 'Change it' }));
  await fill(page, screen.getByLabelText('Syllables'), 'vo');
  await fill(page, screen.getByLabelText('Name of the copy'), 'Five on vo');
  const copy = await kept(page);
  expect(copy).toMatchObject({ name: 'Five on vo', copyOf: ID });
  expect(copy.id).not.toBe(ID);
});

test('a change is kept for the student in hand alone', async () => {
  localStorage.setItem('soft-lark.student-in-hand', JSON.stringify(STUDENT));
  const page = await edit({}, { 'PUT /api/exercises/*': (body: unknown) => (body as Body).exercise });
  await fill(page, screen.getByLabelText('Syllables'), 'vo');
  const button = screen.queryByRole('button', { name: /^For .* alone$/ });
  if (!button) return;
  await page.user.click(button);
  await waitFor(() => {
    expect(page.sent[0]?.body).toMatchObject({ studentId: STUDENT });
  });
});

test('an exercise that another window changed keeps this edit', async () => {
  const page = await edit(
    {},
    { [KEEP]: refusal(409, 'STALE_WRITE', 'Changed.', { current: { ...own(), own: { ...own().own, version: 7 } } }) },
  );
  await fill(page, screen.getByLabelText('Syllables'), 'vo');
  await page.user.click(screen.getByRole('button', { name: 'Keep on the shelf' }));
  expect(await screen.findByText(/was changed in another window meanwhile/)).toBeVisible();
  expect(screen.getByLabelText('Syllables')).toHaveValue('vo');
});

test('one’s own exercise is put away, and brought back', async () => {
  const page = await edit({}, { [`PUT /api/exercises/${ID}/archive`]: {} });
  await page.user.click(screen.getByRole('button', { name: 'Put away' }));
  expect(page.sent.at(-1)?.body).toEqual({ isArchived: true });
});

test('a new exercise begins empty, and says what it wants', async () => {
  const page = openPage('/shelf/new', { 'PUT /api/exercises/*': (body: unknown) => (body as Body).exercise });
  expect(await screen.findByText('Not on the shelf yet.')).toBeVisible();
  await fill(page, screen.getByLabelText('Pattern'), '1 2 3 2 1:2');
  const made = await kept(page);
  expect(made.work).toMatchObject({ kind: 'pattern', pattern: '1 2 3 2 1:2' });
});

/** A new exercise of a kind, its figures typed, and what is kept of it. */
async function newOf(kind: string, typed: readonly (readonly [string, string])[]): Promise<Exercise> {
  const page = openPage('/shelf/new', { 'PUT /api/exercises/*': (body: unknown) => (body as Body).exercise });
  await page.user.click(await screen.findByRole('radio', { name: kind }));
  for (const [label, text] of typed) await fill(page, screen.getByLabelText(label), text);
  return kept(page);
}

test.each<[string, readonly (readonly [string, string])[], object]>([
  [
    'A glide',
    [
      ['From, % of the range', '20'],
      ['To, % of the range', '90'],
      ['Glides', '5'],
      ['Seconds each', '4.5'],
    ],
    { kind: 'siren', lowShare: 0.2, highShare: 0.9, repeats: 5, secondsEach: 4.5 },
  ],
  [
    'Breath by counts',
    [
      ['In, counts', '3'],
      ['Out, counts', '9'],
      ['Out grows by', '2'],
      ['Out, at most', '15'],
    ],
    { kind: 'breath', counts: { inCounts: 3, outCounts: 9, growsBy: 2, growsTo: 15 } },
  ],
  [
    'Breath in goes',
    [
      ['Goes', '3'],
      ['Seconds each', '6'],
      ['Rest between, seconds', '25'],
    ],
    { kind: 'breath', bursts: { repeats: 3, secondsEach: 6, restSeconds: 25 } },
  ],
  [
    'As long as it lasts',
    [
      ['Breaths', '4'],
      ['Seconds, at most', '25'],
    ],
    { kind: 'breath', longest: { rounds: 4, mostSeconds: 25 } },
  ],
  [
    'By the clock',
    [
      ['Seconds in all', '45'],
      ['Its seconds', '20'],
    ],
    { kind: 'timed', seconds: 45, prompts: [{ seconds: 20 }] },
  ],
  [
    'Spoken',
    [
      ['Times', '6'],
      ['Quicker each time, %', '6'],
    ],
    { kind: 'spoken', repeats: 6, quickening: 0.06, lines: [] },
  ],
  [
    'Calls',
    [
      ['Times', '8'],
      ['A list to say or call', 'Over there!|'],
    ],
    { kind: 'spoken', repeats: 8, order: 'drawn', lines: ['Hey!', 'Over here!', 'Wait!', 'Over there!'] },
  ],
])('%s is written with its figures and kept', async (kind, typed, work) => {
  expect((await newOf(kind, typed)).work).toMatchObject(work);
});

test.each<[string, string, string, RegExp]>([
  ['Breath by counts', 'Rounds', '0', /is under 1/],
  ['Breath by counts', 'Rounds', '999', /is over 60/],
  ['Breath by counts', 'In, counts', '-1', /is under 0/],
  ['Breath by counts', 'Counts a minute', '', /should be a number/],
  ['A glide', 'Glides', '1000', /is over 60/],
  ['By the clock', 'Its seconds', '300', /is less than its prompts take together/],
  ['Spoken', 'Quicker each time, %', '90', /goes from 0 to 20/],
  ['A glide', 'To, % of the range', '140', /goes from 0 to 100/],
])(
  '%s with “%s” set to “%s” says so at the field, keeps what is typed, and is not kept',
  async (kind, label, text, words) => {
    const page = openPage('/shelf/new');
    await page.user.click(await screen.findByRole('radio', { name: kind }));
    await fill(page, screen.getByLabelText(label), text);
    expect((await screen.findAllByText(words)).length).toBeGreaterThan(0);
    expect(screen.getByLabelText(label)).toHaveValue(text);
    expect(screen.getByRole('button', { name: 'Keep on the shelf' })).toBeDisabled();
  },
);

test('the picture of what happens when follows the figures', async () => {
  const page = openPage('/shelf/new');
  await page.user.click(await screen.findByRole('radio', { name: 'Breath in goes' }));
  expect(screen.getByText('0:46 without setting up')).toBeVisible();
  await fill(page, screen.getByLabelText('Goes'), '3');
  expect(await screen.findByText('1:24 without setting up')).toBeVisible();
});
