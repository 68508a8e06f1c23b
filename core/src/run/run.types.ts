import type { LadderInput, Leg, Zone } from '../ladder/index.ts';
import type { ExerciseKind } from '../limits/index.ts';
import type { Help } from '../shelf/index.ts';
import type { Mark } from '../past/index.ts';
import type { StillCourse } from '../still/index.ts';
import type { StepResult, Stop, SungKey } from './run.schema.ts';

/** One key to sing, or one pass of a glide. Pitches MIDI; seconds from cue to the end of the breath after it. */
export interface RunKey {
  readonly tonic: number;
  readonly leg: Leg;
  readonly low: number;
  readonly high: number;
  readonly tempo: number;
  readonly zone: Zone;
  readonly seconds: number;
  readonly cueSeconds: number;
  /** Who sounds; left out for the passes of a glide. */
  readonly help?: Help;
  readonly manner?: string;
  /** Left out the first time through the ladder. */
  readonly pass?: 2;
}

/** A step as it stands in the run; a step without pitch has no keys. */
export interface RunStep {
  readonly stepId: string;
  readonly exerciseId: string;
  readonly name: string;
  readonly kind: ExerciseKind;
  readonly keys: readonly RunKey[];
  /** All of the step, set-up included. */
  readonly seconds: number;
  readonly setUpSeconds: number;
  /** What the way home is worked out from; only ladders have it. */
  readonly ladder?: LadderInput;
  /** Ways in which one key is sung before moving. */
  readonly manners?: readonly string[];
  /** The name of what is laid over it. */
  readonly overlay?: string;
  /** What happens when, in a step without pitch. */
  readonly course?: StillCourse;
  /** Sung on these instead of the exercise’s own. */
  readonly syllables?: string;
  /** What the teacher wanted to say here, instead of the exercise’s own cues. */
  readonly cue?: string;
  /** It is watched in a mirror. */
  readonly mirror?: boolean;
  /** Resistance 1–4 of occluded work. */
  readonly resistance?: number;
}

/** A run on its way: plain data, so that it can be kept and taken up again. */
export interface RunState {
  readonly steps: readonly RunStep[];
  readonly stepIndex: number;
  readonly keyIndex: number;
  readonly phase: 'singing' | 'paused' | 'stopped' | 'finished';
  /** Marks on the key being sung, not yet in `sung`. */
  readonly marks: readonly Mark[];
  readonly sung: readonly SungKey[];
  /** What stopped which step, in order. */
  readonly stops: readonly Stop[];
  /** What became of the steps without pitch, in order. */
  readonly results?: readonly StepResult[];
  /** While stopped: the id of the key that was being sung. */
  heldKeyId?: string;
  /** The step was explained and has begun. */
  readonly begun: boolean;
  /** Whether the voice is ready to cool down was asked. */
  readonly isReadyAsked?: boolean;
  /** The ladder was turned round by hand; the plan no longer goes up. */
  readonly turned: boolean;
}

/** What the teacher does. `id` names the key that is entered as sung. */
export type RunAction =
  /** `elapsed` seconds since a step without pitch began. */
  | { readonly type: 'next'; readonly id: string; readonly elapsed?: number }
  | { readonly type: 'again' | 'skip' | 'turn-back' | 'home'; readonly id: string }
  | { readonly type: 'next-step' | 'finish'; readonly id: string; readonly heard: boolean; readonly elapsed?: number }
  /** The part of a step without pitch that is on is over. */
  | { readonly type: 'end-part'; readonly elapsed: number }
  | { readonly type: 'mark'; readonly mark: Mark; readonly id: string }
  /** `level` 0–10; over four stops the step. */
  | { readonly type: 'effort'; readonly level: number; readonly id: string }
  /** The stop was pressed by mistake. */
  | { readonly type: 'mistake' }
  /** Goes on with an easier relative in place of the step that was stopped. */
  | { readonly type: 'swap'; readonly step: RunStep }
  /** What is still to come, fitted to the time that is left. */
  | { readonly type: 'refit'; readonly steps: readonly RunStep[] }
  /** The voice was asked about before the cool-down; what mends it comes first. */
  | { readonly type: 'ready'; readonly steps: readonly RunStep[] }
  /** Who sounds from this key to the end of the step, as the teacher wants it. */
  | { readonly type: 'help'; readonly help: Help }
  /** So many keys further, then home; `seconds` are left for them. */
  | { readonly type: 'then-home'; readonly more: number; readonly seconds: number; readonly id: string }
  | { readonly type: 'pause' | 'resume' };
