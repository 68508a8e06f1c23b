import type { SongDemands } from '../song/index.ts';
import type { RoutinePatch } from '../edit/index.ts';
import type { StudentHistory } from '../past/index.ts';
import type { LaidRoutine, LaidStep, RoutineContext, RoutineStep } from '../routine/index.ts';
import type { Statement } from '../statement.ts';
import type { REVIEW_RULES } from './review.data.ts';

/** What a fix says it does. */
export type FixCode =
  | 'fix.add'
  | 'fix.add-before'
  | 'fix.allow'
  | 'fix.back-to-limit'
  | 'fix.back-to-voice'
  | 'fix.begin-with'
  | 'fix.come-home'
  | 'fix.contrast'
  | 'fix.end-with'
  | 'fix.later'
  | 'fix.leave-out'
  | 'fix.let-down'
  | 'fix.let-up'
  | 'fix.more-keys'
  | 'fix.move-late'
  | 'fix.put-between'
  | 'fix.put-in-order'
  | 'fix.set-minutes'
  | 'fix.shorten'
  | 'fix.stop-under'
  | 'fix.take-instead';

/** A change that would mend a finding. */
export interface Fix {
  readonly said: Statement<FixCode>;
  readonly patch: RoutinePatch;
}

/** `stop` is a caution that is never passed over, `warn` wants a decision, `note` is worth knowing. */
export type Severity = 'stop' | 'warn' | 'note';

/** Something the review has to say about a routine. */
export interface Finding {
  /** The rule, and the step or the thing it concerns: the same finding has the same id after every edit. */
  readonly id: string;
  readonly rule: ReviewRule;
  readonly severity: Severity;
  readonly stepId?: string;
  /** What stands in the sentence of the rule. */
  readonly values: NonNullable<Statement['values']>;
  readonly fixes: readonly Fix[];
}

export type ReviewRule = (typeof REVIEW_RULES)[number];

/** A routine to be looked at: its steps and minutes on this day. */
export interface ReviewContext extends RoutineContext {
  readonly steps: readonly RoutineStep[];
  readonly minutes: number;
  /** Left out they are those of the voice file. */
  readonly goals?: readonly string[];
  /** What past runs say; rules without their figures are silent. */
  readonly history?: StudentHistory;
  /** What the song in hand asks for. */
  readonly song?: Partial<SongDemands>;
  /** The routine laid out already; left out it is laid out here. */
  readonly laid?: LaidRoutine;
  /** Findings that were muted with a reason, by id or by rule. A `stop` is never muted. */
  readonly muted?: ReadonlySet<string>;
}

/** A routine as the rules read it. */
export interface Reviewed {
  readonly context: ReviewContext;
  readonly laid: LaidRoutine;
  readonly steps: readonly LaidStep[];
  /** Patterns and sirens that can be sung. */
  readonly sung: readonly LaidStep[];
}

/** A finding as a rule says it. */
export type Said = Omit<Finding, 'values' | 'id' | 'fixes'> & {
  readonly values?: Finding['values'];
  readonly about?: string;
  readonly fixes?: readonly Fix[];
};

export type Rule = (reviewed: Reviewed) => readonly Said[];
