import fc from 'fast-check';
import { ladderInputs } from '../testing/arbitraries.ts';
import { keys, ladderOf } from '../testing/ladders.ts';
import { buildLadder, fewMoreThenHome, goHome, turnBack, type LadderInput } from './index.ts';

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

  test('a time that is just enough thins nothing, and a moment less does', () => {
    const whole = buildLadder(ladderOf({}));
    const keysWithin = (withinSeconds: number): number => buildLadder(ladderOf({ withinSeconds })).rungs.length;
    expect(keysWithin(whole.seconds)).toBe(whole.rungs.length);
    expect(keysWithin(whole.seconds - 0.01)).toBeLessThan(whole.rungs.length);
    const thinned = buildLadder(ladderOf({ withinSeconds: 110 }));
    expect(keysWithin(thinned.seconds)).toBe(thinned.rungs.length);
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
