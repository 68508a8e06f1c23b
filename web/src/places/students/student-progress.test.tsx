import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { STUDENT } from '../../testing/samples.ts';
import { saveFile } from '../../ui/save-file.ts';

jest.mock('../../ui/save-file.ts', () => ({
  ...jest.requireActual<object>('../../ui/save-file.ts'),
  saveFile: jest.fn(),
}));

type Progress = Schemas['ProgressDto'];
const point = (date: string, change: Partial<Progress['ranges'][number]> = {}): Progress['ranges'][number] => ({
  date,
  lowest: 57,
  highest: 72,
  plannedHighest: 74,
  isOrdinary: true,
  ...change,
});
const DATES = ['2026-11-02', '2026-11-09', '2026-11-16', '2026-11-23'];
const FULL: Progress = {
  ranges: [...DATES.map((date) => point(date)), point('2026-11-24', { highest: 77, isOrdinary: false })],
  weeks: DATES.map((from, index) => ({
    from,
    minutes: 10 + index,
    ...(index === 3 && { usual: 7.5 }),
    mark: index === 3 ? 'light-day' : null,
  })),
  stages: [{ stage: 'middle', minutes: 40 }],
  stoodStill: [{ exerciseId: 'thirds', since: '2026-11-01', runs: 5 }],
  notes: [
    { midi: 67, keys: 40, marked: 0 },
    { midi: 74, keys: 8, marked: 6 },
  ],
  ease: DATES.map((date, index) => ({ date, ease: 2 + index, isOrdinary: true })),
  courses: [
    { exerciseId: 'thirds', figure: 'tempo', points: DATES.map((date, index) => ({ date, value: 80 + 4 * index })) },
    { exerciseId: 'long-hiss', figure: 'breath', points: DATES.map((date, index) => ({ date, value: 12 + index })) },
  ],
};
const NOTHING: Progress = { ranges: [], weeks: [], stages: [], stoodStill: [], notes: [], ease: [], courses: [] };
const open = (progress: Progress): OpenedPage =>
  openPage(`/students/${STUDENT}/progress`, { [`GET /api/students/${STUDENT}/progress`]: progress });
const question = (name: string): Promise<HTMLElement> => screen.findByRole('region', { name });

test.each<[string, string]>([
  ['Has the range moved, or only the ambition?', 'November 24 A3 F5 D5 no'],
  ['Is it more singing than usual?', 'November 23 13.0 7.5 a light day would be wise'],
  ['Where does it break?', 'D5 8 6 75 %'],
  ['How easy was it?', 'November 23 very easy yes'],
  ['How has one exercise gone?', 'November 23 92 bpm'],
])('%s: its figures stand in a table', async (name, row) => {
  const { user } = open(FULL);
  const asked = await question(name);
  await user.click(within(asked).getByRole('button', { name: 'as a table' }));
  expect(within(asked).getByRole('row', { name: row })).toBeVisible();
});

test('the course of another exercise is chosen by its name', async () => {
  const { user } = open(FULL);
  const asked = await question('How has one exercise gone?');
  await user.click(within(asked).getByRole('button', { name: 'as a table' }));
  await user.click(within(asked).getByRole('combobox', { name: 'Exercise' }));
  await user.click(await screen.findByRole('option', { name: 'Long hiss' }));
  expect(within(asked).getByRole('row', { name: 'November 23 15' })).toBeVisible();
});

test('without an exercise that came often enough there is no course', async () => {
  open({ ...FULL, courses: [] });
  expect(await question('How has one exercise gone?')).toHaveTextContent('Not enough yet');
});

test('the table of a picture is taken as a file', async () => {
  const { user } = open(FULL);
  const asked = await question('Where does it break?');
  await user.click(within(asked).getByRole('button', { name: /As CSV$/ }));
  await waitFor(() => {
    expect(saveFile).toHaveBeenCalledTimes(1);
  });
  const [name, content] = jest.mocked(saveFile).mock.calls[0] ?? [];
  expect(name).toBe('where-does-it-break.csv');
  expect(content).toContain('D5,8,6,75 %\r\n');
});

test('what has stood still is named, with since when', async () => {
  open(FULL);
  const asked = await question('What has stood still?');
  expect(await within(asked).findByText('Thirds')).toBeVisible();
  expect(within(asked).getByText(/since November 1, 5 runs/)).toBeVisible();
  expect(within(asked).getByText('40')).toBeVisible();
});

test('three ordinary runs are not enough, however many performances there were', async () => {
  open({ ...FULL, ranges: [...FULL.ranges.slice(1), point('2026-11-25', { isOrdinary: false })], stoodStill: [] });
  const asked = await question('Has the range moved, or only the ambition?');
  expect(asked).toHaveTextContent('Not enough yet');
  expect(within(asked).queryByRole('figure')).toBeNull();
  expect(await screen.findByText('Nothing has stood still for three weeks.')).toBeVisible();
});

test('a student who has not sung lately is said', async () => {
  open(NOTHING);
  expect(await screen.findByText('Nothing has been sung in the last twelve weeks.')).toBeVisible();
});
