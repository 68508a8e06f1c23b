import type { StillCourse, StillPart } from './course.ts';

/** What became of a step without pitch. */
export const STILL_OUTCOMES = ['done', 'shortened', 'passed-over'] as const;
export type StillOutcome = (typeof STILL_OUTCOMES)[number];

/** How far a step without pitch came. */
export interface StillResult {
  readonly outcome: StillOutcome;
  readonly seconds: number;
  /** Rounds that were done to their end. */
  readonly rounds: number;
  /** Most counts on one way out, or seconds of the longest breath; none where neither is counted. */
  readonly most?: number;
  /** Beats per minute of the quickest line that was said; none where nothing is. */
  readonly tempo?: number;
}

/** What is left of a course when it is left, is a matter of a moment. Seconds. */
const GRACE = 0.5;

const endOf = ({ startsAt, seconds }: StillPart): number => startsAt + seconds;

/** Ends the part a course is in, so that the next begins at once; the breath that lasted as long as it could. */
export function endPart({ parts, rounds, seconds: all }: StillCourse, elapsed: number): StillCourse {
  const at = parts.findIndex((part) => elapsed < endOf(part));
  const part = parts[at];
  if (!part) return { parts, rounds, seconds: all };
  const gained = endOf(part) - elapsed;
  const changed = parts.map((other, index) => {
    if (index < at) return other;
    return index === at
      ? { ...other, seconds: elapsed - other.startsAt }
      : { ...other, startsAt: other.startsAt - gained };
  });
  return { parts: changed, rounds, seconds: all - gained };
}

/**
 * What a course came to.
 *
 * @param elapsed seconds since it began; `null` where it never did
 */
export function resultOf({ parts, seconds: all }: StillCourse, elapsed: number | null): StillResult {
  if (elapsed === null) return { outcome: 'passed-over', seconds: 0, rounds: 0 };
  const isDone = (part: StillPart): boolean => endOf(part) <= elapsed + GRACE;
  const active = parts.filter(({ act }) => act !== 'rest');
  const broken = new Set(active.filter((part) => !isDone(part)).map(({ round }) => round));
  const whole = new Set(active.map(({ round }) => round).filter((round) => !broken.has(round)));
  const figures = parts
    .filter(isDone)
    .flatMap(({ act, counts, seconds }) =>
      act === 'out' ? (counts ?? []) : act === 'longest' ? Math.round(seconds) : [],
    );
  const tempos = parts
    .filter(isDone)
    .flatMap(({ act, counts, seconds }) =>
      act === 'say' && counts !== undefined ? Math.round((counts * 60) / seconds) : [],
    );
  return {
    outcome: broken.size === 0 ? 'done' : 'shortened',
    seconds: Math.round(Math.min(elapsed, all)),
    rounds: whole.size,
    ...(figures.length > 0 && { most: Math.max(...figures) }),
    ...(tempos.length > 0 && { tempo: Math.max(...tempos) }),
  };
}
