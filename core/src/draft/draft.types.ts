import type { Exercise } from '../shelf/index.ts';
import type { ReachedSetting } from '../past/index.ts';
import type { ProblemCode } from '../day/index.ts';
import type { Statement } from '../statement.ts';
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
  /** Why it was taken: what weighs most, then what is set otherwise than usual. */
  readonly reasons: readonly Statement<DraftCode>[];
  readonly passedOver: readonly PassedOver[];
}

/** An exercise that is not in the draft, and why. */
export interface PassedOver {
  readonly exerciseId: string;
  readonly reason: Statement<WhyNotCode>;
}

/** What a teacher would miss in a draft, and so what to do about it. */
export type Missing = Statement<MissingCode>;

/** Why a step was taken. */
export type DraftCode =
  | 'draft.pinned'
  | 'draft.prepares'
  | 'draft.serves'
  | 'draft.brings-down'
  | 'draft.never-left-out'
  | 'draft.for-young'
  | 'draft.known'
  | 'draft.new'
  | 'draft.a-change'
  | 'draft.at-learning-tempo'
  | 'draft.narrowed'
  | 'draft.lies-over'
  | 'draft.comes-back'
  | 'draft.instead-of'
  | 'draft.goes-on'
  | TurnedCode;

/** How an exercise that comes back is turned by the way it went. */
export type TurnedCode = 'draft.slower' | 'draft.lower' | 'draft.faster' | 'draft.more-keys';

/** Why an exercise was not taken. */
export type WhyNotCode =
  | `problem.${ProblemCode}`
  | 'not.obstacle'
  | 'not.other-voices'
  | 'not.other-style'
  | 'not.by-hand-only'
  | 'not.louder'
  | 'not.extends-close'
  | 'not.new-close'
  | 'not.other-school'
  | 'not.restores-only'
  | 'not.worn'
  | 'not.advanced-at-home'
  | 'not.first-lesson'
  | 'not.another-draft'
  | 'not.no-room'
  | 'not.few-keys'
  | 'not.under-bridge'
  | 'not.large-share'
  | 'not.no-time'
  | 'not.second-best';

export type MissingCode =
  | 'missing.shelf'
  | 'missing.anything'
  | 'missing.stage-room'
  | 'missing.stage-shelf'
  | 'missing.keys'
  | 'missing.too-short'
  | 'missing.minutes';

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
