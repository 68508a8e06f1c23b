import { isOver, KEPT_DAYS } from './recordings.ts';

test.each([
  ['just kept', '2026-11-25T15:00:00Z', false],
  ['a day short of the end', '2026-10-27T15:00:00Z', false],
  ['a second short of the end', '2026-10-26T15:00:01Z', false],
  ['at the end', '2026-10-26T15:00:00Z', true],
  ['long ago', '2025-11-25T15:00:00Z', true],
])('a recording %s goes by itself after thirty days', (_, keptAt, over) => {
  expect(KEPT_DAYS).toBe(30);
  expect(isOver(keptAt, new Date('2026-11-25T15:00:00Z'))).toBe(over);
});
