import type { Exercise } from '../shelf/index.ts';
import type { ReachedSetting } from '../past/index.ts';
import type { RoutineContext, RoutineStep } from '../routine/index.ts';

/** What a draft is made from, besides the day: minutes, wishes, what was done lately, and a seed. */
export interface DraftContext extends RoutineContext {
  readonly minutes: number;
  /** Another seed gives another good draft; the same gives the same. A whole number. */
  readonly seed: number;
  /** Left out they are those of the voice file. */
  readonly goals?: readonly string[];
  /** What the song in hand asks for, as goals. */
  readonly songNeeds?: readonly string[];
  /** Steps that stay as they are. */
  readonly pinned?: readonly RoutineStep[];
  /** Ids of the exercises of the last runs, the latest first. */
  readonly recent?: readonly (readonly string[])[];
  /** What each exercise was set to when it was last sung on an ordinary day. */
  readonly reached?: ReadonlyMap<string, ReachedSetting>;
  /** Ids of the exercises this draft is to stand in for: two fifths of them give way. */
  readonly instead?: readonly string[];
  /** How easily each exercise went, 1–5. */
  readonly ease?: ReadonlyMap<string, number>;
  /** No louder than this. */
  readonly noise?: Exercise['noise'];
}

/** A step of a draft with its reason, and what was passed over for it. */
export interface DraftedStep extends RoutineStep {
  readonly reason: string;
  readonly passedOver: readonly PassedOver[];
}

/** An exercise that is not in the draft, and why. */
export interface PassedOver {
  readonly exerciseId: string;
  readonly reason: string;
}

/** What a teacher would miss in a draft, and what to do about it. */
export interface Missing {
  readonly message: string;
  readonly remedy: string;
}

export interface DraftedRoutine {
  readonly steps: readonly DraftedStep[];
  readonly seconds: number;
  readonly seed: number;
  /** What could not be taken at all, each with its reason. */
  readonly leftOut: readonly PassedOver[];
  /** What a whole warm-up has and this one could not be given. */
  readonly missing: readonly Missing[];
  /** Whether the minutes hold it; where they do not, by how many seconds it is over. */
  readonly overBy?: number;
}
