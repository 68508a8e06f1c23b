import { LadderError } from '../errors.ts';
import { writeNote } from '../pitch/index.ts';
import { badSetting } from './check-settings.ts';
import type { Statement } from '../statement.ts';
import type { PitchRange } from '../voice/index.ts';

export const SIREN_SHAPES = ['up', 'down', 'up-down', 'down-up'] as const;
export type SirenShape = (typeof SIREN_SHAPES)[number];

/** Settings of a free glide. `lowShare` and `highShare` are fractions of floor..ceiling; seconds a pass and between. */
export interface SirenInput {
  readonly floor: number;
  readonly ceiling: number;
  readonly lowShare: number;
  readonly highShare: number;
  /** The ends as notes, MIDI, instead of shares; kept within floor and ceiling. */
  readonly low?: number;
  readonly high?: number;
  /** Every second pass goes the other way round. */
  readonly mirrored?: boolean;
  readonly shape: SirenShape;
  readonly repeats: number;
  readonly secondsEach: number;
  readonly restSeconds: number;
  readonly avoid?: readonly PitchRange[];
}

/** One sounding piece of a glide; seconds from the start of the step, MIDI. */
export interface SirenPiece {
  readonly pass: number;
  readonly from: number;
  readonly to: number;
  readonly startsAt: number;
  readonly endsAt: number;
}

export interface Siren {
  readonly pieces: readonly SirenPiece[];
  readonly skipped: readonly { readonly from: number; readonly to: number; readonly reason: Statement }[];
  readonly seconds: number;
  readonly voicedSeconds: number;
  readonly lowest: number | null;
  readonly highest: number | null;
  /** Where it would have gone, had it not been moved clear of what is never sounded. */
  readonly movedFrom?: PitchRange;
}

/** House choice: a piece narrower than a minor third is no glide any more. */
const LEAST_PIECE = 3;

/** House choice: a glide of which less than this share is left is moved clear of the zone, where it keeps as much. */
const LEAST_SHARE = 0.5;

const MIRRORED: Readonly<Record<SirenShape, SirenShape>> = {
  up: 'down',
  down: 'up',
  'up-down': 'down-up',
  'down-up': 'up-down',
};

const LEGS: Readonly<Record<SirenShape, readonly ('up' | 'down')[]>> = {
  up: ['up'],
  down: ['down'],
  'up-down': ['up', 'down'],
  'down-up': ['down', 'up'],
};

function checkSiren(input: SirenInput): void {
  const { floor, ceiling, repeats, secondsEach, restSeconds } = input;
  if (!(Number.isInteger(repeats) && repeats >= 1)) throw badSetting('repeats', repeats, 'a whole number from 1', 1);
  if (!(secondsEach > 0)) throw badSetting('secondsEach', secondsEach, 'over 0', 4);
  if (!(restSeconds >= 0)) throw badSetting('restSeconds', restSeconds, '0 or more', 0);
  for (const setting of ['lowShare', 'highShare'] as const) {
    const share = input[setting];
    if (!(share >= 0 && share <= 1)) throw badSetting(setting, share, 'between 0 and 1', share > 1 ? 1 : 0);
  }
  if (ceiling - floor < LEAST_PIECE) {
    throw new LadderError(
      'SPAN_EXCEEDS_RANGE',
      `${writeNote(floor)} to ${writeNote(ceiling)} leaves no room to glide.`,
      'Choose a step without a glide, or widen the limits.',
      { setting: 'pattern', value: null },
      { limits: { interval: { low: floor, high: ceiling } }, context: 'glide' },
    );
  }
}

/** The glide's stretch of pitch, cut at the zones: whole notes outside every zone, lowest first. */
function openStretches(low: number, high: number, avoid: readonly PitchRange[]): readonly PitchRange[] {
  const stretches: { low: number; high: number }[] = [];
  for (let note = low; note <= high; note += 1) {
    if (avoid.some((zone) => note >= zone.low && note <= zone.high)) continue;
    const last = stretches.at(-1);
    if (last?.high === note - 1) last.high = note;
    else stretches.push({ low: note, high: note });
  }
  return stretches;
}

/** Moves an end that lies in a zone to the nearest note outside it; the outer one of two equally near. */
function clearOfZones(note: number, input: SirenInput, outer: 1 | -1): number {
  const isFree = (at: number): boolean =>
    at >= input.floor && at <= input.ceiling && !(input.avoid ?? []).some(({ low, high }) => at >= low && at <= high);
  for (let distance = 0; distance <= input.ceiling - input.floor; distance += 1) {
    if (isFree(note + outer * distance)) return note + outer * distance;
    if (isFree(note - outer * distance)) return note - outer * distance;
  }
  return note;
}

function layPass(input: SirenInput, pass: number, stretches: readonly PitchRange[], ends: PitchRange): SirenPiece[] {
  const legs = LEGS[input.mirrored && pass % 2 === 1 ? MIRRORED[input.shape] : input.shape];
  const legSeconds = input.secondsEach / legs.length;
  const passStart = pass * (input.secondsEach + input.restSeconds);
  const span = ends.high - ends.low;
  return legs.flatMap((direction, leg) => {
    const ordered = direction === 'up' ? stretches : [...stretches].reverse();
    return ordered.map(({ low, high }) => {
      const [from, to] = direction === 'up' ? [low, high] : [high, low];
      const travelled = direction === 'up' ? from - ends.low : ends.high - from;
      const startsAt = passStart + legSeconds * (leg + travelled / span);
      return { pass, from, to, startsAt, endsAt: startsAt + (legSeconds * (high - low)) / span };
    });
  });
}

const spanOf = ({ low, high }: PitchRange): number => high - low;

/** The stretches wide enough to glide in. */
function wideEnough(stretches: readonly PitchRange[]): readonly PitchRange[] {
  return stretches.filter((stretch) => spanOf(stretch) >= LEAST_PIECE);
}

/** Where a glide would go if there were no zones. */
function wantedEnds({ floor, ceiling, lowShare, highShare, low, high }: SirenInput): PitchRange {
  const heightOf = (share: number): number => Math.round(floor + share * (ceiling - floor));
  const kept = (note: number): number => Math.max(floor, Math.min(ceiling, note));
  const ends = [kept(low ?? heightOf(lowShare)), kept(high ?? heightOf(highShare))];
  return { low: Math.min(...ends), high: Math.max(...ends) };
}

/** The nearest place clear of every zone where at least half of a glide finds room; none where there is none. */
function movedClear(wanted: PitchRange, { floor, ceiling, avoid = [] }: SirenInput): PitchRange | undefined {
  const least = Math.max(LEAST_PIECE, LEAST_SHARE * spanOf(wanted));
  const places = openStretches(floor, ceiling, avoid)
    .filter((stretch) => spanOf(stretch) >= least)
    .map((stretch) => {
      const span = Math.min(spanOf(wanted), spanOf(stretch));
      const low = Math.max(stretch.low, Math.min(stretch.high - span, wanted.low));
      return { low, high: low + span };
    });
  const farness = (place: PitchRange): number => Math.abs(place.low - wanted.low) + Math.abs(place.high - wanted.high);
  return places.sort((a, b) => farness(a) - farness(b))[0];
}

/** The ends of a glide and its stretches between the zones; moved clear of them where too little would be left of it. */
function placed(input: SirenInput): {
  readonly ends: PitchRange;
  readonly stretches: readonly PitchRange[];
  readonly movedFrom?: PitchRange;
} {
  const wanted = wantedEnds(input);
  const tips = [clearOfZones(wanted.low, input, -1), clearOfZones(wanted.high, input, 1)];
  const ends = { low: Math.min(...tips), high: Math.max(...tips) };
  const stretches = openStretches(ends.low, ends.high, input.avoid ?? []);
  const left = wideEnough(stretches).reduce((sum, stretch) => sum + spanOf(stretch), 0);
  const moved = left < LEAST_SHARE * spanOf(wanted) ? movedClear(wanted, input) : undefined;
  return moved && spanOf(moved) > left ? { ends: moved, stretches: [moved], movedFrom: wanted } : { ends, stretches };
}

/**
 * Lays a free glide between two heights of the range. It never crosses a zone: an end inside one moves out, a zone in
 * the middle splits the glide, pieces under a third are left out with the reason; where less than half would be left,
 * the whole glide moves to the nearest place clear of the zone that holds at least half of it.
 *
 * @throws LadderError `BAD_SETTING`, `SPAN_EXCEEDS_RANGE`
 * @example floor 58, ceiling 76, 0.1 to 0.6, up-down: 60 to 69 and back
 */
export function buildSiren(input: SirenInput): Siren {
  checkSiren(input);
  const { ends, stretches, movedFrom } = placed(input);
  const sung = wideEnough(stretches);
  const pieces = Array.from({ length: input.repeats }, (_, pass) => layPass(input, pass, sung, ends)).flat();
  return {
    pieces,
    ...(movedFrom && { movedFrom }),
    skipped: stretches
      .filter((stretch) => !sung.includes(stretch))
      .map((stretch) => ({ from: stretch.low, to: stretch.high, reason: { code: 'key.short-glide' } })),
    seconds: pieces.length > 0 ? input.repeats * (input.secondsEach + input.restSeconds) - input.restSeconds : 0,
    voicedSeconds: pieces.reduce((sum, piece) => sum + piece.endsAt - piece.startsAt, 0),
    lowest: pieces.length > 0 ? Math.min(...sung.map((stretch) => stretch.low)) : null,
    highest: pieces.length > 0 ? Math.max(...sung.map((stretch) => stretch.high)) : null,
  };
}
