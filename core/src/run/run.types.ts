import type { LadderInput, Leg, Zone } from '../ladder/index.ts';
import type { ExerciseKind } from '../limits/index.ts';
import type { Help, Pace } from '../shelf/index.ts';
import type { Mark } from '../past/index.ts';
import type { StillCourse } from '../still/index.ts';
import type { PitchRange } from '../voice/index.ts';
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

/** Another singer of a run, in a step that is theirs to sing today. Pitches MIDI. */
export interface Fellow {
  readonly id: string;
  /** Semitones from the keys of who leads; whole octaves. */
  readonly octave: number;
  readonly floor: number;
  readonly ceiling: number;
  readonly avoid: readonly PitchRange[];
  /** A glide is through each voice’s own range: these are this one’s passes. */
  readonly passes?: readonly RunKey[];
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
  /** Sung on this vowel alone, as the teacher wanted on the way; null again on what was planned. */
  readonly vowel?: string | null;
  /** Its tempo was halved on the way, to learn it. */
  readonly isHalf?: boolean;
  /** What the teacher wanted to say here, instead of the exercise’s own cues. */
  readonly cue?: string;
  /** Whether its keys follow one another by themselves; left out the approach says. */
  readonly pace?: Pace;
  /** It is watched in a mirror. */
  readonly mirror?: boolean;
  /** Resistance 1–4 of occluded work. */
  readonly resistance?: number;
  /** Who sings it besides who leads; left out in a run of one singer. */
  readonly fellows?: readonly Fellow[];
  /** Each key is sung by one after the other. */
  readonly isInTurn?: boolean;
}

/** A stop, and whose it was; in a run of one nobody is named. */
type RunStop = Stop & { readonly singers?: readonly string[] };

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
  readonly stops: readonly RunStop[];
  /** What those who sing along sang; a key that was sung together has the same id for all. */
  readonly fellowsSung?: readonly { readonly singer: string; readonly key: SungKey }[];
  /** Whose turn it is in the key that is on: nought is who leads. */
  readonly turn?: number;
  /** Whom marks are for while several sing at once; left out all of them. */
  markedSinger?: string;
  /** What became of the steps without pitch, in order. */
  readonly results?: readonly StepResult[];
  /** While stopped: the id of the key that was being sung. */
  heldKeyId?: string;
  /** The step was explained and has begun. */
  readonly begun: boolean;
  /** Begun without a plan: after its last step another may come. */
  readonly isOpen?: boolean;
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
  /** Whom marks are for from here on; null for all who sing. */
  | { readonly type: 'mark-singer'; readonly singer: string | null }
  /** `level` 0–10; over four stops the step. */
  | { readonly type: 'effort'; readonly level: number; readonly id: string }
  /** The stop was pressed by mistake. */
  | { readonly type: 'mistake' }
  /** Goes on with a relative in place of the step that is on, or was stopped. */
  | { readonly type: 'swap'; readonly step: RunStep; readonly id: string; readonly heard: boolean }
  /** A step that was not planned, next or at once where the run is empty. */
  | { readonly type: 'add-step'; readonly step: RunStep }
  /** A mark on a key that was left, pressed by mistake. */
  | { readonly type: 'unmark'; readonly keyId: string; readonly mark: Mark }
  /** A mark on a key that was left, kept after it was heard there. */
  | { readonly type: 'mark-left'; readonly keyId: string; readonly mark: Mark }
  /** What is still to come, fitted to the time that is left. */
  | { readonly type: 'refit'; readonly steps: readonly RunStep[] }
  /** The voice was asked about before the cool-down; what mends it comes first. */
  | { readonly type: 'ready'; readonly steps: readonly RunStep[] }
  /** Who sounds from this key to the end of the step, as the teacher wants it. */
  | { readonly type: 'help'; readonly help: Help }
  /** So many keys further, then home; `seconds` are left for them. */
  | { readonly type: 'then-home'; readonly more: number; readonly seconds: number; readonly id: string }
  /** The other way from its start, down instead of up; `seconds` are left for it. */
  | { readonly type: 'other-way'; readonly seconds: number; readonly id: string }
  /** Slower or faster from the next key on, beats per minute. */
  | { readonly type: 'tempo'; readonly by: number }
  /** Half the tempo from the next key on, or the whole again. */
  | { readonly type: 'half-tempo' }
  /** On this vowel from here on; null on what was planned. */
  | { readonly type: 'vowel'; readonly vowel: string | null }
  /** Another key of the step; `heard` where the one being left was begun. */
  | { readonly type: 'to-key'; readonly index: number; readonly id: string; readonly heard: boolean }
  /** The step before, from its start. */
  | { readonly type: 'previous-step'; readonly id: string; readonly heard: boolean; readonly elapsed?: number }
  | { readonly type: 'pause' | 'resume' };
