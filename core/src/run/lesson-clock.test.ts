import { lessonClock, type LessonClock } from './index.ts';

test.each<[string, Parameters<typeof lessonClock>[0], LessonClock]>([
  [
    'as planned, with the lesson after it',
    { minutes: 10, spent: 240, left: 360, lesson: { seconds: 1800, left: 1560 } },
    { overBy: 0, minutesLeft: 6, afterwards: 1200 },
  ],
  [
    'before the lesson begins there is no more of it than it lasts',
    { minutes: 10, spent: 0, left: 300, lesson: { seconds: 1800, left: 2700 } },
    { overBy: 0, minutesLeft: 10, afterwards: 1800 },
  ],
  [
    'under a minute over is no sign',
    { minutes: 10, spent: 299, left: 360, lesson: null },
    { overBy: 0, minutesLeft: 5, afterwards: null },
  ],
  [
    'a long talk before it',
    { minutes: 10, spent: 400, left: 420, lesson: { seconds: 1800, left: 600 } },
    { overBy: 220, minutesLeft: 3, afterwards: 180 },
  ],
  [
    'its minutes are gone: a refit has one all the same',
    { minutes: 10, spent: 900, left: 120, lesson: { seconds: 1800, left: 60 } },
    { overBy: 420, minutesLeft: 1, afterwards: -60 },
  ],
  [
    'what is sung to its end runs over no more',
    { minutes: 10, spent: 900, left: 0, lesson: { seconds: 1800, left: 600 } },
    { overBy: 0, minutesLeft: 1, afterwards: 600 },
  ],
])('%s', (_, minutes, clock) => {
  expect(lessonClock(minutes)).toEqual(clock);
});
