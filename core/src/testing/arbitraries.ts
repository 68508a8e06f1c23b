import fc from 'fast-check';
import { parsePattern, type LadderInput, type Mode, type Pattern, type PitchRange, type Travel } from '../index.ts';

const MODE_NAMES: readonly Mode[] = ['major', 'minor', 'harmonic-minor', 'dorian', 'mixolydian'];
const TRAVELS: readonly Travel[] = ['rise', 'fall', 'rise-return', 'fall-return', 'rise-fall', 'stay'];

export const modes = fc.constantFrom(...MODE_NAMES);

const degree = fc
  .tuple(
    fc.constantFrom('', '', '', 'b', '#', 'bb'),
    fc.integer({ min: 1, max: 10 }),
    fc.constantFrom('', '', '', "'", ','),
  )
  .map((parts) => parts.join(''));
const duration = fc.oneof(
  fc.constant(''),
  fc
    .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }))
    .map(([a, b]) => `:${String(a)}/${String(b)}`),
  fc.integer({ min: 1, max: 9 }).map((beats) => `:${String(beats)}`),
);
const note = fc.tuple(degree, duration).map((parts) => parts.join(''));
const glide = fc
  .tuple(fc.array(degree, { minLength: 2, maxLength: 4 }), duration)
  .map(([points, beats]) => points.join('~') + beats);
const rest = duration.map((beats) => `r${beats}`);

const { token } = fc.letrec<{ token: string; group: string }>((tie) => ({
  token: fc.oneof({ depthSize: 'small', withCrossShrink: true }, note, note, glide, rest, tie('group')),
  group: fc
    .tuple(fc.array(tie('token'), { minLength: 1, maxLength: 3 }), fc.integer({ min: 1, max: 3 }), duration)
    .map(([tokens, times, factor]) => `(${tokens.join(' ')})x${String(times)}${factor}`),
}));

/** Pattern texts with nested groups, glides and fractions; some are too wide or too long and are refused. */
export const patternTexts = fc.array(token, { minLength: 1, maxLength: 6 }).map((tokens) => tokens.join(' '));

const plainPatterns: fc.Arbitrary<Pattern> = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), fc.boolean()), {
    minLength: 1,
    maxLength: 6,
  })
  .map((moves) =>
    parsePattern(
      moves.map(([a, b, glides]) => (glides ? `${String(a)}~${String(b)}` : `${String(a)} ${String(b)}`)).join(' '),
    ),
  );

const zones: fc.Arbitrary<PitchRange[]> = fc.array(
  fc
    .tuple(fc.integer({ min: 40, max: 84 }), fc.integer({ min: 0, max: 2 }))
    .map(([low, width]) => ({ low, high: low + width })),
  { maxLength: 3 },
);

/** Settings under which a ladder can be built. */
export const ladderInputs: fc.Arbitrary<LadderInput> = fc
  .record({
    pattern: plainPatterns,
    floor: fc.integer({ min: 40, max: 60 }),
    room: fc.integer({ min: 0, max: 26 }),
    place: fc.double({ min: 0, max: 1, noNaN: true }),
    step: fc.integer({ min: 1, max: 4 }),
    returnStep: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
    timesPerKey: fc.integer({ min: 1, max: 3 }),
    maxKeys: fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }),
    touchLimit: fc.boolean(),
    travel: fc.constantFrom(...TRAVELS),
    tempo: fc.integer({ min: 40, max: 160 }),
    tempoStep: fc.integer({ min: 0, max: 4 }),
    cueBeats: fc.integer({ min: 0, max: 4 }),
    restBeats: fc.integer({ min: 0, max: 4 }),
    avoid: zones,
  })
  .map(({ room, place, returnStep, maxKeys, pattern, floor, ...rest }) => ({
    ...rest,
    pattern,
    floor,
    ceiling: floor + (pattern.high - pattern.low) + room,
    start: floor - pattern.low + Math.round(place * room),
    ...(returnStep !== undefined && { returnStep }),
    ...(maxKeys !== undefined && { maxKeys }),
  }));
