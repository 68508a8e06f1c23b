import { screen, waitFor } from '@testing-library/react';
import type { Exercise } from '@soft-lark/core';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';

interface Body {
  readonly exercise: Exercise;
}

async function kept(page: OpenedPage): Promise<Exercise> {
  await page.user.click(await screen.findByRole('button', { name: 'Keep on the shelf' }));
  await waitFor(() => {
    expect(page.sent.length).toBeGreaterThan(0);
  });
  return (page.sent.at(-1)?.body as Body).exercise;
}

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

test('a figure out of bounds says so at the field, stays as typed, and is not kept', async () => {
  const page = openPage('/shelf/new');
  for (const [kind, label, text, words, good] of [
    ['Breath by counts', 'Rounds', '0', /is under 1/, '3'],
    ['Breath by counts', 'Rounds', '999', /is over 60/, '3'],
    ['Breath by counts', 'In, counts', '-1', /is under 0/, '4'],
    ['Breath by counts', 'Counts a minute', '', /should be a number/, '60'],
    ['A glide', 'Glides', '1000', /is over 60/, '3'],
    ['A glide', 'To, % of the range', '140', /goes from 0 to 100/, '80'],
    ['By the clock', 'Its seconds', '300', /is less than its prompts take together/, '10'],
    ['Spoken', 'Quicker each time, %', '90', /goes from 0 to 20/, '5'],
  ] as const) {
    await page.user.click(await screen.findByRole('radio', { name: kind }));
    await fill(page, screen.getByLabelText(label), text);
    expect((await screen.findAllByText(words)).length).toBeGreaterThan(0);
    expect(screen.getByLabelText(label)).toHaveValue(text);
    expect(screen.getByRole('button', { name: 'Keep on the shelf' })).toBeDisabled();
    await fill(page, screen.getByLabelText(label), good);
    expect(screen.queryByText(words)).toBeNull();
    expect(screen.getByRole('button', { name: 'Keep on the shelf' })).toBeEnabled();
  }
});

test('the picture of what happens when follows the figures', async () => {
  const page = openPage('/shelf/new');
  await page.user.click(await screen.findByRole('radio', { name: 'Breath in goes' }));
  expect(screen.getByText('0:46 without setting up')).toBeVisible();
  await fill(page, screen.getByLabelText('Goes'), '3');
  expect(await screen.findByText('1:24 without setting up')).toBeVisible();
});

test('the ends of a glide by semitones and by a note, every second one mirrored', async () => {
  const page = openPage('/shelf/new', { 'PUT /api/exercises/*': (body: unknown) => (body as Body).exercise });
  await page.user.click(await screen.findByRole('radio', { name: 'A glide' }));
  for (const [end, way] of [
    ['Lower end by', 'semitones over the floor'],
    ['Upper end by', 'a note'],
  ] as const) {
    await page.user.click(screen.getByRole('combobox', { name: end }));
    await page.user.click(await screen.findByRole('option', { name: way }));
  }
  await fill(page, screen.getByLabelText('Semitones'), '2');
  await fill(page, screen.getByLabelText('Note'), 'C5');
  await page.user.click(screen.getByLabelText('Every second one the other way round'));
  expect(screen.getByText('0:26 without setting up')).toBeVisible();
  expect((await kept(page)).work).toMatchObject({
    lowEnd: { from: 'floor', semitones: 2 },
    highEnd: { from: 'note', note: 72 },
    mirrored: true,
  });
});

test('a glide of one note says so at its end, and is not kept', async () => {
  const page = openPage('/shelf/new');
  await page.user.click(await screen.findByRole('radio', { name: 'A glide' }));
  await fill(page, screen.getByLabelText('From, % of the range'), '60');
  await fill(page, screen.getByLabelText('To, % of the range'), '60');
  expect((await screen.findAllByText(/is the same note as the other end/)).length).toBeGreaterThan(0);
  expect(screen.getByRole('button', { name: 'Keep on the shelf' })).toBeDisabled();
});

test('a start on a note by the type of voice, a step home and manners are kept', async () => {
  const page = openPage('/shelf/new', { 'PUT /api/exercises/*': (body: unknown) => (body as Body).exercise });
  await page.user.click(await screen.findByRole('combobox', { name: 'Starts' }));
  await page.user.click(await screen.findByRole('option', { name: 'on a note by voice type' }));
  await fill(page, screen.getByLabelText('tenor'), 'C3');
  await fill(page, screen.getByLabelText('Step home, semitones'), '2');
  await page.user.click(screen.getByRole('tab', { name: 'Place' }));
  await page.user.type(screen.getByLabelText('Ways in each key, in order'), 'breathy{Enter}');
  const made = await kept(page);
  expect(made.work).toMatchObject({ placement: { rule: 'absolute', notes: { tenor: 48 } }, returnStep: 2 });
  expect(made.manners).toEqual(['breathy']);
});

test('how a tune is carried is kept with it: a second time, who sounds, its top by rule', async () => {
  const page = openPage('/shelf/new', { 'PUT /api/exercises/*': (body: unknown) => (body as Body).exercise });
  for (const [label, option] of [
    ['A second time', '2 semitones further'],
    ['Who sounds', 'the piano plays along'],
    ['Top by rule', 'the bridge'],
  ] as const) {
    await page.user.click(await screen.findByRole('combobox', { name: label }));
    await page.user.click(await screen.findByRole('option', { name: option }));
  }
  await page.user.click(screen.getByLabelText('if the first was easy'));
  await fill(page, screen.getByLabelText('Semitones off'), '-2');
  await fill(page, screen.getByLabelText('Tempo more a key'), '3');
  expect((await kept(page)).work).toMatchObject({
    again: { further: 2, ifEasy: true },
    help: 'together',
    ceilingRule: { from: 'bridge', by: -2 },
    tempoStep: 3,
  });
});
