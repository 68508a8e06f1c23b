import type { Ladder, LadderInput, Siren, StartProposal, Travel } from '../ladder/index.ts';
import type { LimitContext, Limits, RuleTable } from '../limits/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Approach, Exercise } from '../shelf/index.ts';
import type { Condition, Occasion, ReferenceRange, VoiceFile } from '../voice/index.ts';
import type { Allowance } from './gate.ts';
import type { KeyWay } from './key-ways.ts';
import type { RoutineKind } from './kinds.ts';

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
export interface RoutineContext {
  readonly voice: VoiceFile;
  readonly conditions: readonly Condition[];
  readonly occasion: Occasion;
  /** Left out it is an ordinary routine of its occasion. */
  readonly kind?: RoutineKind;
  readonly hoursToPerformance?: number;
  readonly exercises: ReadonlyMap<string, Exercise>;
  /** Ids of exercises done lately, which need no long explanation. */
  readonly known: ReadonlySet<string>;
  readonly setUp?: SetUpTimes;
  /** The rule table of this student in this studio; left out it is the reference. */
  readonly rules?: RuleTable;
  /** How much the gate leaves open today. */
  readonly allowance?: Allowance;
  /** Dizziness ended breath work for the day. */
  readonly breathOff?: boolean;
  /** Breath holds stay off until the teacher turns them on again. */
  readonly holdsOff?: boolean;
  /** Answers of the studio and of this student on what schools differ on; what is left out takes the default. */
  readonly approach?: Approach;
  readonly now: string;
}

/** Why a step cannot be sung as it stands; `nearest` is a setting that would mend it. */
export interface StepProblem {
  readonly code: string;
  readonly message: string;
  readonly remedy: string;
  readonly nearest?: { readonly setting: string; readonly value: number | string | null };
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
