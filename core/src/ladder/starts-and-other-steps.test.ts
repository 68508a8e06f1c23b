import fc from 'fast-check';
import { FIVE } from '../testing/ladders.ts';
import { thrownBy } from '../testing/thrown.ts';
import { buildSiren, proposeStart, type SirenInput } from './index.ts';

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
  ] as const)('%s', (_, placement, voice, start, movesBy) => {
    expect(proposeStart({ ...limits, placement, voice: { type: 'mezzo-soprano', ...voice } })).toEqual({
      start,
      movesBy,
    });
  });

  test('a pattern wider than the limits has no start', () => {
    expect(
      proposeStart({ ...limits, ceiling: 64, placement: { rule: 'speaking-pitch' }, voice: { type: 'bass' } }),
    ).toBeNull();
  });
});

describe('glides', () => {
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
    ['ends as notes, within the limits', { low: 50, high: 63, shape: 'up' }, [[58, 63]], 0],
    ['of which too little is left, it moves clear', { avoid: [{ low: 61, high: 67 }], shape: 'up' }, [[68, 76]], 0],
    ['no further than it must', { low: 60, high: 66, avoid: [{ low: 60, high: 62 }], shape: 'up' }, [[63, 66]], 1],
    ['where half of it finds no room it stays', { avoid: [{ low: 61, high: 73 }], shape: 'up' }, [], 2],
  ])('%s', (_, change, expected, skipped) => {
    const { pieces, skipped: left } = buildSiren({ ...siren, ...change });
    expect(pieces.filter(({ pass }) => pass === 0).map(({ from, to }) => [from, to])).toEqual(expected);
    expect(left).toHaveLength(skipped);
  });

  test('a glide that a zone splits keeps its pace: each piece sounds when the whole would have been there', () => {
    const { pieces } = buildSiren({ ...siren, avoid: [{ low: 64, high: 64 }] });
    const told = pieces
      .slice(0, 8)
      .map(({ from, to, startsAt, endsAt }) => [from, to, Number(startsAt.toFixed(3)), Number(endsAt.toFixed(3))]);
    const once = [
      [60, 63, 0, 0.833],
      [65, 69, 1.389, 2.5],
      [69, 65, 2.5, 3.611],
      [63, 60, 4.167, 5],
    ];
    expect(told.slice(0, 4)).toEqual(once);
    // Five seconds and two of rest later the same again.
    expect(told.slice(4)).toEqual(once.map(([from, to, start = 0, end = 0]) => [from, to, start + 7, end + 7]));
  });

  test('an end in a zone at the end of the range moves into the range, and the glide begins there', () => {
    const [first] = buildSiren({ ...siren, lowShare: 0, avoid: [{ low: 58, high: 60 }], shape: 'up' }).pieces;
    expect(first).toMatchObject({ from: 61, startsAt: 0 });
  });

  test('where it was moved from is told, and nothing where it was not', () => {
    expect(buildSiren({ ...siren, avoid: [{ low: 61, high: 67 }] }).movedFrom).toEqual({ low: 60, high: 69 });
    expect(buildSiren({ ...siren, avoid: [{ low: 69, high: 70 }] }).movedFrom).toBeUndefined();
  });

  test('every second one goes the other way round', () => {
    const starts = ({ pieces }: ReturnType<typeof buildSiren>) =>
      [0, 1, 2].map((pass) => pieces.find((piece) => piece.pass === pass)?.from);
    expect(starts(buildSiren({ ...siren, mirrored: true }))).toEqual([60, 69, 60]);
    expect(starts(buildSiren({ ...siren, shape: 'down', mirrored: true }))).toEqual([69, 60, 69]);
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
