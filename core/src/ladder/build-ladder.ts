import { checkSettings, checkSlowestKey } from './check-settings.ts';
import { addKeys } from './keys-by-hand.ts';
import type { Ladder, LadderInput, PlannedKey, Rung, SkippedKey } from './ladder.types.ts';
import { planTravel } from './plan-travel.ts';
import { routeInTime } from './route-in-time.ts';
import type { SecondPass } from './second-pass.schema.ts';
import type { Statement } from '../statement.ts';
import { gapReason, gapSounded, zoneOf, zoneReason, zoneSounded } from './zones.ts';

/** Beats the new key's chord and first note take before the singing, and the breath after it. */
export const USUAL_CUE_BEATS = 4;
export const USUAL_REST_BEATS = 2;

/** Keys that may sound, each with its number among all planned keys (it sets the tempo), and the struck ones. */
interface StruckPlan {
  readonly kept: readonly { readonly key: PlannedKey; readonly turn: number }[];
  readonly skipped: readonly SkippedKey[];
}

const BY_HAND: Statement = { code: 'key.by-hand' };

function strike(input: LadderInput, keys: readonly PlannedKey[]): StruckPlan {
  const kept: { key: PlannedKey; turn: number }[] = [];
  const skipped: SkippedKey[] = [];
  keys.forEach((key, turn) => {
    const zone = zoneSounded(input.pattern, key.tonic, input.avoid ?? []);
    const gap = gapSounded(input.pattern, key.tonic, input.gaps ?? []);
    if (zone) skipped.push({ tonic: key.tonic, reason: zoneReason(zone) });
    else if (gap) skipped.push({ tonic: key.tonic, reason: gapReason(gap) });
    else if (input.struck?.includes(key.tonic)) skipped.push({ tonic: key.tonic, reason: BY_HAND });
    else kept.push({ key, turn });
  });
  return { kept, skipped };
}

function climb(input: LadderInput, plan: StruckPlan): readonly Rung[] {
  const { pattern, cueBeats = USUAL_CUE_BEATS, restBeats = USUAL_REST_BEATS, timesPerKey = 1, restAfter } = input;
  const rungs: Rung[] = [];
  let clock = 0;
  for (const [index, { key, turn }] of plan.kept.entries()) {
    if (restAfter && index > 0 && index % restAfter.keys === 0) clock += restAfter.seconds;
    const { tonic, leg } = key;
    const tempo = input.tempo + (input.tempoStep ?? 0) * turn;
    const beat = 60 / tempo;
    const low = tonic + pattern.low;
    const high = tonic + pattern.high;
    for (let time = 0; time < timesPerKey; time += 1) {
      const singsAt = clock + cueBeats * beat;
      const endsAt = singsAt + pattern.beats * beat;
      // Named one by one: spreading the key here cost twenty times as much.
      rungs.push({
        tonic,
        leg,
        low,
        high,
        startsAt: clock,
        singsAt,
        endsAt,
        tempo,
        zone: zoneOf(low, high, input.bridges),
      });
      clock = endsAt + restBeats * beat;
    }
  }
  return rungs;
}

/**
 * Carries planned keys out: zones and the teacher strike keys, the rest get their times.
 *
 * @param keys as laid out by a travel, or by a change on the way
 */
export function ladderOf(input: LadderInput, keys: readonly PlannedKey[], stoppedBy: Ladder['stoppedBy']): Ladder {
  const plan = strike(input, keys);
  const rungs = climb(input, plan);
  return {
    rungs,
    skipped: plan.skipped,
    stoppedBy,
    seconds: rungs.at(-1)?.endsAt ?? 0,
    voicedSeconds: rungs.reduce((sum, rung) => sum + (input.pattern.voicedBeats * 60) / rung.tempo, 0),
    lowest: rungs.length > 0 ? Math.min(...rungs.map(({ low }) => low)) : null,
    highest: rungs.length > 0 ? Math.max(...rungs.map(({ high }) => high)) : null,
  };
}

/** The first time through ends so much before the second, and never before its own start. */
function firstTimeOf(input: LadderInput, second: Ladder, { further }: SecondPass): LadderInput {
  const { pattern, start, floor, ceiling } = input;
  if (input.travel.startsWith('fall'))
    return { ...input, floor: Math.min(start + pattern.low, Math.max(floor, (second.lowest ?? floor) + further)) };
  return {
    ...input,
    ceiling: Math.max(start + pattern.high, Math.min(ceiling, (second.highest ?? ceiling) - further)),
  };
}

/** A ladder, then the same once more and further; both within the limits, and each in its half of the time. */
function twice(input: LadderInput, again: SecondPass): Ladder {
  const { restBeats = USUAL_REST_BEATS, withinSeconds, maxKeys, step } = input;
  const half = withinSeconds === undefined ? input : { ...input, withinSeconds: withinSeconds / 2 };
  const longer = maxKeys === undefined ? half : { ...half, maxKeys: maxKeys + Math.ceil(again.further / step) };
  const second = onePass(longer);
  const first = onePass(firstTimeOf(half, second, again));
  const last = first.rungs.at(-1);
  const later = last ? last.endsAt + (restBeats * 60) / last.tempo : 0;
  const moved = second.rungs.map((rung) => ({
    ...rung,
    startsAt: rung.startsAt + later,
    singsAt: rung.singsAt + later,
    endsAt: rung.endsAt + later,
    pass: 2 as const,
  }));
  return {
    ...second,
    rungs: [...first.rungs, ...moved],
    seconds: moved.at(-1)?.endsAt ?? first.seconds,
    voicedSeconds: first.voicedSeconds + second.voicedSeconds,
  };
}

/**
 * One pattern carried through the keys, never under `floor`, over `ceiling` or inside a zone.
 *
 * @returns rungs with times in seconds; a ladder whose every key is struck has none
 * @throws LadderError `BAD_SETTING`, `SPAN_EXCEEDS_RANGE`, `START_ABOVE_CEILING`, `START_BELOW_FLOOR`
 * @example 1 2 3 4 5 4 3 2 1:2 from C4, rise-return in A3–D5 at 120 bpm: 15 rungs, 119 s
 */
export function buildLadder(input: LadderInput): Ladder {
  checkSettings(input);
  return input.again && input.travel !== 'stay' ? twice(input, input.again) : onePass(input);
}

function onePass(input: LadderInput): Ladder {
  const { keys: planned, stoppedBy } = planTravel(input);
  const { keys, refused } = addKeys(input, planned);
  checkSlowestKey(input, keys.length);
  const ladder = ladderOf(input, keys, stoppedBy);
  const { withinSeconds = Infinity } = input;
  const fitting =
    ladder.seconds <= withinSeconds
      ? ladder
      : ladderOf(
          input,
          routeInTime(input, keys, withinSeconds, (some) => ladderOf(input, some, stoppedBy).seconds),
          stoppedBy,
        );
  return refused.length === 0 ? fitting : { ...fitting, skipped: [...fitting.skipped, ...refused] };
}
