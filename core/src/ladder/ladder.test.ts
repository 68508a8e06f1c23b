import fc from 'fast-check';
import { LadderError } from '../errors.ts';
import { isSounding, parsePattern } from '../pattern/index.ts';
import { readNote } from '../pitch/index.ts';
import { ladderInputs } from '../testing/arbitraries.ts';
import { keys, ladderOf } from '../testing/ladders.ts';
import { thrownBy } from '../testing/thrown.ts';
import { buildLadder, type LadderInput } from './index.ts';

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
