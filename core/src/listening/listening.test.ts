import { frequencyOf } from '../pitch/index.ts';
import {
  conductCheck,
  findingsOf,
  findRange,
  frameMaker,
  hearingOf,
  heldNotes,
  SINGERS,
  singersAudio,
  singNote,
  speakLine,
  startCheck,
  type CheckState,
  type PitchFrame,
  type Singer,
  type SingerName,
} from './index.ts';
import { medianOf, pitchOf } from './voiced.ts';

const NAMES = Object.keys(SINGERS) as SingerName[];

/** Frames of a steady pitch, 16 ms apart. */
function tone(midi: number, seconds: number, from = 0, change: Partial<PitchFrame> = {}): PitchFrame[] {
  return Array.from({ length: Math.round(seconds / 0.016) }, (_, index) => ({
    t: from + index * 0.016,
    hz: frequencyOf(midi),
    clarity: 0.97,
    level: 0.1,
    ...change,
  }));
}

describe('heldNotes', () => {
  test.each<[string, readonly PitchFrame[], readonly number[]]>([
    ['a second of A4', tone(69, 1), [69]],
    ['half a second is too short', tone(69, 0.5), []],
    ['40 cents off is still the note', tone(69.4, 1), [69]],
    ['60 cents off is the next', tone(69.6, 1), [70]],
    ['two notes in one breath', [...tone(60, 0.8), ...tone(62, 0.8, 0.8)], [60, 62]],
    ['unclear sound does not count', tone(69, 1, 0, { clarity: 0.5 }), []],
    ['nor does a very quiet one', tone(69, 1, 0, { level: 0.001 }), []],
    ['a short wobble does not end it', [...tone(60, 0.5), ...tone(62, 0.06, 0.5), ...tone(60, 0.5, 0.56)], [60]],
    [
      'an octave slip of the detector does not end it',
      [...tone(60, 0.5), ...tone(72, 0.05, 0.5), ...tone(60, 0.5, 0.55)],
      [60],
    ],
    [
      'a fast glide holds nothing',
      Array.from({ length: 100 }, (_, i) => ({
        ...tone(60, 0.016)[0],
        t: i * 0.016,
        hz: frequencyOf(50 + i / 5),
        clarity: 1,
        level: 0.1,
      })),
      [],
    ],
  ])('%s', (_, frames, notes) => {
    expect(heldNotes(frames).map(({ midi }) => midi)).toEqual(notes);
  });
});

describe('findRange', () => {
  test('lowest, highest and the notes that are missing between', () => {
    const frames = [60, 62, 67].flatMap((midi, index) => tone(midi, 0.8, index * 1.2));
    expect(findRange(frames)).toMatchObject({ lowest: 60, highest: 67, gaps: [{ low: 63, high: 66 }], cracks: [] });
    expect(findRange([])).toMatchObject({ lowest: null, highest: null });
  });

  test('a leap of five semitones is a crack, an octave for a moment is a slip, a step is neither', () => {
    const leap = [...tone(60, 0.5), ...tone(65, 0.08, 0.5), ...tone(60, 0.5, 0.58)];
    expect(findRange(leap).cracks.map(({ from, to }) => [Math.round(from), Math.round(to)])).toEqual([
      [60, 65],
      [65, 60],
    ]);
    const slip = [...tone(60, 0.5), ...tone(72, 0.05, 0.5), ...tone(60, 0.5, 0.55)];
    expect(findRange(slip).cracks).toEqual([]);
    expect(findRange([...tone(60, 0.7), ...tone(63, 0.7, 0.7)]).cracks).toEqual([]);
  });

  test('a dip of the level while the pitch goes on is a turnover', () => {
    const frames = [...tone(64, 0.5), ...tone(64, 0.08, 0.5, { level: 0.03 }), ...tone(64, 0.5, 0.58)];
    expect(findRange(frames).turnovers.map(({ at }) => Math.round(at))).toEqual([64]);
    expect(findRange(tone(64, 1)).turnovers).toEqual([]);
  });
});

test.each<[string, readonly PitchFrame[], string]>([
  ['silence', tone(60, 3, 0, { level: 0.001 }), 'nothing'],
  ['loud noise', tone(60, 3, 0, { clarity: 0.2, level: 0.3 }), 'noise'],
  ['mains hum at 50 Hz', tone(pitchOf(50), 3), 'hum'],
  ['mains hum at 100 Hz', tone(pitchOf(100), 3), 'hum'],
  ['a sung note beside it', tone(43, 3), 'voice'],
  ['a whistle', tone(90, 3), 'whistle'],
  ['a spoken line', speakLine(SINGERS.steady, 3), 'talk'],
  ['music without a breath', Array.from({ length: 40 }, (_, i) => tone(60 + (i % 5), 0.7, i * 0.7)).flat(), 'music'],
  ['a singer', singNote(SINGERS.breathy, 60, 1).frames, 'voice'],
])('the microphone hears %s', (_, frames, hearing) => {
  expect(hearingOf(frames)).toBe(hearing);
});

describe('the simulated singer', () => {
  test.each(NAMES)('%s: the same seed sings the same, another does not', (name) => {
    expect(singNote(SINGERS[name], 60, 4)).toEqual(singNote(SINGERS[name], 60, 4));
    expect(singNote(SINGERS[name], 60, 5)).not.toEqual(singNote(SINGERS[name], 60, 4));
  });

  test('who cracks at the bridge four times in five does so, whichever seeds one begins with', () => {
    for (const first of [1, 500, 90_000]) {
      const sung = Array.from({ length: 100 }, (_, index) => singNote(SINGERS.cracking, 62, first + index));
      const cracked = sung.filter(({ frames }) => findRange(frames).cracks.length > 0).length;
      expect(Math.abs(cracked - 80)).toBeLessThanOrEqual(12);
    }
  });

  test.each(NAMES)('%s: the speaking note is the median of talk', (name) => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const median = medianOf(speakLine(SINGERS[name], seed).map(({ hz }) => pitchOf(hz)));
      expect(Math.abs(median - SINGERS[name].speakingNote)).toBeLessThan(1);
    }
  });
});

/** A whole check by ear alone: each note asked for is sung, and counts when it is heard to be held. */
function wholeCheck(singer: Singer, seed: number): CheckState {
  const talk = medianOf(speakLine(singer, seed).map(({ hz }) => pitchOf(hz)));
  let state = conductCheck(startCheck(), { type: 'speaking', midi: Math.round(talk) });
  for (let asked = 0; state.phase !== 'review' && asked < 200; asked += 1) {
    const { frames, answer } = singNote(singer, state.target, seed);
    const { held, cracks, turnovers } = findRange(frames);
    for (const { from } of cracks.slice(0, 1)) state = conductCheck(state, { type: 'turn', midi: Math.round(from) });
    for (const { at } of turnovers.slice(0, 1)) state = conductCheck(state, { type: 'turn', midi: Math.round(at) });
    const note = held[0]?.midi;
    state = conductCheck(state, note === undefined ? { type: 'missed' } : { type: 'held', midi: note });
    if (note !== undefined && answer === 'possible' && state.ease === 'easy')
      state = conductCheck(state, { type: 'harder' });
  }
  return state;
}

test.each(NAMES)('a check of %s finds the true comfortable range within a semitone, twenty times', (name) => {
  const { comfortable, reach, gap, bridge } = SINGERS[name];
  for (let seed = 1; seed <= 20; seed += 1) {
    const found = findingsOf(wholeCheck(SINGERS[name], seed));
    const off = [
      (found.comfortable?.low ?? 0) - comfortable.low,
      (found.comfortable?.high ?? 0) - comfortable.high,
      (found.reach?.low ?? 0) - reach.low,
      (found.reach?.high ?? 0) - reach.high,
    ];
    expect([seed, off.every((semitones) => Math.abs(semitones) <= 1)]).toEqual([seed, true]);
    expect(found.gaps).toEqual(gap ? [gap] : []);
    if (!gap)
      expect(found.bridges.some(({ low, high }) => low <= bridge.high + 1 && high >= bridge.low - 1)).toBe(true);
  }
});

describe('a check by hand', () => {
  const begun = (): CheckState => conductCheck(startCheck(), { type: 'speaking', midi: 57 });
  const sing = (state: CheckState, ...notes: number[]): CheckState =>
    notes.reduce((at, midi) => conductCheck(at, { type: 'held', midi }), state);

  test('the keys give the same result as the ear: easy, only just, and no more', () => {
    let state = sing(begun(), 57, 56, 55, 54);
    state = sing(conductCheck(state, { type: 'harder' }), 53);
    state = conductCheck(state, { type: 'leg-over' });
    expect([state.phase, state.target, state.ease]).toEqual(['up', 58, 'easy']);
    state = sing(state, 58, 60, 62, 64);
    state = sing(conductCheck(state, { type: 'harder' }), 65);
    const found = findingsOf(conductCheck(state, { type: 'leg-over' }));
    expect(found).toEqual({
      speakingNote: 57,
      comfortable: { low: 55, high: 62 },
      reach: { low: 53, high: 65 },
      gaps: [
        { low: 59, high: 59 },
        { low: 61, high: 61 },
      ],
      bridges: [],
    });
  });

  test('a note is taken back; nothing counts before the speaking note or after the end', () => {
    expect(sing(startCheck(), 57)).toEqual(startCheck());
    const back = conductCheck(sing(begun(), 57, 56), { type: 'take-back' });
    expect([back.target, Object.keys(back.sung)]).toEqual([56, ['57']]);
    const over = conductCheck(conductCheck(back, { type: 'leg-over' }), { type: 'leg-over' });
    expect(sing(over, 80)).toBe(over);
  });

  test('taking back goes on note by note, and how notes count is again as it was', () => {
    const harder = conductCheck(sing(begun(), 57, 56, 54), { type: 'harder' });
    const takeBack = (state: CheckState): CheckState => conductCheck(state, { type: 'take-back' });
    expect([harder.ease, harder.sung]).toEqual(['possible', { 54: 'possible', 56: 'easy', 57: 'easy' }]);
    const once = takeBack(harder);
    expect([once.ease, once.target, once.last]).toEqual(['easy', 54, 56]);
    const thrice = takeBack(takeBack(once));
    expect([thrice.target, thrice.last, thrice.sung]).toEqual([57, null, {}]);
    // The leg before is over; what came in it stays.
    const up = sing(conductCheck(sing(begun(), 57, 56), { type: 'leg-over' }), 58);
    expect(takeBack(takeBack(up)).sung).toEqual({ 56: 'easy', 57: 'easy' });
  });

  test('turns near each other are one bridge with two edges', () => {
    const state = [64, 65, 66, 72].reduce((at, midi) => conductCheck(at, { type: 'turn', midi }), begun());
    expect(findingsOf(state).bridges).toEqual([
      { low: 64, high: 66 },
      { low: 72, high: 72 },
    ]);
  });
});

test.each([8_000, 22_050, 44_100, 48_000, 96_000, 192_000])(
  'from the lowest bass to a high soprano every note is heard at %i samples a second',
  (rate) => {
    for (const hz of [65.41, 82.41, 220, 440, 1046.5]) {
      const samples = Float32Array.from({ length: rate / 4 }, (_, index) => {
        const phase = (2 * Math.PI * hz * index) / rate;
        return 0.3 * Math.sin(phase) + 0.1 * Math.sin(2 * phase);
      });
      const frames = frameMaker(rate).add(samples);
      expect(frames.length).toBeGreaterThan(8);
      const cents = medianOf(frames.map((frame) => 1200 * Math.log2(frame.hz / hz)));
      expect([rate, hz, Math.abs(cents) < 15]).toEqual([rate, hz, true]);
    }
  },
);

describe('pitch of sound', () => {
  const RATE = 44_100;

  function framesOf(samples: Float32Array): readonly PitchFrame[] {
    const maker = frameMaker(RATE);
    const frames: PitchFrame[] = [];
    for (let at = 0; at < samples.length; at += 4096) frames.push(...maker.add(samples.subarray(at, at + 4096)));
    return frames;
  }

  /** A tone with harmonics, and noise 20 dB below it. */
  function noisyTone(hz: number, seconds: number): Float32Array {
    let seed = 7;
    const chance = (): number => {
      seed = (seed * 16_807) % 2_147_483_647;
      return seed / 2_147_483_647 - 0.5;
    };
    return Float32Array.from({ length: Math.round(seconds * RATE) }, (_, index) => {
      const phase = (2 * Math.PI * hz * index) / RATE;
      const sound = 0.2 * (Math.sin(phase) + Math.sin(2 * phase) / 2 + Math.sin(3 * phase) / 3);
      return sound + chance() * 0.2 * 0.1 * Math.sqrt(12) * 0.82;
    });
  }

  test.each([65, 82.4, 110, 146.8, 220, 329.6, 440, 659.3, 880, 1000])('%d Hz within 5 cents, 20 at most', (hz) => {
    const frames = framesOf(noisyTone(hz, 1));
    const off = frames.map((frame) => Math.abs(pitchOf(frame.hz) - pitchOf(hz)) * 100).sort((a, b) => a - b);
    expect(frames.length).toBeGreaterThan(50);
    expect(medianOf(off)).toBeLessThan(5);
    expect(off[Math.floor(off.length * 0.95)]).toBeLessThan(20);
  });

  test('frames come 20 ms apart or faster, whatever the size of the blocks', () => {
    const frames = framesOf(noisyTone(220, 0.5));
    const steps = frames.slice(1).map(({ t }, index) => t - (frames[index]?.t ?? 0));
    expect(Math.max(...steps)).toBeLessThanOrEqual(0.02);
    const maker = frameMaker(RATE);
    const samples = noisyTone(220, 0.5);
    const small: PitchFrame[] = [];
    for (let at = 0; at < samples.length; at += 128) small.push(...maker.add(samples.subarray(at, at + 128)));
    expect(small).toEqual(frames);
  });

  test.each(NAMES)('the sound of %s is heard as it was sung, never an octave off', (name) => {
    const singer = SINGERS[name];
    for (const midi of [singer.comfortable.low, singer.speakingNote + 3, singer.comfortable.high]) {
      const { frames } = singNote(singer, midi, 2, 0.2);
      const heard = findRange(framesOf(singersAudio(frames, RATE, 2)));
      expect(heard.held.map((note) => note.midi)).toEqual([midi]);
    }
  });
});
