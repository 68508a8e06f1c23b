import { practicePlan } from '@soft-lark/core';
import ICAL from 'ical.js';
import { calendarOf } from './calendar-file.ts';

const calendar = async (
  change: Partial<Parameters<typeof practicePlan>[0]> = {},
  version = 3,
): Promise<ICAL.Event[]> => {
  const wishes = {
    from: '2027-03-22',
    weeks: 2,
    weekdays: [6, 7],
    times: ['07:30', '19:00'],
    minutesAGo: 9,
    loadAGo: 4,
    ...change,
  };
  const words = { title: 'Sing: Low, water', description: 'If it hurts, stop.', review: 'Look again' };
  const plan = practicePlan(wishes);
  const text = await calendarOf({ id: 'r1', version, plan, weekdays: wishes.weekdays, minutesAGo: 9, words });
  return new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((entry) => new ICAL.Event(entry));
};

const moments = (event: ICAL.Event | undefined): readonly string[] => {
  const iterator = event?.iterator();
  const all: string[] = [];
  for (let next = iterator?.next(); next; next = iterator?.next()) all.push(next.toString());
  return all;
};

test('every go stands at the same time of the clock, through the change to summer time', async () => {
  const [morning, evening, review] = await calendar();
  expect(moments(morning)).toEqual([
    '2027-03-27T07:30:00',
    '2027-03-28T07:30:00',
    '2027-04-03T07:30:00',
    '2027-04-04T07:30:00',
  ]);
  expect(moments(evening)[1]).toBe('2027-03-28T19:00:00');
  expect(morning?.startDate.zone.tzid).toBe('floating');
  expect(morning?.duration.toSeconds()).toBe(540);
  expect([morning?.summary, morning?.description]).toEqual(['Sing: Low, water', 'If it hurts, stop.']);
  expect([review?.summary, review?.startDate.toString()]).toEqual(['Look again', '2027-05-03']);
});

test('a second import finds the entries of the first: the same ids, a later number', async () => {
  const [before, after] = [await calendar(), await calendar({ weeks: 6 }, 4)];
  expect(after.map(({ uid }) => uid)).toEqual(before.map(({ uid }) => uid));
  expect(new Set(before.map(({ uid }) => uid)).size).toBe(3);
  expect([before[0]?.sequence, after[0]?.sequence]).toEqual([3, 4]);
});
