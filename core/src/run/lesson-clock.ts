/** House choice: a warm-up that runs over its minutes by less is nobody's worry. */
const WORTH_A_SIGN = 60;

/** Where a warm-up stands in the minutes it was given, and in the lesson it opens; seconds but for the minutes. */
export interface LessonClock {
  /** What the plan takes beyond its minutes, talk so far counted; nought while that is under a minute. */
  readonly overBy: number;
  /** Whole minutes that are left of those it was given, and at least one: what a refit has. */
  readonly minutesLeft: number;
  /** What is left of the lesson when the plan is sung, less than nought past its end; null where no lesson is going on. */
  readonly afterwards: number | null;
}

interface Minutes {
  /** Minutes the warm-up was given. */
  readonly minutes: number;
  /** Seconds since it began, talk and pauses included. */
  readonly spent: number;
  /** Seconds the plan still takes. */
  readonly left: number;
  /** Seconds the lesson lasts and those to its end; null where none is going on. */
  readonly lesson: { readonly seconds: number; readonly left: number } | null;
}

/** The clock of the lesson: whether the warm-up runs over, and what it leaves for the rest. */
export function lessonClock({ minutes, spent, left, lesson }: Minutes): LessonClock {
  const over = spent + left - minutes * 60;
  return {
    overBy: left > 0 && over >= WORTH_A_SIGN ? over : 0,
    minutesLeft: Math.max(1, Math.floor((minutes * 60 - spent) / 60)),
    // Who is warmed up before the lesson begins has no more of it than there is.
    afterwards: lesson && Math.min(lesson.seconds, lesson.left - left),
  };
}
