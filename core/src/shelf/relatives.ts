import { parsePattern, formatPattern } from '../pattern/index.ts';
import type { Obstacle, VoiceFile } from '../voice/index.ts';
import type { Exercise } from './exercise.schema.ts';
import { isNoLouder, isSungWork } from './pattern-of.ts';

/** Source: house ranking of what a substitute should keep, the weightiest first. */
const WEIGHTS = { effect: 4, pattern: 2, noMoreEffort: 2, known: 1, noLouder: 1 } as const;

/** What a relative keeps of an exercise, and what is lost with it. */
export type Kept = keyof typeof WEIGHTS | 'words' | 'stage' | 'kit';

interface Substitute {
  readonly exercise: Exercise;
  readonly rank: number;
  readonly kept: readonly Kept[];
  readonly lost: readonly Kept[];
}

/** Whether an exercise can be done in spite of an obstacle. House rules: what each asks of lips, kit, place and ears. */
export function isPossibleWith(exercise: Exercise, obstacle: Obstacle): boolean {
  const sungOn = 'syllables' in exercise.work ? (exercise.work.syllables ?? '') : '';
  switch (obstacle) {
    case 'cannot-trill':
      return !/^(brr|rr)\b/.test(sungOn);
    case 'no-straw':
      return !exercise.kit.includes('straw');
    case 'thin-walls':
      return isNoLouder(exercise, 'quiet');
    case 'seated':
      return !(
        exercise.stage === 'settle' && exercise.goals.some((goal) => goal === 'alignment' || goal === 'release')
      );
    case 'video-call':
      return exercise.noise !== 'loud';
    case 'in-the-car':
      return exercise.kit.length === 0 && exercise.stage !== 'settle' && !isBreathlessly(exercise);
    case 'sore-lip':
      return !/^(brr|straw|v )/.test(sungOn) && exercise.id !== 'lips-forward-and-wide';
  }
}

/** What on the voice file stands in the way of an exercise, the first of it. */
export function obstacleTo(exercise: Exercise, { obstacles = [] }: Pick<VoiceFile, 'obstacles'>): Obstacle | undefined {
  return obstacles.find((one) => !isPossibleWith(exercise, one));
}

/** Holds and quick breaths, which nobody does at the wheel. */
function isBreathlessly({ work, notWith }: Exercise): boolean {
  return work.kind === 'breath' && ((work.counts?.holdCounts ?? 0) > 0 || notWith.length > 0);
}

/** The tune of an exercise in its normal form; `null` where it has none. */
function tuneOf({ work }: Exercise): string | null {
  if (work.kind === 'siren') return `siren ${work.shape}`;
  return work.kind === 'pattern' ? formatPattern(parsePattern(work.pattern, { mode: work.mode })) : null;
}

/** Play is a manner, not an end: what an exercise is there for is its first other goal. */
const MANNER = 'play';

/** Whether two serve the same end: the first goal of an exercise is what it is there for, the others are by the way. */
function servesTheSame({ goals }: Exercise, other: Exercise): boolean {
  const main = goals.find((goal) => goal !== MANNER);
  return main !== undefined && other.goals.includes(main);
}

function keeps(original: Exercise, other: Exercise, known: ReadonlySet<string>): Readonly<Record<Kept, boolean>> {
  const tune = tuneOf(original);
  return {
    effect: servesTheSame(original, other),
    pattern: tune !== null && tune === tuneOf(other),
    noMoreEffort: other.load <= original.load,
    known: known.has(other.id),
    noLouder: isNoLouder(other, original.noise),
    words:
      'syllables' in original.work && 'syllables' in other.work && original.work.syllables === other.work.syllables,
    stage: original.stage === other.stage,
    kit: other.kit.every((thing) => original.kit.includes(thing)),
  };
}

/**
 * The nearest relatives of an exercise that can be done in spite of an obstacle: same effect (4), same pattern (2), no
 * more effort (2), known already (1), no louder (1). Never a more intense one; voice stands in for voice before anything
 * silent does, and relatives the exercise names itself come first of equals.
 *
 * @param known ids of exercises the student has done
 * @param isSingable whether it can be sung at all by this voice today
 * @returns three at most, best first, each with what is kept and what is lost
 */
export function substitutesFor(
  exercise: Exercise,
  obstacle: Obstacle | null,
  shelf: readonly Exercise[],
  known: ReadonlySet<string> = new Set(),
  isSingable: (other: Exercise) => boolean = () => true,
): readonly Substitute[] {
  const named = new Set(
    exercise.relatives.filter(({ when }) => when === undefined || when === obstacle).map(({ id }) => id),
  );
  const isAlike = (other: Exercise): boolean => isSungWork(other) || !isSungWork(exercise);
  return shelf
    .filter((other) => other.id !== exercise.id && !other.optIn && other.load <= exercise.load)
    .filter((other) => isNear(exercise, other) || named.has(other.id))
    .filter((other) => obstacle === null || isPossibleWith(other, obstacle))
    .map((other) => {
      const kept = keeps(exercise, other, known);
      const rank = (Object.keys(WEIGHTS) as (keyof typeof WEIGHTS)[]).reduce(
        (sum, name) => sum + (kept[name] ? WEIGHTS[name] : 0),
        0,
      );
      const names = Object.keys(kept) as Kept[];
      return {
        exercise: other,
        rank,
        kept: names.filter((name) => kept[name]),
        lost: names.filter((name) => !kept[name] && name !== 'known'),
      };
    })
    .sort(
      (a, b) =>
        Number(isAlike(b.exercise)) - Number(isAlike(a.exercise)) ||
        b.rank - a.rank ||
        Number(named.has(b.exercise.id)) - Number(named.has(a.exercise.id)),
    )
    .filter(({ exercise: other }) => isSingable(other))
    .slice(0, 3);
}

/** Same stage or a goal in common; occluded work can stand in for anything that is sung. */
function isNear(original: Exercise, other: Exercise): boolean {
  const isSung = original.work.kind === 'pattern' || original.work.kind === 'siren';
  return other.stage === original.stage || servesTheSame(original, other) || (isSung && other.stage === 'occluded');
}

/**
 * The nearest relative that can be sung: along the relatives an exercise names, theirs after them, then whatever serves
 * the same end.
 *
 * @param isSingable whether it can be sung at all by this voice today
 * @returns `null` where nothing on the shelf can
 */
export function relativeThatFits(
  exercise: Exercise,
  shelf: ReadonlyMap<string, Exercise>,
  isSingable: (other: Exercise) => boolean,
): Exercise | null {
  const seen = new Set([exercise.id]);
  let ring: readonly Exercise[] = [exercise];
  while (ring.length > 0) {
    const next: Exercise[] = [];
    for (const { id } of ring.flatMap(({ relatives }) => relatives)) {
      const other = shelf.get(id);
      if (!other || seen.has(id)) continue;
      seen.add(id);
      if (isSingable(other)) return other;
      next.push(other);
    }
    ring = next;
  }
  return substitutesFor(exercise, null, [...shelf.values()], new Set(), isSingable)[0]?.exercise ?? null;
}
