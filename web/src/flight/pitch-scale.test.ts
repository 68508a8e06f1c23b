import { layRoutine, referenceOf, shippedExercises, type VoiceFile } from '@soft-lark/core';
import { pitchScale, todaysLimits, todaysTop, voiceSpan } from './pitch-scale.ts';

const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const VOICE: VoiceFile = {
  type: 'tenor',
  style: 'classical',
  goals: [],
  bridges: [],
  avoid: [],
  measured: { low: 50, high: 67, reachLow: 48, reachHigh: 71, date: '2026-11-03' },
};
const lay = (...ids: readonly string[]) =>
  layRoutine(
    ids.map((id) => ({ id, exerciseId: id, settings: {} })),
    {
      voice: VOICE,
      conditions: [],
      occasion: 'lesson',
      exercises,
      known: new Set(exercises.keys()),
      now: '2026-11-25T15:00:00Z',
    },
  );

test.each([
  ['the lowest at the bottom', 48, 100],
  ['the highest at the top', 72, 0],
  ['the middle between', 60, 50],
])('%s', (_, midi, y) => {
  expect(pitchScale(48, 72, 0, 100).y(midi)).toBe(y);
});

test('a scale of one note does not divide by nothing', () => {
  expect(pitchScale(60, 60, 0, 100).y(60)).toBe(100);
});

test.each<[string, VoiceFile, object]>([
  ['measured with reach', VOICE, { low: 50, high: 67, reachLow: 48, reachHigh: 71 }],
  [
    'measured without',
    { ...VOICE, measured: { low: 50, high: 67, date: '2026-11-03' } },
    { low: 50, high: 67, reachLow: 50, reachHigh: 67 },
  ],
])('the span of a voice that was %s', (_, voice, span) => {
  expect(voiceSpan(voice, referenceOf(voice))).toEqual(span);
});

test('a voice that was never measured has the usual span of its type', () => {
  const { type, style, goals, bridges, avoid } = VOICE;
  const file = { type, style, goals, bridges, avoid };
  const { comfortable, usual } = referenceOf(file);
  expect(voiceSpan(file, { comfortable, usual, bridges: [] })).toEqual({
    ...comfortable,
    reachLow: usual.low,
    reachHigh: usual.high,
  });
});

test('today’s limits are those of ordinary work, not of gentle glides and hums', () => {
  const mixed = lay('lip-trill-glides', 'hum-on-the-chord', 'lip-trill-on-five', 'up-and-down-five', 'thirds');
  const plain = lay('lip-trill-glides', 'hum-on-the-chord', 'thirds');
  const top = todaysTop(mixed);
  expect(['up-and-down-five', 'thirds', 'hum-on-the-chord']).toContain(top?.exercise.id);
  expect(todaysLimits(mixed)?.ceiling).toBe(top?.limits.ceiling);
  expect(todaysLimits(plain)?.ceiling).toBeLessThanOrEqual(67);
});

test('where there is only gentle work its limits stand in, and silent work has none', () => {
  expect(todaysLimits(lay('lip-trill-glides'))?.ceiling).toBeGreaterThan(60);
  expect([todaysLimits(lay('long-hiss')), todaysTop(lay('long-hiss'))]).toEqual([null, undefined]);
});
