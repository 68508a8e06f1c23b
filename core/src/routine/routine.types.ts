import type { DayContext, StepProblem } from '../day/index.ts';
import type { Ladder, LadderInput, Siren, StartProposal, Travel } from '../ladder/index.ts';
import type { LimitContext, Limits } from '../limits/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Exercise, Overlay } from '../shelf/index.ts';
import type { ReferenceRange } from '../voice/index.ts';
import type { KeyWay } from './key-ways.ts';

/** What a teacher set by hand in one step; what is left out comes from the exercise and the voice. */
export interface StepSettings {
  readonly start?: number;
  readonly step?: number;
  readonly returnStep?: number;
  readonly travel?: Travel;
  readonly maxKeys?: number;
  readonly timesPerKey?: number;
  readonly touchLimit?: boolean;
  readonly tempo?: number;
  /** The teacher's own limits for this step, MIDI. */
  readonly floor?: number;
  readonly ceiling?: number;
  /** Tonics left out by hand, and tonics put in; MIDI. */
  readonly struck?: readonly number[];
  readonly added?: readonly number[];
  /** The tune is kept within so many semitones from its lowest note; what lies higher is left out. */
  readonly narrowTo?: number;
  /** A ladder’s keys are thinned until it takes no longer, set-up not counted. */
  readonly withinSeconds?: number;
  /** Length of a timed step. */
  readonly seconds?: number;
  /** Glides, cycles or repeats of a step that is not a ladder. */
  readonly repeats?: number;
  /** Something laid over the step, the id of an overlay. */
  readonly overlay?: string;
  /** It pulls against another step on purpose. */
  readonly contrast?: boolean;
  /** What the teacher says at the piano instead of the exercise’s own cues. */
  readonly cue?: string;
  /** A note for the teacher alone. */
  readonly note?: string;
}

export interface RoutineStep {
  readonly id: string;
  readonly exerciseId: string;
  readonly settings: StepSettings;
  /** Stays as it is when the routine is drafted again or fitted. */
  readonly locked?: boolean;
  /** The name of the block it belongs to; steps of one block stand together. */
  readonly block?: string;
}

/** Seconds it takes to explain an exercise. */
export interface SetUpTimes {
  readonly whenNew: number;
  readonly whenKnown: number;
}

/** Everything a routine's figures depend on besides its steps. */
export interface RoutineContext extends DayContext {
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly setUp?: SetUpTimes;
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
