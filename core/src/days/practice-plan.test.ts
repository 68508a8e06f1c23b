import fc from 'fast-check';
import { daysBetween, weekdayOf } from '../voice/index.ts';
import { PRACTICE, practicePlan, type PracticeWishes } from './index.ts';

const wishes = (change: Partial<PracticeWishes> = {}): PracticeWishes => ({
  from: '2026-11-30',
  weeks: 4,
  weekdays: [1, 3, 5],
  times: ['07:30', '17:00'],
  minutesAGo: 8,
  loadAGo: 5,
  ...change,
});

test('so many goes on so many days for so many weeks, over the change of the year', () => {
  const plan = practicePlan(wishes());
  expect(plan).toMatchObject({ goesAWeek: 6, weekLoad: 30, reviewOn: '2027-01-11', findings: [] });
  expect(plan.goes).toHaveLength(24);
  expect(plan.goes.slice(0, 3)).toEqual([
    { date: '2026-11-30', time: '07:30' },
    { date: '2026-11-30', time: '17:00' },
    { date: '2026-12-02', time: '07:30' },
  ]);
  expect(plan.goes.at(-1)).toEqual({ date: '2026-12-25', time: '17:00' });
});

test.each<[string, Partial<PracticeWishes>, number | undefined, readonly unknown[]]>([
  ['as much as usual', {}, 30, []],
  ['nothing known of four weeks', { loadAGo: 90 }, undefined, []],
  ['a third more than usual', {}, 22, [{ code: 'TOO_MUCH', mark: 'much', share: expect.closeTo(30 / 22) as number }]],
  ['twice the usual', {}, 15, [{ code: 'TOO_MUCH', mark: 'light-day', share: 2 }]],
  [
    'goes an hour apart, told in their order',
    { times: ['17:00', '16:00', '16:00', '08:00'] },
    undefined,
    [{ code: 'TOO_CLOSE', times: ['16:00', '17:00'], leastGapHours: 2 }],
  ],
  ['an hour apart where that is wished', { times: ['16:00', '17:00'], leastGapHours: 1 }, undefined, []],
  [
    'a go that runs into the next',
    { times: ['16:00', '16:20'], leastGapHours: 0, minutesAGo: 30 },
    undefined,
    [{ code: 'TOO_CLOSE', times: ['16:00', '16:20'], leastGapHours: 0.5 }],
  ],
])('%s', (_, change, usual, findings) => {
  expect(practicePlan(wishes(change), usual).findings).toEqual(findings);
});

test('every go lies on a day that was chosen, inside the weeks, each once', () => {
  const times = fc.uniqueArray(fc.constantFrom('07:00', '12:30', '18:00', '21:15'), {
    maxLength: PRACTICE.goesADay[1],
  });
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 1, max: 7 })),
      times,
      fc.integer({ min: 1, max: 12 }),
      (weekdays, at, weeks) => {
        const { goes, goesAWeek } = practicePlan(wishes({ weekdays, times: at, weeks }));
        expect(goes).toHaveLength(goesAWeek * weeks);
        expect(new Set(goes.map(({ date, time }) => date + time)).size).toBe(goes.length);
        for (const { date } of goes) {
          expect(weekdays).toContain(weekdayOf(date));
          expect(daysBetween('2026-11-30', date)).toBeLessThan(weeks * 7);
        }
      },
    ),
  );
});
