import { overlapping } from './overlapping.ts';

const at = (
  weekday: number,
  startsAt: string,
  minutes: number,
): { weekday: number; startsAt: string; minutes: number } => ({
  weekday,
  startsAt,
  minutes,
});

test.each([
  ['the same time', at(1, '15:00', 30), at(1, '15:00', 30), true],
  ['begun before, still going on', at(1, '15:00', 30), at(1, '14:45', 30), true],
  ['begun while it goes on', at(1, '15:00', 30), at(1, '15:29', 45), true],
  ['one after the other', at(1, '15:00', 30), at(1, '15:30', 30), false],
  ['one before the other', at(1, '15:00', 30), at(1, '14:30', 30), false],
  ['another day', at(1, '15:00', 30), at(2, '15:00', 30), false],
  ['past midnight', at(2, '00:10', 30), at(1, '23:45', 45), true],
  ['past midnight of a Sunday', at(1, '00:10', 30), at(7, '23:45', 45), true],
])('%s', (_, slot, lesson, isMet) => {
  expect(overlapping(slot, [lesson])).toHaveLength(isMet ? 1 : 0);
});
