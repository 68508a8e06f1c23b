import { screen, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

type Evidence = Schemas['BeltEvidenceDto'];

const check = (day: string, change: object = {}): object => ({
  id: `01920000-0000-7000-8000-${day.replaceAll('-', '').padStart(12, '0')}`,
  day,
  way: 'keys',
  low: 57,
  high: 74,
  reachLow: 55,
  reachHigh: 77,
  speakingNote: null,
  bridges: [{ low: 64, high: 65 }],
  gaps: [],
  ...change,
});

function open(answers: object, file: Partial<Schemas['VoiceFile']> = {}): OpenedPage {
  return openPage(`/students/${STUDENT}`, {
    [`GET /api/students/${STUDENT}/today`]: studentToday({ student: student({ voice: voice(file) }) }),
    ...answers,
  });
}

test('range checks over time are a picture and a table, the oldest first', async () => {
  const { user } = open({
    [`GET /api/students/${STUDENT}/range-checks`]: [
      check('2026-09-01', { high: 72 }),
      check('2026-10-06', { high: 74, way: 'simulated' }),
      check('2026-11-03', { high: 76, reachHigh: undefined }),
    ],
  });
  const figure = await screen.findByRole('figure', { name: 'Range checks over time' });
  await user.click(within(figure).getByRole('button', { name: 'as a table' }));
  const rows = within(screen.getByRole('table', { name: 'Range checks over time' }))
    .getAllByRole('row')
    .slice(1);
  const cells = rows.map((row) =>
    within(row)
      .getAllByRole('cell')
      .map(({ textContent }) => textContent),
  );
  expect(cells.map((row) => row.slice(1))).toEqual([
    ['A3', 'C5', 'G3 – F5', 'Keys here'],
    ['A3', 'D5', 'G3 – F5', 'Simulated singer'],
    ['A3', 'E5', 'G3 – E5', 'Keys here'],
  ]);
});

test('one check is no picture yet', async () => {
  open({ [`GET /api/students/${STUDENT}/range-checks`]: [check('2026-11-03')] });
  await screen.findByRole('complementary');
  expect(screen.queryByRole('figure', { name: 'Range checks over time' })).toBeNull();
});

test.each<[string, Evidence, RegExp | null, boolean]>([
  ['no easy day', { ceiling: 69, easyDays: [], hardDays: [], isEnough: false }, null, false],
  [
    'one easy day',
    { ceiling: 69, easyDays: ['2026-11-18'], hardDays: [], isEnough: false },
    /Sung easily at A4 on one day/,
    false,
  ],
  [
    'enough of them',
    { ceiling: 69, easyDays: ['2026-11-11', '2026-11-18', '2026-11-25'], hardDays: [], isEnough: true },
    /Sung easily at A4 on 3 days/,
    true,
  ],
  ['a voice without belt', { ceiling: null, easyDays: ['2026-11-18'], hardDays: [], isEnough: false }, null, false],
])('what the runs say of the belt ceiling: %s', async (_, evidence, words, mayRise) => {
  open({ [`GET /api/students/${STUDENT}/belt-evidence`]: evidence });
  const file = await screen.findByRole('complementary');
  if (words) expect(await within(file).findByText(words)).toBeVisible();
  else expect(within(file).queryByText(/Sung easily/)).toBeNull();
  expect(within(file).queryByText(/It may rise, up to/) !== null).toBe(mayRise);
});

test('the ruler has its figures as a table, for whoever does not see it', async () => {
  const { user } = open({}, { bridges: [{ low: 64, high: 65 }], hardCeiling: 79 });
  const [ruler] = await screen.findAllByRole('figure');
  await user.click(within(ruler as HTMLElement).getByRole('button', { name: 'as a table' }));
  expect(within(ruler as HTMLElement).getByRole('table').textContent).toMatch(/A3.*E5/);
});
