import { exerciseFileOf, shippedExercises } from '@soft-lark/core';
import { screen, waitFor, within } from '@testing-library/react';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { Answer } from '../../testing/fake-api.ts';
import { RUN } from '../../testing/samples.ts';

const [one, two] = shippedExercises().filter(({ work }) => work.kind === 'pattern');
const TUNE = 'X:1\nT:Lantern\nM:4/4\nL:1/4\nQ:1/4=96\nK:C\nC D E F | G2 E2 | C4 |]\n';

async function give(name: string, text: string, answers = {}): Promise<OpenedPage> {
  const page = openPage('/shelf/import', answers);
  await screen.findByRole('heading', { name: 'Import' });
  const input = document.querySelector('input[type=file]') as HTMLInputElement;
  await page.user.upload(input, new File([text], name));
  return page;
}

test('a file of exercises is shown before anything is kept: new, the same, refused with the reason', async () => {
  if (!one || !two) throw new Error('the shelf has no tunes');
  const mine = { ...one, id: 'my-own', name: 'My own' };
  const file = JSON.parse(exerciseFileOf([mine, two])) as { exercises: object[] };
  file.exercises.push({ id: 'broken', name: 'Broken' });
  const page = await give('mine.json', JSON.stringify(file), { 'POST /api/exercises/imports': { id: RUN } });
  expect(await screen.findByRole('button', { name: '1 new' })).toBeEnabled();
  expect(screen.getByRole('button', { name: '1 the same' })).toBeEnabled();
  await page.user.click(screen.getByRole('button', { name: '1 refused' }));
  const rows = screen.getAllByRole('row');
  expect(rows).toHaveLength(2);
  expect(within(rows[1] as HTMLElement).getAllByRole('cell')[3]?.textContent).not.toBe('');
  await page.user.click(screen.getByRole('button', { name: 'Take in one exercise' }));
  await waitFor(() => {
    expect(page.sent[0]?.body).toMatchObject({ name: 'mine.json', exercises: [{ id: 'my-own' }] });
  });
});

test.each([
  ['nothing', ''],
  ['a letter', 'Dear Maud, how is the voice today?'],
  ['half a file', '{"format": "soft'],
  ['a broken score', '<score-partwise><part>'],
])('%s is refused in words, and nothing is kept', async (_, text) => {
  const { sent } = await give('what.json', text);
  const name = await screen.findByText('what.json');
  expect(name.parentElement?.textContent.length).toBeGreaterThan(30);
  expect(sent).toEqual([]);
});

test('a picture is refused as a picture', async () => {
  const page = openPage('/shelf/import');
  await screen.findByRole('heading', { name: 'Import' });
  const input = document.querySelector('input[type=file]') as HTMLInputElement;
  input.removeAttribute('accept');
  await page.user.upload(input, new File([Uint8Array.from([0x89, 0x50, 0x4e, 0x47])], 'scan.json'));
  expect(await screen.findByText(/This file is a picture \(PNG\)/)).toBeVisible();
});

test('a tune becomes an exercise: named, its degree one chosen, and kept', async () => {
  const page = await give('lantern.abc', TUNE, { 'PUT /api/exercises/*': (body: unknown) => body });
  expect(await screen.findByDisplayValue('Lantern')).toBeVisible();
  await fill(page, screen.getByLabelText('Name'), 'Lantern call');
  await page.user.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
  await waitFor(() => {
    expect(page.sent[0]?.body).toMatchObject({
      version: 0,
      exercise: { name: 'Lantern call', work: { kind: 'pattern', tempo: { usual: 96 } } },
    });
  });
});

test('the whole tune is kept as a song', async () => {
  const page = await give('lantern.abc', TUNE, { 'PUT /api/songs/*': {} });
  await page.user.click(await screen.findByRole('button', { name: 'Keep the whole tune as a song' }));
  expect(await screen.findByText(/Its bars can be taken on any sheet/)).toBeVisible();
  expect(page.sent[0]?.body).toMatchObject({ song: { name: 'Lantern', beatsPerBar: 4 } });
});

test('what was taken in is taken back as one', async () => {
  const { user, sent } = openPage('/shelf/import', {
    'GET /api/exercises/imports': [
      { id: RUN, name: 'mine.json', items: 12, createdAt: '2026-11-20T10:00:00Z', isUndone: false },
      { id: 'old', name: 'older.json', items: 1, createdAt: '2026-11-10T10:00:00Z', isUndone: true },
    ],
    [`DELETE /api/exercises/imports/${RUN}`]: {},
  });
  expect(await screen.findByText(/12 exercises/)).toBeVisible();
  expect(screen.getByText('taken back')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Take it back' }));
  expect(sent[0]?.what).toBe(`DELETE /api/exercises/imports/${RUN}`);
});

test('songs are counted in bars, and deleted when it is said twice', async () => {
  const song = {
    name: 'Lantern',
    tempo: 96,
    tonicClass: 0,
    mode: 'major',
    beatsPerBar: 4,
    events: [...[60, 62, 64, 65, 67, 64, 60].map((midi) => ({ midi, beats: 1 })), { beats: 1 }],
  };
  const { user, sent } = openPage('/shelf/import', {
    'GET /api/songs': [{ id: RUN, version: 1, ...song }],
    [`DELETE /api/songs/${RUN}`]: new Answer(204, undefined),
  });
  expect(await screen.findByText(/2 bars, C4 to G4/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Delete the song' }));
  expect(sent).toEqual([]);
  await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Delete the song' }));
  await waitFor(() => {
    expect(sent).toHaveLength(1);
  });
});
