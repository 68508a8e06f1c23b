import { breatheOut, frameMaker, hearBreath, HOP_SECONDS, SINGERS, singersAudio, type PitchFrame } from './index.ts';

const { steady, breathy } = SINGERS;
const COUNTED = { seconds: 12, countSeconds: 1 };

/** A room of one loudness for so long, from two seconds before the breath. */
const room = (level: number, seconds = 16): readonly PitchFrame[] =>
  Array.from({ length: Math.round(seconds / HOP_SECONDS) }, (_, index) => ({
    t: index * HOP_SECONDS - 2,
    hz: 0,
    clarity: 0.1,
    level,
  }));
/** What sounds together, as a microphone would hear it. */
const together = (under: readonly PitchFrame[], over: readonly PitchFrame[]): readonly PitchFrame[] => {
  const levels = new Map(over.map(({ t, level }) => [Math.round(t / HOP_SECONDS), level]));
  return under.map((frame) => {
    const level = levels.get(Math.round(frame.t / HOP_SECONDS)) ?? 0;
    return { ...frame, level: Math.hypot(frame.level, level) };
  });
};
const without = (frames: readonly PitchFrame[], from: number, seconds: number): readonly PitchFrame[] =>
  frames.filter(({ t }) => t < from || t >= from + seconds);

test.each<[string, readonly PitchFrame[], number, string | null]>([
  ['as long as it was to be', breatheOut(steady, 12, 1), 12, 'on-count'],
  ['in a room with a fan', together(room(0.012), breatheOut(steady, 12, 2)), 12, 'on-count'],
  ['out of breath before the last count', breatheOut(breathy, 12, 3), 9, 'early'],
  ['half a count short is on the count', breatheOut(steady, 11.6, 4), 11.6, 'on-count'],
  ['gone on after the last count', breatheOut(steady, 13.4, 5), 13.4, 'late'],
  ['a catch in it ends nothing', without(breatheOut(steady, 12, 6), 5, 0.2), 12, 'on-count'],
  ['begun anew after a breath: the longer of both', without(breatheOut(steady, 12, 7), 8, 0.8), 8, 'early'],
])('a breath out is heard: %s', (_, frames, seconds, arrival) => {
  const heard = hearBreath(frames, COUNTED);
  expect(heard?.arrival).toBe(arrival);
  expect(Math.abs((heard?.seconds ?? 0) - seconds)).toBeLessThan(0.8);
  expect(heard?.evenness).toBeGreaterThan(0.05);
});

test('what lasts as long as it can arrives at no count', () => {
  expect(hearBreath(breatheOut(steady, 20, 1), { seconds: 24, countSeconds: null })).toMatchObject({ arrival: null });
});

test.each<[string, readonly PitchFrame[]]>([
  ['no sound at all', []],
  ['a quiet room', room(0.001)],
  ['a fan', room(0.03)],
  ['a click', breatheOut(steady, 0.3, 1)],
])('nothing is heard in %s', (_, frames) => {
  expect(hearBreath(frames, COUNTED)).toBeNull();
});

test('rendered as sound and heard again it has its length', () => {
  const samples = singersAudio(breatheOut(steady, 4, 1), 44_100, 6);
  const heard = hearBreath(frameMaker(44_100).add(samples), { seconds: 4, countSeconds: 0.5 });
  expect(heard?.arrival).toBe('on-count');
  expect(Math.abs((heard?.seconds ?? 0) - 3.9)).toBeLessThan(0.2);
});
