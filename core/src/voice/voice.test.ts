import { VoiceError } from '../errors.ts';
import {
  beltCeilingOf,
  checkVoiceFile,
  isYoungVoice,
  neverSounded,
  referenceOf,
  voiceOf,
  type VoiceFile,
} from './index.ts';

const FILE: VoiceFile = { type: 'tenor', style: 'pop', goals: [], bridges: [], avoid: [] };

test.each([
  [{ type: 'treble' }, 60, 69],
  [{ type: 'treble', age: 5 }, 62, 69],
  [{ type: 'treble', age: 11 }, 59, 74],
  [{ type: 'treble', age: 15 }, 59, 74],
  [{ type: 'changing', changingStage: 'new' }, 52, 59],
  [{ type: 'changing' }, 56, 65],
  [{ type: 'bass' }, 43, 59],
] as const)('comfortable default of %j', (voice, low, high) => {
  expect(referenceOf(voice).comfortable).toEqual({ low, high });
});

test.each([
  [{ type: 'tenor' }, 67, false],
  [{ type: 'tenor', beltCeiling: 71 }, 71, false],
  [{ type: 'tenor', age: 17 }, null, true],
  [{ type: 'treble' }, null, true],
  [{ type: 'changing', age: 19 }, null, true],
] as const)('belt of %j is %p, young %p', (voice, belt, young) => {
  expect([beltCeilingOf(voice), isYoungVoice(voice)]).toEqual([belt, young]);
});

test('a voice file as the limits and the ladder take it', () => {
  const file: VoiceFile = {
    ...FILE,
    bridges: [
      { low: 67, high: 68 },
      { low: 62, high: 63 },
    ],
    avoid: [
      { low: 60, high: 61, kind: 'never-sounded' },
      { low: 70, high: 71, kind: 'not-loud' },
    ],
  };
  expect(voiceOf(file)).toEqual({ type: 'tenor', bridges: [62, 67] });
  expect(neverSounded(file)).toEqual([{ low: 60, high: 61 }]);
});

test.each<[string, Partial<VoiceFile>]>([
  ['low above high', { measured: { low: 70, high: 60, date: '2026-11-03' } }],
  ['comfortable outside reach', { measured: { low: 50, high: 65, reachHigh: 64, date: '2026-11-03' } }],
  ['hard limits crossed', { hardFloor: 65, hardCeiling: 60 }],
  ['a zone upside down', { avoid: [{ low: 62, high: 60, kind: 'never-sounded' }] }],
  ['a changing voice without a stage', { type: 'changing' }],
])('refuses %s', (_, change) => {
  expect(() => {
    checkVoiceFile({ ...FILE, ...change });
  }).toThrow(VoiceError);
});
