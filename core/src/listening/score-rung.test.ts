import { parsePattern } from '../pattern/index.ts';
import { frequencyOf } from '../pitch/index.ts';
import {
  evennessOf,
  frameMaker,
  marksHeard,
  onsetOf,
  scoreRung,
  SINGERS,
  singersAudio,
  singTune,
  vibratoOf,
  wantedNotes,
  type PitchFrame,
  type Singer,
  type WantedNote,
} from './index.ts';

const FIVE = parsePattern('1 2 3 4 5 4 3 2 1:2', { mode: 'major' });
const KEY = wantedNotes(FIVE, 60, 92);
const { steady } = SINGERS;
/** Nothing moves, nothing misses. */
const EXACT: Singer = { ...steady, missCents: 0, wobbleCents: 0, vibratoCents: 0 };

const later = (frames: readonly PitchFrame[], seconds: number): readonly PitchFrame[] =>
  frames.map((frame) => ({ ...frame, t: frame.t + seconds }));
const moved = (frames: readonly PitchFrame[], semitones: number): readonly PitchFrame[] =>
  frames.map((frame) => ({ ...frame, hz: frame.hz * 2 ** (semitones / 12) }));
const inNote = (frames: readonly PitchFrame[], { startSeconds, seconds }: WantedNote): readonly PitchFrame[] =>
  frames.filter(({ t }) => t >= startSeconds && t < startSeconds + seconds);

test('the notes of a key are where its tempo puts them; a glide has none', () => {
  expect(KEY).toHaveLength(9);
  expect(KEY[4]?.midi).toBe(67);
  expect(KEY[4]?.startSeconds).toBeCloseTo(240 / 92);
  expect(KEY[4]?.seconds).toBeCloseTo(60 / 92);
  expect(wantedNotes(parsePattern('1 r 5~1:2 3', { mode: 'major' }), 50, 60)).toEqual([
    { midi: 50, startSeconds: 0, seconds: 1 },
    { midi: 54, startSeconds: 4, seconds: 1 },
  ]);
});

describe('scoreRung', () => {
  test.each([-0.25, 0, 0.04, 0.6, 1.5])('a key that is sung %d s late is in tune all the same', (seconds) => {
    const score = scoreRung(later(singTune(steady, KEY, 3), seconds), KEY);
    expect(score.notes.map(({ is }) => is)).toEqual(KEY.map(() => 'sung'));
    expect(score.inTune).toBeGreaterThan(0.8);
    expect(Math.abs(score.cents ?? 99)).toBeLessThan(12);
    expect(Math.abs(score.lagSeconds - seconds)).toBeLessThan(0.1);
    expect(marksHeard(score)).toEqual([]);
  });

  test.each([-20, 0, 30])('%d cents off is told to the cent', (cents) => {
    const score = scoreRung(moved(singTune(EXACT, KEY, 1), cents / 100), KEY);
    expect(Math.abs((score.cents ?? 99) - cents)).toBeLessThanOrEqual(1);
  });

  test('an octave away is named as such; another note is not, and neither is out of tune for it', () => {
    const frames = singTune(EXACT, KEY, 1);
    const low = scoreRung(moved(frames, -12), KEY);
    expect([low.octaves, low.cents, low.notes.every(({ is }) => is === 'octave')]).toEqual([-1, 0, true]);
    expect(marksHeard(low)).toEqual([]);
    const fifth = KEY[4] ?? { midi: 0, startSeconds: 0, seconds: 0 };
    const wrong = frames.map((frame) => (inNote([frame], fifth).length > 0 ? (moved([frame], -2)[0] ?? frame) : frame));
    expect(scoreRung(wrong, KEY).notes.map(({ is }) => is)).toEqual(
      KEY.map((_, index) => (index === 4 ? 'other' : 'sung')),
    );
  });

  test.each<[string, number, readonly string[]]>([
    ['the last note never came', KEY[8]?.startSeconds ?? 0, ['breath']],
    ['half of the last note is enough', (KEY[8]?.startSeconds ?? 0) + 0.75, []],
    ['three notes and no more', KEY[3]?.startSeconds ?? 0, ['breath']],
  ])('%s', (_, end, marks) => {
    const frames = singTune(EXACT, KEY, 1).filter(({ t }) => t < end);
    expect(marksHeard(scoreRung(frames, KEY))).toEqual(marks);
  });

  test('silence proposes nothing; out of tune throughout proposes pitch', () => {
    expect(marksHeard(scoreRung([], KEY))).toEqual([]);
    expect(scoreRung([], KEY)).toMatchObject({ cents: null, inTune: 0 });
    expect(marksHeard(scoreRung(moved(singTune(EXACT, KEY, 1), 0.45), KEY))).toEqual(['pitch']);
  });

  test('a break inside a note is a crack, the leaps of the tune are none', () => {
    const leaps = wantedNotes(parsePattern('1 5 8 5 1:2', { mode: 'major' }), 55, 80);
    expect(scoreRung(singTune(EXACT, leaps, 2), leaps).cracks).toEqual([]);
    const breaking: Singer = { ...EXACT, crackShare: 1, bridge: { low: 62, high: 62 } };
    const score = scoreRung(singTune(breaking, leaps, 2), leaps);
    expect(score.cracks.map(({ from }) => Math.round(from))).toContain(62);
    expect(marksHeard(score)).toEqual(['crack']);
  });

  test('each simulated singer is heard as it sings, through sound as well as by frames', () => {
    for (const [name, singer] of Object.entries(SINGERS)) {
      const tonic = singer.comfortable.low + 1;
      const wanted = wantedNotes(FIVE, tonic, 84).filter(({ midi }) => midi < singer.bridge.low);
      const frames = singTune(singer, wanted, 5);
      const maker = frameMaker(44_100);
      const heard = maker.add(singersAudio(frames, 44_100, 8));
      for (const score of [scoreRung(frames, wanted), scoreRung(heard, wanted)])
        expect([name, score.notes.map(({ is }) => is)]).toEqual([name, wanted.map(() => 'sung')]);
    }
  });
});

/** Two seconds of one note, moved by so many cents at each moment. */
const note = (cents: (t: number) => number, level: (t: number) => number = () => 0.1): readonly PitchFrame[] =>
  Array.from({ length: 125 }, (_, index) => {
    const t = index * 0.016;
    return { t, hz: frequencyOf(64 + cents(t) / 100), clarity: 0.97, level: level(t) };
  });

test.each<[string, (t: number) => number, unknown]>([
  ['5.5 a second, 40 cents', (t) => 40 * Math.sin(2 * Math.PI * 5.5 * t), { rateHz: 5.5, extentCents: 40 }],
  [
    'the same on a note that sinks',
    (t) => 40 * Math.sin(2 * Math.PI * 5.5 * t) - 30 * t,
    { rateHz: 5.5, extentCents: 40 },
  ],
  ['8 a second, 20 cents', (t) => 20 * Math.cos(2 * Math.PI * 8 * t), { rateHz: 8, extentCents: 20 }],
  ['nothing moves', () => 0, 'straight'],
  ['it only sinks', (t) => -60 * t, 'straight'],
  ['too little to be heard', (t) => 6 * Math.sin(2 * Math.PI * 5 * t), 'straight'],
  ['too slow for vibrato', (t) => 40 * Math.sin(2 * Math.PI * 1.2 * t), 'straight'],
])('vibrato: %s', (_, cents, expected) => {
  const found = vibratoOf(note(cents));
  const near = typeof expected === 'object' && found !== null && typeof found === 'object';
  expect(
    near ? { rateHz: Math.round(found.rateHz * 2) / 2, extentCents: Math.round(found.extentCents / 4) * 4 } : found,
  ).toEqual(expected);
});

test('a short note has no vibrato to tell', () => {
  expect(vibratoOf(note(() => 0).slice(0, 30))).toBeNull();
});

test.each<[string, (t: number) => number, number]>([
  ['at once', () => 0, 0],
  ['after a scoop of 200 ms', (t) => (t < 0.2 ? -300 * (1 - t / 0.2) : 0), 176],
])('onset: the pitch is steady %s', (_, cents, expected) => {
  expect(Math.abs((onsetOf(note(cents)) ?? 999) - expected)).toBeLessThanOrEqual(20);
});

test('a glide never steadies', () => {
  expect(onsetOf(note((t) => 900 * t))).toBeNull();
});

test('evenness is the spread of the level, whatever the level is', () => {
  const swelling = (loud: number) =>
    note(
      () => 0,
      (t) => loud * (1 + t / 2),
    );
  expect(evennessOf(note(() => 0))).toBeCloseTo(0);
  expect(evennessOf(swelling(0.1))).toBeCloseTo(evennessOf(swelling(0.3)) ?? 0);
  expect(evennessOf(swelling(0.1)) ?? 0).toBeGreaterThan(0.4);
  expect(evennessOf([])).toBeNull();
});
