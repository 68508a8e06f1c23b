import { screen, within } from '@testing-library/react';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { ROUTINE, routine, RUN, STUDENT, student, studentToday } from '../../testing/samples.ts';

/** Sixty beats a minute: five notes of a second each, a leap of nine to a note outside A3 – E5. */
const SONG = {
  id: ROUTINE,
  version: 1,
  name: 'Low water',
  tempo: 60,
  mode: 'major',
  beatsPerBar: 4,
  pickupBeats: 0,
  events: [
    { midi: 62, beats: 1 },
    { midi: 64, beats: 1 },
    { midi: 69, beats: 1 },
    { midi: 78, beats: 2 },
    { beats: 2 },
    { midi: 76, beats: 1 },
  ],
};

const open = (piece: string, songs: readonly object[]): OpenedPage =>
  openPage(`/students/${STUDENT}/song`, {
    [`GET /api/students/${STUDENT}/today`]: studentToday({
      student: student({ voice: { ...student().voice, piece } }),
    }),
    'GET /api/songs': songs,
    'POST /api/routines': routine(),
  });

test('a song stands over the voice with what it asks for; another key moves it, and the best is named', async () => {
  const page = open('low water', [SONG]);
  const picture = await screen.findByRole('img', { name: 'From D4 to F♯5' });
  expect(picture.querySelectorAll('[data-outside="true"]')).toHaveLength(1);
  expect(screen.getByText('Longest phrase').nextSibling).toHaveTextContent('5 seconds at 0:00');
  expect(screen.getByText('Hardest leap').nextSibling).toHaveTextContent('9 semitones at 0:03');
  expect(screen.getByText('Longest held note').nextSibling).toHaveTextContent('F♯5, 2 seconds at 0:03');
  const keys = screen.getByRole('table', { name: 'Which key sits best' });
  const best = within(keys).getByText('sits best').closest('tr') as HTMLElement;
  expect(best).toHaveTextContent('0 seconds');
  await page.user.click(within(best).getByRole('button'));
  expect(picture.querySelectorAll('[data-outside="true"]')).toHaveLength(0);
  await page.user.click(screen.getByRole('button', { name: 'as a table' }));
  expect(screen.getAllByRole('table')[0]?.querySelectorAll('tbody tr')).toHaveLength(5);
});

test('a warm-up is drafted for it', async () => {
  const page = open('Low water', [SONG]);
  await page.user.click(await screen.findByRole('button', { name: 'Draft a warm-up for it' }));
  await screen.findByRole('heading', { name: 'The order' });
  expect(page.path()).toContain(`/routines/${ROUTINE}`);
});

test.each([
  ['none of that name', 'Another', [SONG]],
  ['no songs', 'Low water', []],
  ['a song that cannot be read', 'Low water', [{ ...SONG, events: [] }]],
])('%s: where a tune comes in is shown instead', async (_, piece, songs) => {
  open(piece, songs);
  expect(await screen.findByText(/No song of the studio has the name/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'Bring its tune in' })).toHaveAttribute('href', '/shelf/import');
});

test('songs sung together stand in the order of their load, with what all of them ask for', async () => {
  const easier = {
    ...{ ...SONG, id: RUN, name: 'Slack rope' },
    events: [64, 66, 67].map((midi) => ({ midi, beats: 1 })),
  };
  const page = open('', [SONG, easier]);
  await page.user.click(await screen.findByRole('combobox', { name: 'Songs sung together' }));
  for (const name of ['Low water', 'Slack rope']) await page.user.click(screen.getByRole('option', { name }));
  const rows = within(screen.getByRole('table', { name: 'A programme' })).getAllByRole('row');
  expect(rows.slice(1).map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/^Slack rope0:03E4 – G40 seconds/),
    expect.stringMatching(/^Low water0:08D4 – F♯52 seconds.*leaps/),
    expect.stringMatching(/^All of it0:11D4 – F♯52 seconds.*leaps/),
  ]);
});
