import type { Exercise } from '../shelf/index.ts';
import { daysAfter, daysBetween, mondayOf, type Condition, type Occasion } from '../voice/index.ts';
import { loadAgainst, type LoadMark } from './load.ts';
import type { PastRun } from './past.types.ts';
import { sungMinutes } from './sung-minutes.ts';

/** Source: usual reading of practice records; fewer comparable runs show chance, no trend. */
export const LEAST_RUNS = 4;
/** Source: usual advice; so many days without change ask for another exercise. */
const STILL_DAYS = 21;
const WEEK = 7;
const WEEKS_BEFORE = 4;

/** A run with what it was for and how far it was meant to go. Notes MIDI, null where nothing was sung or planned. */
export interface ProgressRun extends PastRun {
  readonly occasion: Occasion;
  readonly conditions: readonly Condition[];
  readonly lowest: number | null;
  readonly highest: number | null;
  readonly plannedHighest: number | null;
  /** What became of steps without keys; none in runs from before it was kept. */
  readonly results?: readonly { readonly exerciseId: string; readonly most?: number }[];
}

/** How high and low one run went, beside how high it was meant to. */
export interface RangePoint {
  readonly date: string;
  readonly lowest: number;
  readonly highest: number;
  readonly plannedHighest: number | null;
  /** Neither a performance nor a day of recovering: only such days are held against each other. */
  readonly isOrdinary: boolean;
}

/** Weighted minutes of one week, Monday first, against the mean of the four before. */
export interface WeekLoad {
  readonly from: string;
  readonly minutes: number;
  /** Left out where four weeks were not yet known. */
  readonly usual?: number;
  readonly mark: LoadMark | null;
}

/** An exercise that has had the same tempo and top for three weeks. */
export interface StoodStill {
  readonly exerciseId: string;
  readonly since: string;
  readonly runs: number;
}

/** How easy one run was, 1–5. */
interface EasePoint {
  readonly date: string;
  readonly ease: number;
  readonly isOrdinary: boolean;
}

/** What a course is counted in: beats a minute; counts of one way out or seconds of the longest breath. */
export const COURSE_FIGURES = ['tempo', 'breath'] as const;

/** One figure of one exercise over the weeks, oldest first; ordinary days alone. */
interface ExerciseCourse {
  readonly exerciseId: string;
  readonly figure: (typeof COURSE_FIGURES)[number];
  readonly points: readonly { readonly date: string; readonly value: number }[];
}

export interface Progress {
  readonly ranges: readonly RangePoint[];
  readonly weeks: readonly WeekLoad[];
  /** Weighted minutes by stage, most first. */
  readonly stages: readonly { readonly stage: Exercise['stage']; readonly minutes: number }[];
  readonly stoodStill: readonly StoodStill[];
  readonly ease: readonly EasePoint[];
  /** Of exercises that came often enough: first those that have moved, then the most frequent. */
  readonly courses: readonly ExerciseCourse[];
}

const isOrdinary = ({ occasion, conditions }: ProgressRun): boolean =>
  occasion !== 'performance' && !conditions.includes('recovering');

const hasMoved = ({ points }: ExerciseCourse): boolean => new Set(points.map(({ value }) => value)).size > 1;

function coursesOf(runs: readonly ProgressRun[]): readonly ExerciseCourse[] {
  const courses = new Map<string, ExerciseCourse>();
  const add = (exerciseId: string, figure: ExerciseCourse['figure'], date: string, value: number | null): void => {
    if (value === null) return;
    const points = courses.get(exerciseId)?.points ?? [];
    courses.set(exerciseId, { exerciseId, figure, points: [...points, { date, value }] });
  };
  for (const { date, exercises, results = [] } of runs.filter(isOrdinary)) {
    for (const { exerciseId, tempo } of exercises) add(exerciseId, 'tempo', date, tempo);
    for (const { exerciseId, most } of results) add(exerciseId, 'breath', date, most ?? null);
  }
  return [...courses.values()]
    .filter(({ points }) => points.length >= LEAST_RUNS)
    .sort((one, other) => Number(hasMoved(other)) - Number(hasMoved(one)) || other.points.length - one.points.length);
}

function rangesOf(runs: readonly ProgressRun[]): readonly RangePoint[] {
  return runs.flatMap((run) => {
    const { date, lowest, highest, plannedHighest } = run;
    return lowest === null || highest === null
      ? []
      : [{ date, lowest, highest, plannedHighest, isOrdinary: isOrdinary(run) }];
  });
}

function weeksOf(
  runs: readonly PastRun[],
  exercises: ReadonlyMap<string, Exercise>,
  today: string,
): readonly WeekLoad[] {
  const [first] = runs;
  if (!first) return [];
  const count = daysBetween(mondayOf(first.date), mondayOf(today)) / WEEK + 1;
  const minutes = Array.from({ length: count }, (_, index) => {
    const from = daysAfter(mondayOf(first.date), index * WEEK);
    return sungMinutes(
      runs.filter(({ date }) => date >= from && date < daysAfter(from, WEEK)),
      exercises,
    );
  });
  return minutes.map((now, index) => {
    const from = daysAfter(mondayOf(first.date), index * WEEK);
    // The first week may have begun before the first run that is known.
    const before = index > WEEKS_BEFORE - 1 ? minutes.slice(index - WEEKS_BEFORE, index) : [];
    const usual = before.reduce((sum, one) => sum + one, 0) / WEEKS_BEFORE;
    return usual > 0
      ? { from, minutes: now, usual, mark: loadAgainst(now, usual).mark }
      : { from, minutes: now, mark: null };
  });
}

function stagesOf(runs: readonly PastRun[], exercises: ReadonlyMap<string, Exercise>): Progress['stages'] {
  const stages = new Set([...exercises.values()].map(({ stage }) => stage));
  return [...stages]
    .map((stage) => {
      const of = new Map([...exercises].filter(([, exercise]) => exercise.stage === stage));
      return { stage, minutes: sungMinutes(runs, of) };
    })
    .filter(({ minutes }) => minutes > 0)
    .sort((one, other) => other.minutes - one.minutes);
}

function stoodStillIn(runs: readonly PastRun[], today: string): readonly StoodStill[] {
  const last = new Map<string, StoodStill & { readonly setting: string }>();
  for (const { date, exercises } of runs)
    for (const { exerciseId, tempo, highest } of exercises) {
      if (tempo === null || highest === null) continue;
      const setting = `${String(tempo)} ${String(highest)}`;
      const before = last.get(exerciseId);
      last.set(
        exerciseId,
        before?.setting === setting
          ? { ...before, runs: before.runs + 1 }
          : { exerciseId, since: date, runs: 1, setting },
      );
    }
  return [...last.values()]
    .filter(({ since, runs: count }) => daysBetween(since, today) >= STILL_DAYS && count >= LEAST_RUNS)
    .map(({ exerciseId, since, runs: count }) => ({ exerciseId, since, runs: count }));
}

/**
 * What the weeks say of one student: how far it went beside how far it was meant to, the load of each week, the minutes of
 * each stage, what has stood still, how easy it was, and how single exercises have gone.
 *
 * @param runs of the last weeks, oldest first
 * @param today calendar day in the studio's zone
 */
export function progressOf(
  runs: readonly ProgressRun[],
  exercises: ReadonlyMap<string, Exercise>,
  today: string,
): Progress {
  return {
    ranges: rangesOf(runs),
    weeks: weeksOf(runs, exercises, today),
    stages: stagesOf(runs, exercises),
    stoodStill: stoodStillIn(runs, today),
    ease: runs.flatMap((run) =>
      run.ease === null ? [] : [{ date: run.date, ease: run.ease, isOrdinary: isOrdinary(run) }],
    ),
    courses: coursesOf(runs),
  };
}
