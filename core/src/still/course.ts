import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { chanceFrom } from '../chance.ts';
import { promptOf, type BreathWork, type SpokenWork, type StillWork, type TimedWork } from '../shelf/index.ts';

/** What is done in one part of a step without pitch. */
export const STILL_ACTS = ['in', 'hold', 'out', 'rest', 'go', 'longest', 'prompt', 'say'] as const;
export type StillAct = (typeof STILL_ACTS)[number];
type StillSide = 'left' | 'right' | 'forward' | 'back';

/** One part of a step without pitch; seconds from its start. */
export interface StillPart {
  readonly act: StillAct;
  readonly startsAt: number;
  readonly seconds: number;
  /** Round, cycle or go it belongs to, from 1. */
  readonly round: number;
  /** Counts or beats in it. */
  readonly counts?: number;
  readonly text?: string;
  readonly side?: StillSide;
}

/** What happens when in a step without pitch. */
export interface StillCourse {
  readonly parts: readonly StillPart[];
  readonly rounds: number;
  readonly seconds: number;
}

type Loose = Omit<StillPart, 'startsAt'>;

const roundsTo = (count: number): readonly number[] => Array.from({ length: count }, (_, index) => index + 1);

/** A rest stands between rounds, never after the last. */
function withRests(
  rounds: number,
  restSeconds: number,
  inRound: (round: number) => readonly Loose[],
): readonly Loose[] {
  return roundsTo(rounds).flatMap((round): readonly Loose[] => [
    ...inRound(round),
    ...(restSeconds > 0 && round < rounds ? [{ act: 'rest' as const, seconds: restSeconds, round }] : []),
  ]);
}

function breathParts({ counts, bursts, longest }: BreathWork): readonly Loose[] {
  if (counts) {
    const { inCounts, holdCounts, outCounts, restCounts, cycles, countTempo, growsBy, growsTo = Infinity } = counts;
    return roundsTo(cycles).flatMap((round) => {
      const out = Math.max(outCounts, Math.min(growsTo, outCounts + growsBy * (round - 1)));
      const phases = { in: inCounts, hold: holdCounts, out, rest: restCounts };
      return (Object.keys(phases) as (keyof typeof phases)[])
        .filter((act) => phases[act] > 0)
        .map((act) => ({ act, seconds: (phases[act] * 60) / countTempo, round, counts: phases[act] }));
    });
  }
  if (bursts)
    return withRests(bursts.repeats, bursts.restSeconds, (round) => [
      { act: 'go', seconds: bursts.secondsEach, round },
    ]);
  return longest
    ? withRests(longest.rounds, longest.restSeconds, (round) => [
        { act: 'longest', seconds: longest.mostSeconds, round },
      ])
    : [];
}

const SIDES = { once: [undefined], 'both-sides': ['left', 'right'], 'both-directions': ['forward', 'back'] } as const;

/** Prompts with seconds of their own have them; the others share what is left. */
function timedParts({ prompts, seconds }: TimedWork): readonly Loose[] {
  const all = prompts.map(promptOf);
  const given = all.reduce((sum, prompt) => sum + (prompt.seconds ?? 0), 0);
  const free = all.filter((prompt) => prompt.seconds === undefined).length;
  const share = free === 0 ? 0 : Math.max(0, seconds - given) / free;
  return all.flatMap(({ text, seconds: own = share, each = 'once' }, index) => {
    const sides = SIDES[each];
    return sides.map((side) => ({
      act: 'prompt' as const,
      seconds: own / sides.length,
      round: index + 1,
      text,
      ...(side && { side }),
    }));
  });
}

/** The lines in their order, or drawn by the seed; the same never twice running. */
function linesOf({ text, lines, order, repeats }: SpokenWork, seed: number): readonly string[] {
  const all = lines.length > 0 ? lines : [text];
  const generator = chanceFrom(seed);
  const said: string[] = [];
  for (let index = 0; index < repeats; index += 1) {
    const others = all.filter((line) => line !== said.at(-1));
    const drawn = others[others.length > 1 ? uniformInt(generator, 0, others.length - 1) : 0];
    said.push((order === 'drawn' ? drawn : undefined) ?? all[index % all.length] ?? text);
  }
  return said;
}

function spokenParts(work: SpokenWork, seed: number): readonly Loose[] {
  const { beats, tempo, quickening, restSeconds, repeats } = work;
  const said = linesOf(work, seed);
  return withRests(repeats, restSeconds, (round) => [
    {
      act: 'say',
      seconds: (beats * 60) / (tempo * (1 + quickening) ** (round - 1)),
      round,
      counts: beats,
      text: said[round - 1] ?? work.text,
    },
  ]);
}

function partsOf(work: StillWork, seed: number): readonly Loose[] {
  switch (work.kind) {
    case 'breath':
      return breathParts(work);
    case 'timed':
      return timedParts(work);
    case 'spoken':
      return spokenParts(work, seed);
  }
}

/**
 * What happens when in a step of breath, of the body or of words.
 *
 * @param seed draws the lines where these are drawn; the same seed draws the same
 * @example courseOf({ kind: 'breath', counts: in 4, out 6, two cycles at 60 }).parts // in 0–4, out 4–10, in 10–14, out 14–20
 */
export function courseOf(work: StillWork, seed = 1): StillCourse {
  let clock = 0;
  const parts = partsOf(work, seed).map((part) => {
    const startsAt = clock;
    clock += part.seconds;
    return { ...part, startsAt };
  });
  return { parts, rounds: Math.max(0, ...parts.map(({ round }) => round)), seconds: clock };
}

/** Where a step without pitch stands. */
export interface StillMoment {
  readonly part: StillPart;
  /** Count or beat of the part, from 1; none where it has no counts. */
  readonly count?: number;
  readonly secondsLeft: number;
  readonly next?: StillPart;
}

/**
 * The part a course is in.
 *
 * @param seconds since its start
 * @returns `null` once it is over
 */
export function momentOf({ parts }: StillCourse, seconds: number): StillMoment | null {
  const index = parts.findIndex(({ startsAt, seconds: lasts }) => seconds < startsAt + lasts);
  const part = parts[index];
  if (!part) return null;
  const into = seconds - part.startsAt;
  const next = parts[index + 1];
  return {
    part,
    secondsLeft: part.seconds - into,
    ...(part.counts !== undefined && { count: Math.floor((into * part.counts) / part.seconds) + 1 }),
    ...(next && { next }),
  };
}
