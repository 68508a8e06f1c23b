import fc from 'fast-check';
import { thrownBy } from '../testing/thrown.ts';
import { LadderError } from '../errors.ts';
import { isSounding, parsePattern } from '../pattern/index.ts';
import { readNote, writeNote } from '../pitch/index.ts';
import { ladderInputs } from '../testing/arbitraries.ts';
import {
  breathMoment,
  breathSeconds,
  buildLadder,
  buildSiren,
  fewMoreThenHome,
  goHome,
  proposeStart,
  spokenSeconds,
  turnBack,
  type LadderInput,
  type SirenInput,
} from './index.ts';

const FIVE = parsePattern('1 2 3 4 5 4 3 2 1:2');
const keys = (list: readonly { tonic: number }[]): string => list.map(({ tonic }) => writeNote(tonic)).join(' ');

const ladderOf = (change: Partial<LadderInput>): LadderInput => ({
  pattern: FIVE,
  start: 60,
  step: 1,
  travel: 'rise-return',
  floor: 57,
  ceiling: 74,
  tempo: 120,
  ...change,
});

describe('worked examples', () => {
  test('up and down five on C4: fifteen keys, 119 s', () => {
    const ladder = buildLadder(ladderOf({}));
    expect(keys(ladder.rungs.slice(0, 9))).toBe('C4 D♭4 D4 E♭4 E4 F4 F♯4 G4 F♯4');
    expect([ladder.rungs.length, ladder.highest, ladder.seconds, ladder.voicedSeconds]).toEqual([
      15,
      readNote('D5'),
      119,
      75,
    ]);
    expect(ladder.rungs.at(-1)?.tonic).toBe(60);
    expect(ladder.stoppedBy).toBe('ceiling');
  });

  test('whole tones that touch the limit: nine keys, 71.875 s', () => {
    const ladder = buildLadder(
      ladderOf({
        pattern: parsePattern('1 3 5 8 5 3 1'),
        start: 45,
        step: 2,
        touchLimit: true,
        floor: 43,
        ceiling: 64,
        tempo: 96,
      }),
    );
    expect(keys(ladder.rungs)).toBe('A2 B2 D♭3 E♭3 E3 D3 C3 B♭2 A2');
    expect(ladder.seconds).toBe(71.875);
  });

  test('a fall around a note that is never sounded: four keys, 27.6 s', () => {
    const ladder = buildLadder(
      ladderOf({
        pattern: parsePattern('5 4 3 2 1:2'),
        start: 65,
        travel: 'fall',
        ceiling: 77,
        avoid: [{ low: 64, high: 64 }],
        tempo: 100,
      }),
    );
    expect(keys(ladder.rungs)).toBe('F4 E♭4 D♭4 B♭3');
    expect(keys(ladder.skipped)).toBe('E4 D4 C4 B3 A3');
    expect(ladder.seconds).toBeCloseTo(27.6, 9);
  });
});

describe('travel', () => {
  const octave = parsePattern('1 8');
  test.each<[string, Partial<LadderInput>, string]>([
    ['rise', { travel: 'rise', step: 3 }, 'C4 E♭4 F♯4'],
    ['rise capped', { travel: 'rise', maxKeys: 2 }, 'C4 D♭4'],
    ['fall', { travel: 'fall' }, 'C4 B3 B♭3 A3'],
    ['fall and return in whole tones', { travel: 'fall-return', returnStep: 2 }, 'C4 B3 B♭3 A3 B3 C4'],
    ['rise and fall past the start', { travel: 'rise-fall', maxKeys: 3, returnStep: 2 }, 'C4 D♭4 D4 C4 B♭3'],
    [
      'rise and fall touching the floor',
      { travel: 'rise-fall', maxKeys: 3, returnStep: 2, touchLimit: true },
      'C4 D♭4 D4 C4 B♭3 A3',
    ],
    ['stay', { travel: 'stay', touchLimit: true, maxKeys: 5 }, 'C4'],
    ['one outward key comes home as one key', { maxKeys: 1 }, 'C4'],
    ['twice in each key', { travel: 'rise', maxKeys: 2, timesPerKey: 2 }, 'C4 C4 D♭4 D♭4'],
    ['no touch past the cap', { travel: 'rise', step: 4, touchLimit: true, maxKeys: 2 }, 'C4 E4'],
    ['touch within the cap', { travel: 'rise', step: 4, touchLimit: true, maxKeys: 3 }, 'C4 E4 G4'],
    [
      'an octave in an octave and a third',
      { pattern: octave, travel: 'rise', floor: 60, ceiling: 76 },
      'C4 D♭4 D4 E♭4 E4',
    ],
    ['a struck top leaves its neighbour twice', { maxKeys: 3, avoid: [{ low: 69, high: 69 }] }, 'C4 D♭4 D♭4 C4'],
  ])('%s', (_, change, expected) => {
    expect(keys(buildLadder(ladderOf(change)).rungs)).toBe(expected);
  });

  test('every key struck is a ladder without rungs', () => {
    const ladder = buildLadder(ladderOf({ avoid: [{ low: 0, high: 127 }] }));
    expect(ladder).toMatchObject({ rungs: [], seconds: 0, voicedSeconds: 0, lowest: null, highest: null });
    expect(ladder.skipped).toHaveLength(15);
  });

  test('tempo grows at each planned key, on the way home too', () => {
    const { rungs } = buildLadder(ladderOf({ maxKeys: 2, tempoStep: 4, timesPerKey: 2 }));
    expect(rungs.map(({ tempo }) => tempo)).toEqual([120, 120, 124, 124, 128, 128]);
  });

  test('zones against the first bridge', () => {
    const zones = buildLadder(ladderOf({ pattern: parsePattern('1 3'), travel: 'rise', bridges: [65, 72] })).rungs.map(
      ({ zone }) => zone,
    );
    expect(zones.join(' ')).toBe('low bridge bridge bridge bridge bridge above above above above above');
  });
});

describe('refusals', () => {
  test.each<[Partial<LadderInput>, string, unknown]>([
    [{ step: 0 }, 'BAD_SETTING', 1],
    [{ step: 1.6 }, 'BAD_SETTING', 2],
    [{ returnStep: 0 }, 'BAD_SETTING', 1],
    [{ maxKeys: -3 }, 'BAD_SETTING', 1],
    [{ timesPerKey: Number.NaN }, 'BAD_SETTING', 1],
    [{ tempo: 0 }, 'BAD_SETTING', 84],
    [{ cueBeats: -1 }, 'BAD_SETTING', 0],
    [{ tempo: 4, tempoStep: -1 }, 'BAD_SETTING', -0],
    [{ step: 0, start: 99 }, 'BAD_SETTING', 1],
    [{ ceiling: 63 }, 'SPAN_EXCEEDS_RANGE', '1 2 3 4 3 2 1:2'],
    [{ ceiling: 57 }, 'SPAN_EXCEEDS_RANGE', null],
    [{ start: 68 }, 'START_ABOVE_CEILING', 67],
    [{ start: 50 }, 'START_BELOW_FLOOR', 57],
  ])('%j is refused as %s, nearest %p', (change, code, nearest) => {
    let refused: unknown;
    try {
      buildLadder(ladderOf(change));
    } catch (error) {
      refused = error;
    }
    expect(refused).toBeInstanceOf(LadderError);
    expect(refused).toMatchObject({ name: 'LadderError', code, nearest: { value: nearest } });
  });

  test('the nearest start of a refusal is taken', () => {
    fc.assert(
      fc.property(ladderInputs, fc.integer({ min: -30, max: 30 }), (input, shift) => {
        try {
          buildLadder({ ...input, start: input.start + shift });
        } catch (error) {
          if (!(error instanceof LadderError)) throw error;
          expect(thrownBy(() => buildLadder({ ...input, start: Number(error.nearest.value) }))).toBeUndefined();
        }
      }),
      { numRuns: 2000 },
    );
  });
});

describe('properties of every ladder', () => {
  test('never outside its limits, never inside a zone', () => {
    fc.assert(
      fc.property(ladderInputs, (input) => {
        const isZoned = (note: number): boolean =>
          (input.avoid ?? []).some((zone) => note >= zone.low && note <= zone.high);
        const soundsIn = (tonic: number): number[] =>
          input.pattern.events.filter(isSounding).flatMap(({ from, to }) => {
            const low = Math.min(from, to);
            return Array.from({ length: Math.abs(to - from) + 1 }, (_, step) => tonic + low + step);
          });
        const wrong = buildLadder(input).rungs.filter(
          ({ tonic, low, high }) => low < input.floor || high > input.ceiling || soundsIn(tonic).some(isZoned),
        );
        expect(wrong).toEqual([]);
      }),
      { numRuns: 4000 },
    );
  });

  test('a returning ladder whose start is not struck comes home to it, and zones change nothing else', () => {
    fc.assert(
      fc.property(ladderInputs, (input) => {
        const free = buildLadder({ ...input, avoid: [] });
        const struck = buildLadder(input);
        expect(struck.rungs.length + struck.skipped.length * (input.timesPerKey ?? 1)).toBe(free.rungs.length);
        const returns = input.travel === 'rise-return' || input.travel === 'fall-return';
        if (returns && struck.rungs[0]?.tonic === input.start) expect(struck.rungs.at(-1)?.tonic).toBe(input.start);
      }),
      { numRuns: 4000 },
    );
  });

  test('the clock adds up', () => {
    fc.assert(
      fc.property(ladderInputs, (input) => {
        const { rungs, seconds, voicedSeconds } = buildLadder(input);
        const beats = (input.cueBeats ?? 4) + input.pattern.beats + (input.restBeats ?? 2);
        const whole = rungs.reduce((sum, { tempo }) => sum + (beats * 60) / tempo, 0);
        const last = rungs.at(-1);
        expect(seconds).toBeCloseTo(last ? whole - ((input.restBeats ?? 2) * 60) / last.tempo : 0, 6);
        expect(voicedSeconds).toBeCloseTo(
          rungs.reduce((sum, { tempo }) => sum + (input.pattern.voicedBeats * 60) / tempo, 0),
          6,
        );
        const inOrder = rungs.every(
          (rung, index) => rung.startsAt >= (rungs[index - 1]?.endsAt ?? 0) && rung.singsAt >= rung.startsAt,
        );
        expect(inOrder).toBe(true);
      }),
      { numRuns: 3000 },
    );
  });
});

describe('turning round by hand', () => {
  test('the planned way home from the key being sung', () => {
    expect(keys(turnBack(ladderOf({ returnStep: 2 }), 65).rungs)).toBe('E♭4 D♭4 C4');
    expect(turnBack(ladderOf({}), 60).rungs).toHaveLength(0);
    expect(keys(turnBack(ladderOf({ travel: 'fall' }), 57).rungs)).toBe('B♭3 B3 C4');
    expect(keys(goHome(ladderOf({ timesPerKey: 3 })).rungs)).toBe('C4');
  });

  test('zones hold on the way home as well', () => {
    expect(keys(turnBack(ladderOf({ avoid: [{ low: 63, high: 63 }] }), 66).rungs)).toBe('F4 E4 D4 C4');
  });
});

describe('keys by hand', () => {
  test.each<[string, Partial<LadderInput>, string, string]>([
    ['one struck, both ways', { struck: [62] }, 'C4 D♭4 E♭4 E4 F4 F♯4 G4 F♯4 F4 E4 E♭4 D♭4 C4', 'D4 D4'],
    [
      'the turn struck: its neighbour twice',
      { struck: [67], ceiling: 74 },
      'C4 D♭4 D4 E♭4 E4 F4 F♯4 F♯4 F4 E4 E♭4 D4 D♭4 C4',
      'G4',
    ],
    ['one put between whole tones', { step: 2, returnStep: 12, added: [63] }, 'C4 D4 E♭4 E4 F♯4 C4', ''],
    ['one put past the most keys', { maxKeys: 3, returnStep: 12, added: [65] }, 'C4 D♭4 D4 F4 C4', ''],
    ['one over the top is refused', { maxKeys: 2, added: [70] }, 'C4 D♭4 C4', 'B♭4'],
    [
      'on a fall it stands in the order of the fall',
      { travel: 'fall', step: 3, start: 67, added: [65, 67] },
      'G4 F4 E4 D♭4 B♭3',
      '',
    ],
  ])('%s', (_, change, sung, skipped) => {
    const ladder = buildLadder(ladderOf(change));
    expect(keys(ladder.rungs)).toBe(sung);
    expect(keys(ladder.skipped)).toBe(skipped);
  });
});

describe('route in a time', () => {
  const WIDE = { floor: 48, ceiling: 79 };
  test.each<[string, Partial<LadderInput>, string]>([
    ['time for all', { withinSeconds: 119 }, keys(buildLadder(ladderOf({})).rungs)],
    ['the way home goes in whole tones first', { withinSeconds: 110 }, 'C4 D♭4 D4 E♭4 E4 F4 F♯4 G4 F♯4 F4 E4 D4 C4'],
    ['then the way out, but for the last three semitones', { withinSeconds: 90 }, 'C4 D4 E4 F4 F♯4 G4 F♯4 F4 E4 D4 C4'],
    [
      'semitones stay around a bridge',
      { ...WIDE, bridges: [71], withinSeconds: 160 },
      'C4 D4 E♭4 E4 F4 F♯4 A♭4 A4 B♭4 B4 C5 B4 B♭4 A4 F♯4 F4 E4 E♭4 D4 C4',
    ],
    ['start, turn and home are all there is', { withinSeconds: 10 }, 'C4 G4 C4'],
  ])('%s', (_, change, sung) => {
    expect(keys(buildLadder(ladderOf(change)).rungs)).toBe(sung);
  });

  test('it fits wherever start, turn and home fit, and start and turn are those of the whole ladder', () => {
    fc.assert(
      fc.property(ladderInputs, fc.double({ min: 0, max: 1, noNaN: true }), (input, share) => {
        const whole = buildLadder({ ...input, avoid: [] });
        const withinSeconds = whole.seconds * share;
        const thinned = buildLadder({ ...input, avoid: [], withinSeconds });
        const least = buildLadder({ ...input, avoid: [], withinSeconds: 0 });
        expect(thinned.rungs[0]?.tonic).toBe(whole.rungs[0]?.tonic);
        expect([thinned.highest, thinned.lowest].some((end) => end === whole.highest || end === whole.lowest)).toBe(
          true,
        );
        if (least.seconds <= withinSeconds) expect(thinned.seconds).toBeLessThanOrEqual(withinSeconds);
        expect(thinned.seconds).toBeLessThanOrEqual(whole.seconds);
      }),
      { numRuns: 500 },
    );
  });
});

describe('a few more, then home', () => {
  test.each<[string, number, number, number, string]>([
    ['two more with time enough', 62, 2, 200, 'E♭4 E4 E♭4 D4 D♭4 C4'],
    ['two more, home in whole tones', 62, 2, 45, 'E♭4 E4 D4 C4'],
    ['two more, straight home', 62, 2, 24, 'E♭4 E4 C4'],
    ['no time even for that', 62, 2, 15, 'time'],
    ['one over the top', 66, 2, 200, 'limit'],
    ['none more: the way home alone', 62, 0, 200, 'D♭4 C4'],
  ])('%s', (_, from, more, seconds, expected) => {
    const found = fewMoreThenHome(ladderOf({}), from, 1, more, seconds);
    expect(found.canBe ? keys(found.ladder.rungs) : found.because).toBe(expected);
    if (found.canBe) expect(found.ladder.seconds).toBeLessThanOrEqual(seconds);
  });
});

describe('proposeStart', () => {
  const limits = { pattern: FIVE, floor: 58, ceiling: 75 };
  test.each([
    ['low-anchor', { rule: 'low-anchor', semitones: 3 }, {}, 61, 0],
    ['high-anchor', { rule: 'high-anchor', semitones: 2 }, {}, 66, 0],
    ['speaking pitch', { rule: 'speaking-pitch' }, { speakingNote: 59 }, 59, 0],
    ['speaking pitch unknown', { rule: 'speaking-pitch' }, {}, 61, 0],
    ['speaking pitch under the floor', { rule: 'speaking-pitch' }, { speakingNote: 55 }, 58, 3],
    ['bridge-anchor', { rule: 'bridge-anchor', semitones: 2 }, { bridges: [64, 72] }, 67, 0],
    ['bridge-anchor over a low bridge', { rule: 'bridge-anchor', semitones: 2 }, { bridges: [67] }, 62, 0],
    ['no bridge to stand on', { rule: 'bridge-anchor', semitones: 2 }, {}, 61, 0],
    ['absolute', { rule: 'absolute', notes: { 'mezzo-soprano': 60 } }, {}, 60, 0],
    ['absolute too high', { rule: 'absolute', notes: { 'mezzo-soprano': 72 } }, {}, 68, -4],
  ] as const)('%s', (_, placement, voice, start, movedBy) => {
    expect(proposeStart({ ...limits, placement, voice: { type: 'mezzo-soprano', ...voice } })).toEqual({
      start,
      movedBy,
    });
  });

  test('a pattern wider than the limits has no start', () => {
    expect(
      proposeStart({ ...limits, ceiling: 64, placement: { rule: 'speaking-pitch' }, voice: { type: 'bass' } }),
    ).toBeNull();
  });
});

describe('other kinds of step', () => {
  test.each([
    [{ inCounts: 4, holdCounts: 0, outCounts: 6, restCounts: 0, cycles: 6, countTempo: 60 }, 60],
    [{ inCounts: 4, holdCounts: 3, outCounts: 4, restCounts: 2, cycles: 3, countTempo: 78 }, 30],
    [{ repeats: 2, secondsEach: 8, restSeconds: 30 }, 46],
  ])('breath %j lasts %p s', (breath, seconds) => {
    expect(breathSeconds(breath)).toBeCloseTo(seconds, 9);
  });

  test.each([
    [0, { cycle: 1, phase: 'in', count: 1 }],
    [4.5, { cycle: 1, phase: 'out', count: 2 }],
    [15, { cycle: 1, phase: 'rest', count: 1 }],
    [21, { cycle: 2, phase: 'in', count: 1 }],
    [84, null],
  ])('at %p s the breath is at %j', (seconds, moment) => {
    expect(
      breathMoment({ inCounts: 3, holdCounts: 0, outCounts: 12, restCounts: 6, cycles: 4, countTempo: 60 }, seconds),
    ).toEqual(moment);
  });

  test('spoken work quickens', () => {
    expect(spokenSeconds({ repeats: 6, beats: 4, tempo: 96 })).toBeCloseTo(15, 9);
    expect(spokenSeconds({ repeats: 2, beats: 8, tempo: 120, quickening: 0.06 })).toBeCloseTo(4 + 4 / 1.06, 9);
  });

  const siren: SirenInput = {
    floor: 58,
    ceiling: 76,
    lowShare: 0.1,
    highShare: 0.6,
    shape: 'up-down',
    repeats: 4,
    secondsEach: 5,
    restSeconds: 2,
  };

  test('a glide up and down between two heights of the range', () => {
    const { pieces, seconds, voicedSeconds, lowest, highest } = buildSiren(siren);
    expect([pieces.length, seconds, voicedSeconds, lowest, highest]).toEqual([8, 26, 20, 60, 69]);
    expect(pieces[1]).toEqual({ pass: 0, from: 69, to: 60, startsAt: 2.5, endsAt: 5 });
  });

  test.each<[string, Partial<SirenInput>, [number, number][], number]>([
    ['an end in a zone moves out', { avoid: [{ low: 69, high: 70 }], shape: 'up' }, [[60, 68]], 0],
    [
      'a zone in the middle splits it',
      { avoid: [{ low: 64, high: 64 }], shape: 'up' },
      [
        [60, 63],
        [65, 69],
      ],
      0,
    ],
    ['pieces under a third are left out', { avoid: [{ low: 62, high: 63 }], shape: 'up' }, [[64, 69]], 1],
  ])('%s', (_, change, expected, skipped) => {
    const { pieces, skipped: left } = buildSiren({ ...siren, ...change });
    expect(pieces.filter(({ pass }) => pass === 0).map(({ from, to }) => [from, to])).toEqual(expected);
    expect(left).toHaveLength(skipped);
  });

  test.each<[Partial<SirenInput>, string]>([
    [{ repeats: 0 }, 'BAD_SETTING'],
    [{ secondsEach: 0 }, 'BAD_SETTING'],
    [{ highShare: 1.2 }, 'BAD_SETTING'],
    [{ ceiling: 60 }, 'SPAN_EXCEEDS_RANGE'],
  ])('refuses %j', (change, code) => {
    expect(thrownBy(() => buildSiren({ ...siren, ...change }))).toMatchObject({ code });
  });

  test('glides keep out of every zone and inside the limits', () => {
    const zone = fc.tuple(fc.integer({ min: 55, max: 80 }), fc.integer({ min: 0, max: 4 }));
    fc.assert(
      fc.property(
        fc.array(zone, { maxLength: 3 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (zones, lowShare, highShare) => {
          const avoid = zones.map(([low, width]) => ({ low, high: low + width }));
          const wrong = buildSiren({ ...siren, lowShare, highShare, avoid }).pieces.filter(({ from, to }) => {
            const [low, high] = [Math.min(from, to), Math.max(from, to)];
            return low < 58 || high > 76 || avoid.some((area) => low <= area.high && high >= area.low);
          });
          expect(wrong).toEqual([]);
        },
      ),
      { numRuns: 3000 },
    );
  });
});
