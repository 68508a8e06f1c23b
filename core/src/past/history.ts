import type { Exercise } from '../shelf/index.ts';
import { daysBetween } from '../voice/index.ts';
import { isMissed } from './marks.ts';
import type { PastExercise, PastRun } from './past.types.ts';
import { sungMinutes } from './sung-minutes.ts';

/** What the runs of a student say for a review and for a draft. */
export interface StudentHistory {
  /** Weighted minutes of the last seven days, and the mean of the four weeks before; none where those were not all there. */
  readonly weekMinutes?: number;
  readonly usualWeekMinutes?: number;
  readonly daysSinceAnythingNew?: number;
  /** Days since grit was sung; none where it never was. */
  readonly daysSinceGrit?: number;
  /** Exercises that were never done well at the setting they still have. */
  readonly stuck?: ReadonlySet<string>;
  /** How easily each exercise went lately, 1–5. */
  readonly ease?: ReadonlyMap<string, number>;
}

const WEEK = 7;
/** Source: usual load guide; this week is held against the mean of the four before. */
const WEEKS_BEFORE = 4;
/** House choice: an exercise is stuck when this many runs on end went badly with it at one setting. */
const STUCK_RUNS = 4;
const PLAIN_EASE = 3;

function wasTrouble(past: PastExercise): boolean {
  return past.wasStopped || isMissed(past);
}

/** Exercises whose last runs all went badly at one tempo and one top. */
function stuckIn(all: ReadonlyMap<string, readonly PastExercise[]>): ReadonlySet<string> {
  const stuck = [...all].filter(([, past]) => {
    const last = past.slice(-STUCK_RUNS);
    const [first] = last;
    return (
      last.length === STUCK_RUNS &&
      last.every(
        (one) => wasTrouble(one) && one.tempo === (first?.tempo ?? null) && one.highest === (first?.highest ?? null),
      )
    );
  });
  return new Set(stuck.map(([id]) => id));
}

/** Ease of an exercise in one run: that of the run, less where it gave trouble, more where it was marked easy. */
function easeOf({ ease }: PastRun, past: PastExercise): number {
  const own = (ease ?? PLAIN_EASE) + (past.marks.includes('easy') ? 1 : 0) - (wasTrouble(past) ? 1 : 0);
  return Math.min(5, Math.max(1, own));
}

function byExercise<T>(
  runs: readonly PastRun[],
  worth: (run: PastRun, past: PastExercise) => T,
): ReadonlyMap<string, readonly T[]> {
  const all = new Map<string, T[]>();
  for (const run of runs)
    for (const past of run.exercises) all.set(past.exerciseId, [...(all.get(past.exerciseId) ?? []), worth(run, past)]);
  return all;
}

/**
 * What past runs say of a student: load of the week, anything new, what is stuck, and how easily each exercise went.
 *
 * @param runs of the last weeks, oldest first; what was not sung in them counts as new when it is
 * @param today calendar day in the studio's zone
 * @returns only the figures the runs allow: no usual week before there were four
 */
export function historyOf(
  runs: readonly PastRun[],
  exercises: ReadonlyMap<string, Exercise>,
  today: string,
): StudentHistory {
  const [first] = runs;
  if (!first) return {};
  const ago = ({ date }: PastRun): number => daysBetween(date, today);
  const within = (from: number, to: number): readonly PastRun[] =>
    runs.filter((run) => ago(run) >= from && ago(run) < to);
  const before = within(WEEK, WEEK * (WEEKS_BEFORE + 1));
  const hasFourWeeks = ago(first) >= WEEK * WEEKS_BEFORE;
  const met = new Set<string>();
  let lastNew = first.date;
  for (const { date, exercises: sung } of runs)
    for (const { exerciseId } of sung) {
      if (met.has(exerciseId)) continue;
      met.add(exerciseId);
      lastNew = date;
    }
  const lastGrit = [...runs]
    .reverse()
    .find((run) => run.exercises.some(({ exerciseId }) => exercises.get(exerciseId)?.grit));
  const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
  return {
    weekMinutes: sungMinutes(within(0, WEEK), exercises),
    ...(hasFourWeeks && { usualWeekMinutes: sungMinutes(before, exercises) / WEEKS_BEFORE }),
    daysSinceAnythingNew: daysBetween(lastNew, today),
    ...(lastGrit && { daysSinceGrit: ago(lastGrit) }),
    stuck: stuckIn(byExercise(runs, (_, past) => past)),
    ease: new Map([...byExercise(runs, easeOf)].map(([id, values]) => [id, mean(values.slice(-STUCK_RUNS))])),
  };
}
