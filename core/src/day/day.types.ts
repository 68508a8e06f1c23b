import type { LadderErrorCode } from '../errors.ts';
import type { Statement } from '../statement.ts';
import type { RuleTable } from '../limits/index.ts';
import type { Approach, OwnOverlay } from '../shelf/index.ts';
import type { Condition, Occasion, PitchRange, VoiceFile } from '../voice/index.ts';
import type { Allowance } from './gate.data.ts';
import type { RoutineKind } from './kinds.ts';

/** Everything about a student's day that the figures of a routine rest on. */
export interface DayContext {
  readonly voice: VoiceFile;
  readonly conditions: readonly Condition[];
  readonly occasion: Occasion;
  /** Left out it is an ordinary routine of its occasion. */
  readonly kind?: RoutineKind;
  readonly hoursToPerformance?: number;
  /** Ids of exercises done lately, which need no long explanation. */
  readonly known: ReadonlySet<string>;
  /** The rule table of this student in this studio; left out it is the reference. */
  readonly rules?: RuleTable;
  /** Semitones by which advice that was taken moves the top, by exercise. */
  readonly advised?: ReadonlyMap<string, number>;
  /** How much the gate leaves open today. */
  readonly allowance?: Allowance;
  /** Dizziness ended breath work for the day. */
  readonly breathOff?: boolean;
  /** Breath holds stay off until the teacher turns them on again. */
  readonly holdsOff?: boolean;
  /** Answers of the studio and of this student on what schools differ on; what is left out takes the default. */
  readonly approach?: Approach;
  /** What this studio lays over steps besides the shipped overlays. */
  readonly ownOverlays?: readonly OwnOverlay[];
  /** Lowest and highest note of the piece in hand, in the octave of this voice. */
  readonly songRange?: PitchRange;
  readonly now: string;
}

/** Why an exercise is left out today, or cannot be sung as it is set. */
export type ProblemCode =
  | 'CAUTION_ON_FILE'
  | 'NOT_FOR_YOUNG_VOICES'
  | 'NOT_UNDER_AGE'
  | 'NOT_ON_SUCH_A_DAY'
  | 'TOO_NEAR_PERFORMANCE'
  | 'NOT_MEASURED'
  | 'OFF_WHILE_RECOVERING'
  | 'TOO_MUCH_RESISTANCE'
  | 'BREATH_OFF_TODAY'
  | 'HOLDS_OFF'
  | 'HOLDS_NOT_CHOSEN'
  | 'GENTLE_ONLY'
  | 'MIDDLE_ONLY'
  | 'LIMITS_CROSS'
  | 'NO_KEY_LEFT'
  | LadderErrorCode;

/** Why something cannot be sung as it stands, and so what to do; `nearest` is a setting that would mend it. */
export interface StepProblem extends Statement<ProblemCode> {
  readonly nearest?: { readonly setting: string; readonly value: number | string | null };
}

/** A problem as it stands in other statements. */
export function problemStatement({ code, values = {} }: StepProblem): Statement<`problem.${ProblemCode}`> {
  return { code: `problem.${code}`, values };
}
