import { screen, waitFor, within } from '@testing-library/react';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { STUDENT } from '../../testing/samples.ts';
import { USUAL_DAY } from './day-wishes.ts';
import { saveFile } from '../../ui/save-file.ts';

jest.mock('../../ui/save-file.ts', () => ({
  ...jest.requireActual<object>('../../ui/save-file.ts'),
  saveFile: jest.fn(),
}));

const open = (): OpenedPage => openPage(`/students/${STUDENT}/day`);
const plan = (): Promise<HTMLElement> => screen.findByRole('region', { name: 'Day of the performance' });
const timesOf = async (kind: string): Promise<string> =>
  within(await plan())
    .getByText(kind)
    .closest('li')
    ?.querySelector('time')?.textContent ?? '';

beforeEach(() => {
  localStorage.clear();
});

test('from waking to the stage: what is sung lies between what is fixed, in the order of the day', async () => {
  open();
  const region = await plan();
  expect(screen.getByRole('button', { name: 'Clear Waking' })).toBeVisible();
  // No findings: what is laid out as usual is well laid out.
  expect(within(region).queryByRole('status')).toBeNull();
  const rows = within(region).getAllByRole('listitem');
  expect(rows.map(({ textContent }) => textContent)).toEqual([
    '08:00Waking',
    expect.stringMatching(/^08:45 – 08:49Wake it gently/),
    '12:30 – 13:10Meal',
    expect.stringMatching(/^1[34]:\d\d – 1[34]:\d\dBuild/),
    '17:00 – 17:30Meal',
    '18:00To be there at',
    expect.stringMatching(/^19:00 – 19:08Get ready/),
    '19:30 – 21:00Performance',
    expect.stringMatching(/^21:05 – 21:11Cool down/),
  ]);
});

test('a block that is moved stays where it was put, is kept on the device, and is let go again', async () => {
  const first = open();
  const before = await timesOf('Build');
  await first.user.click(screen.getByRole('button', { name: 'Build: 5 minutes later' }));
  const after = await timesOf('Build');
  expect(after).not.toBe(before);
  first.unmount();
  const { user } = open();
  expect(await timesOf('Build')).toBe(after);
  await user.click(screen.getByRole('button', { name: 'Lay it out again' }));
  expect(await timesOf('Build')).toBe(before);
});

test('a block moved into a meal is said', async () => {
  const { user } = open();
  const earlier = await screen.findByRole('button', { name: 'Build: 5 minutes earlier' });
  for (let moved = 0; moved < 5; moved += 1) await user.click(earlier);
  expect(within(await plan()).getByRole('status')).toHaveTextContent('“Build” lies on a meal');
});

test('a heavy programme has more before it; what does not fit is said', async () => {
  const { user } = open();
  await plan();
  await user.click(screen.getByText('high, heavy'));
  expect(await timesOf('Get ready')).toMatch(/^18:\d\d – 19:|^19:\d\d – 19:/);
  await user.click(within(screen.getByRole('radiogroup', { name: 'Blocks before it' })).getByText('1'));
  expect(screen.queryByText('Build')).toBeNull();
});

test('it is taken along as a calendar', async () => {
  const { user } = open();
  await plan();
  await user.click(screen.getByRole('button', { name: 'Take as calendar' }));
  await waitFor(() => {
    expect(saveFile).toHaveBeenCalledTimes(1);
  });
  const [name, content] = jest.mocked(saveFile).mock.calls[0] ?? [];
  expect(name).toBe('day-of-the-performance.ics');
  expect(content).toContain('SUMMARY:Sing: Get ready');
  expect((content as string).match(/BEGIN:VEVENT/g)).toHaveLength(4);
});

test('the weeks to a date far off build, hold and ease off; a date of this week has none', async () => {
  const { unmount } = open();
  await plan();
  expect(screen.queryByRole('region', { name: 'The weeks before' })).toBeNull();
  unmount();
  localStorage.setItem(`soft-lark.day.${STUDENT}`, JSON.stringify({ ...USUAL_DAY, date: '2026-12-19' }));
  open();
  const rows = within(await screen.findByRole('region', { name: 'The weeks before' })).getAllByRole('listitem');
  expect(rows.map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/Build.*10% more than in a usual week$/),
    expect.stringMatching(/Build.*20% more/),
    expect.stringMatching(/Hold.*20% more/),
    expect.stringMatching(/Ease off.*40% less than in a usual week$/),
  ]);
});
