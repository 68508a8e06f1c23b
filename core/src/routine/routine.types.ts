import type { DayContext, StepProblem } from '../day/index.ts';
import type { Ladder, LadderInput, Siren, StartProposal } from '../ladder/index.ts';
import type { LimitContext, Limits } from '../limits/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Exercise, Overlay } from '../shelf/index.ts';
import type { StillCourse } from '../still/index.ts';
import type { ReferenceRange } from '../voice/index.ts';
import type { KeyWay } from './key-ways.ts';
import type { StepSettings } from './step.schema.ts';

/** Everything a routine's figures depend on besides its steps. */
export interface RoutineContext extends DayContext {
  readonly exercises: ReadonlyMap<string, Exercise>;
}

export interface LaidLadder {
  readonly kind: 'pattern';
  readonly pattern: Pattern;
  readonly input: LadderInput;
  readonly ladder: Ladder;
  readonly proposal: StartProposal;
  /** How each rung is sung, in the order of the rungs. */
  readonly ways: readonly KeyWay[];
}

export interface LaidSiren {
  readonly kind: 'siren';
  readonly siren: Siren;
}

/** Breath, timed and spoken work: time, no pitch. */
interface LaidStill {
  readonly kind: 'still';
  readonly course: StillCourse;
}

/** One step with all that follows from it. Times in seconds from the start of the routine; `seconds` has the set-up in it. */
export interface LaidStep {
  readonly id: string;
  readonly exercise: Exercise;
  readonly settings: StepSettings;
  readonly isNew: boolean;
  /** What lies over it, where nothing on file leaves that out. */
  readonly overlay?: Overlay;
  readonly startsAt: number;
  readonly setUpSeconds: number;
  readonly seconds: number;
  readonly voicedSeconds: number;
  readonly lowest: number | null;
  readonly highest: number | null;
  readonly limits?: Limits;
  /** What the limits were worked out from, to say what would change them. */
  readonly limitContext?: LimitContext;
  readonly laid?: LaidLadder | LaidSiren | LaidStill;
  readonly problem?: StepProblem;
}

export interface LaidRoutine {
  /** What the voice starts from before it is measured, by the rules of this student. */
  readonly reference: ReferenceRange;
  readonly steps: readonly LaidStep[];
  readonly seconds: number;
  readonly voicedSeconds: number;
  readonly lowest: number | null;
  readonly highest: number | null;
}
