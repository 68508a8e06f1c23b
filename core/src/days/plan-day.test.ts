import fc from 'fast-check';
import { minutesOfDay } from '../clock-time.ts';
import { DAY, planDay, type DayWishes } from './index.ts';

const at = (time: string, minutes = 0): { at: number; minutes: number } => ({ at: minutesOfDay(time), minutes });
const wishes = (change: Partial<DayWishes> = {}): DayWishes => ({
  waking: minutesOfDay('08:00'),
  performances: [at('20:00', 90)],
  meals: [],
  travel: [],
  blocks: 3,
  programme: 'usual',
  ...change,
});
const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
const told = (change: Partial<DayWishes>): string =>
  planDay(wishes(change))
    .blocks.map(({ kind, at: start, minutes }) => `${kind} ${clock(start)} ${String(minutes)}`)
    .join(' · ');

test.each<[string, Partial<DayWishes>, string]>([
  [
    'three blocks, a rest, a cool-down',
    { waking: minutesOfDay('11:00') },
    'wake 11:45 4 · build 15:40 8 · ready 19:30 8 · cool-down 21:35 6',
  ],
  ['a low programme in one', { blocks: 1, programme: 'low' }, 'ready 19:30 12 · cool-down 21:35 6'],
  [
    'a high one in two',
    { blocks: 2, programme: 'high', waking: minutesOfDay('15:00') },
    'wake 15:45 10 · ready 19:20 20 · cool-down 21:35 6',
  ],
  [
    'a meal in the way, and half an hour after it',
    { blocks: 1, meals: [at('18:50', 30)] },
    'ready 18:30 20 · cool-down 21:35 6',
  ],
  [
    'two on one day: woken again before the second',
    { blocks: 1, performances: [at('15:00', 60), at('19:00', 60)] },
    'ready 14:20 20 · refresh 18:45 5 · cool-down 20:05 6',
  ],
  [
    'the last block is sung where the performance is',
    { blocks: 1, programme: 'low', call: minutesOfDay('19:30') },
    'ready 19:35 12 · cool-down 21:35 6',
  ],
  [
    'where there is no time for it there, before',
    { blocks: 1, programme: 'low', call: minutesOfDay('19:45') },
    'ready 19:30 12 · cool-down 21:35 6',
  ],
  ['none', { performances: [] }, ''],
])('%s', (_, change, expected) => {
  expect(told(change)).toBe(expected);
});

test.each<[string, Partial<DayWishes>, readonly object[]]>([
  ['a day with room', { waking: minutesOfDay('11:00') }, []],
  [
    'an hour after waking there is room for one block',
    { waking: minutesOfDay('19:00'), performances: [at('20:10', 60)], blocks: 3, programme: 'low' },
    [
      { code: 'NO_ROOM', kind: 'build' },
      { code: 'NO_ROOM', kind: 'wake' },
    ],
  ],
  [
    'on stage half an hour after waking',
    { waking: minutesOfDay('19:30'), blocks: 1 },
    [{ code: 'WOKEN_LATE' }, { code: 'NO_ROOM', kind: 'ready' }],
  ],
  [
    'two performances without a breath between',
    { waking: minutesOfDay('11:00'), performances: [at('18:00', 60), at('19:10', 60)] },
    [{ code: 'NO_ROOM', kind: 'refresh' }],
  ],
  [
    'moved by hand into a meal',
    { waking: minutesOfDay('11:00'), meals: [at('13:00', 30)], held: { 'wake-0': minutesOfDay('13:10') } },
    [{ code: 'IN_THE_WAY', id: 'wake-0' }],
  ],
  [
    'up early, one block in the morning',
    { waking: minutesOfDay('08:00'), blocks: 2 },
    [{ code: 'LONG_GAP', id: 'ready-1', minutes: 633 }],
  ],
])('%s', (_, change, findings) => {
  expect(planDay(wishes(change)).findings).toEqual(findings);
});

test('a block that is moved stays where it was put, and the rest follows', () => {
  const moved = planDay(wishes({ waking: minutesOfDay('11:00'), held: { 'build-1': minutesOfDay('13:00') } }));
  expect(moved.blocks[1]).toMatchObject({ id: 'build-1', at: minutesOfDay('13:00') });
  expect((moved.blocks[0]?.at ?? 0) + (moved.blocks[0]?.minutes ?? 0)).toBeLessThanOrEqual(
    minutesOfDay('13:00') - DAY.between.least,
  );
});

test('whatever the day is like: nothing on meals, ways or the stage, least gaps kept, rest before going on', () => {
  const time = (from: number, to: number): fc.Arbitrary<number> =>
    fc.integer({ min: from / 5, max: to / 5 }).map((n) => n * 5);
  const fixed = fc.array(fc.record({ at: time(480, 1200), minutes: time(10, 60) }), { maxLength: 3 });
  const day = fc.record({
    waking: time(300, 900),
    performance: time(700, 1380),
    meals: fixed,
    travel: fixed,
    blocks: fc.constantFrom(1 as const, 2 as const, 3 as const, 4 as const),
    programme: fc.constantFrom('low' as const, 'usual' as const, 'high' as const),
  });
  fc.assert(
    fc.property(day, ({ performance, ...rest }) => {
      const { blocks, findings } = planDay({ ...rest, performances: [{ at: performance, minutes: 60 }] });
      const before = blocks.filter(({ kind }) => kind !== 'cool-down');
      const left = findings.filter(({ code }) => code === 'NO_ROOM').length;
      expect(before.length + left).toBe(rest.blocks);
      for (const [index, { at: start, minutes }] of before.entries()) {
        const end = start + minutes;
        expect(start).toBeGreaterThanOrEqual(rest.waking + DAY.afterWaking);
        expect(end).toBeLessThanOrEqual(performance - DAY.rest.least);
        const next = before[index + 1];
        if (next) expect(next.at - end).toBeGreaterThanOrEqual(DAY.between.least);
        for (const meal of rest.meals)
          expect(start >= meal.at + meal.minutes + DAY.afterMeal || end <= meal.at).toBe(true);
        for (const way of rest.travel) expect(start >= way.at + way.minutes || end <= way.at).toBe(true);
      }
    }),
    { numRuns: 300 },
  );
});
