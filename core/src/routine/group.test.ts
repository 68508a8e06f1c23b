import { contextOf, exercises, MEZZO, step } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import { groupSettings, layGroup, layRoutine, type GroupMember, type GroupStep } from './index.ts';

const BASS: Partial<VoiceFile> = { type: 'bass', bridges: [], measured: { low: 40, high: 62, date: '2026-11-03' } };
const member = (id: string, file: Partial<VoiceFile> = {}, change = {}): GroupMember => ({
  id,
  context: contextOf(change, file),
});
const WARM = ['lip-trill-on-five', 'hum-on-the-chord'].map((id) => step(id));
const lay = (exerciseId: string, ...members: readonly GroupMember[]): GroupStep | undefined =>
  layGroup([...WARM, step(exerciseId)], members, exercises).at(-1);

test('a mezzo and a bass share keys an octave apart', () => {
  const found = lay('up-and-down-five', member('Ada', MEZZO), member('Ben', BASS));
  expect(found?.common?.octaveOf).toEqual({ Ada: 0, Ben: -1 });
  expect(found?.common?.tonics.length).toBeGreaterThanOrEqual(6);
  expect([found?.smaller, found?.common?.groups, found?.resting]).toEqual([undefined, undefined, []]);
});

test('every key in common lies within the limits of every singer that day, zones kept out', () => {
  const zone = { low: 66, high: 66, kind: 'never-sounded' as const };
  const members = [
    member('Ada', { avoid: [zone] }),
    member('Ben', BASS, { conditions: ['tired'] }),
    member('Cleo', { type: 'soprano', measured: { low: 60, high: 81, date: '2026-11-03' } }),
  ];
  for (const one of layGroup([...WARM, step('thirds'), step('from-light-down')], members, exercises)) {
    const { common, pattern } = one;
    if (!common || !pattern) throw new Error('a pattern has keys');
    for (const { id, context } of members) {
      const settings = groupSettings(one, id);
      if (!settings) continue;
      const alone = layRoutine([...WARM, { id: 'it', exerciseId: one.exercise.id, settings }], context).steps.at(-1);
      expect(alone?.problem?.code).toBeUndefined();
      const octave = 12 * (common.octaveOf[id] ?? 0);
      const rungs = alone?.laid?.kind === 'pattern' ? alone.laid.ladder.rungs : [];
      expect(rungs.length).toBeGreaterThan(0);
      for (const { tonic } of rungs) expect(common.tonics).toContain(tonic - octave);
      if (id === 'Ada')
        for (const tonic of common.tonics)
          expect(
            pattern.events.some(
              ({ from = -99, to = -99 }) =>
                tonic + octave + Math.min(from, to) <= zone.high && tonic + octave + Math.max(from, to) >= zone.low,
            ),
          ).toBe(false);
    }
  }
});

test('with under three keys a smaller shape or two groups are proposed, by name', () => {
  const narrow = (id: string, low: number): GroupMember =>
    member(id, { measured: { low, high: low + 16, date: '2026-11-03' } });
  const found = lay('chord-up-and-down', narrow('Ada', 55), narrow('Ben', 61), narrow('Cleo', 56), narrow('Dot', 62));
  expect(found?.common?.tonics.length).toBeLessThan(3);
  expect(found?.smaller).toBeDefined();
  expect(found?.common?.groups).toEqual([
    ['Ada', 'Cleo'],
    ['Ben', 'Dot'],
  ]);
});

test('who may not sing it today rests, with the reason; the others go on', () => {
  const found = lay('speech-like-call', member('Ada', MEZZO), member('Ben', BASS, { conditions: ['recovering'] }));
  expect(found?.resting).toEqual([
    { id: 'Ben', reason: { code: 'OFF_WHILE_RECOVERING', values: expect.anything() as object } },
  ]);
  expect(Object.keys(found?.common?.octaveOf ?? {})).toEqual(['Ada']);
});

test('steps without keys have time only, and a step whose exercise is gone is left out', () => {
  const found = layGroup([step('standing-check'), step('no-such-thing')], [member('Ada')], exercises);
  expect(found.map(({ exercise, common }) => [exercise.id, common])).toEqual([['standing-check', undefined]]);
});
