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
    [/^Name/, 'Up and back'],
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

test('what sounds is stopped by the button that began it', async () => {
  const { user } = openPage(`/shelf/${ID}`);
  await user.click(await screen.findByRole('button', { name: /Hear it/ }));
  await user.click(screen.getByRole('button', { name: /Stop/ }));
  expect(screen.getByRole('button', { name: /Hear it/ })).toBeVisible();
});
