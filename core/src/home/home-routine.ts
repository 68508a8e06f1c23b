import type { Pattern } from '../pattern/index.ts';
import {
  layRoutine,
  type LaidRoutine,
  type LaidStep,
  type RoutineContext,
  type RoutineStep,
} from '../routine/index.ts';
import { runStepOf, type RunKey, type RunStep } from '../run/index.ts';
import { cueFor, syllablesFor, type Approach } from '../shelf/index.ts';
import { runKeySound, type SoundEvent } from '../sound/index.ts';
import type { PitchRange } from '../voice/index.ts';

/** A key as it is practised alone: what sounds in it is worked out already, and what to say stands with it. */
export interface HomeKey extends RunKey {
  /** Cue and tune, whoever sounds; `heardWith` says what of it is heard. */
  readonly sounds: readonly SoundEvent[];
  readonly say: string;
}

/** A step of a routine as a student is sent it: nothing of the voice file is in it. */
export interface HomeStep extends Omit<RunStep, 'keys' | 'ladder'> {
  readonly keys: readonly HomeKey[];
  /** What it is for, in a line. */
  readonly why: string;
  readonly cautions: readonly string[];
  /** How the student finds out alone whether it is right. */
  readonly sense?: string;
  /** The tune, for the staff; steps without keys have none. */
  readonly pattern?: Pattern;
  /** What is sung, or said in a step without keys. */
  readonly text: string;
}

export interface HomeRoutine {
  readonly id: string;
  readonly name: string;
  readonly seconds: number;
  readonly steps: readonly HomeStep[];
}

function textOf({ exercise }: LaidStep, { syllables }: RunStep): string {
  if (syllables !== undefined) return syllables;
  const { work } = exercise;
  if (work.kind === 'pattern') return syllablesFor(work, 'low').join(' ');
  return 'syllables' in work ? (work.syllables ?? '') : '';
}

function homeStep(laid: LaidStep, avoid: readonly PitchRange[], approach: Approach): HomeStep {
  const step = runStepOf(laid);
  const { exercise } = laid;
  const top = Math.max(...step.keys.map(({ high }) => high));
  const keys = step.keys.map((key, index): HomeKey => {
    const place = {
      zone: key.zone,
      isTop: key.high === top && step.keys.length > 2,
      isLast: index === step.keys.length - 1,
      index,
    };
    return {
      ...key,
      sounds: runKeySound(step.ladder, key, { avoid }),
      say: step.cue ?? cueFor(exercise, place, approach),
    };
  });
  const { ladder, ...rest } = step;
  return {
    ...rest,
    keys,
    why: exercise.why,
    cautions: exercise.cautions,
    text: textOf(laid, step),
    ...(exercise.senseCheck && { sense: exercise.senseCheck.text }),
    ...(ladder && { pattern: ladder.pattern }),
  };
}

/**
 * Steps that were set for a lesson, brought inside the narrower limits of home: a start that lies outside moves to the nearest
 * that does not.
 */
export function broughtHome(steps: readonly RoutineStep[], context: RoutineContext): readonly RoutineStep[] {
  const laid = new Map(layRoutine(steps, context).steps.map((step) => [step.id, step]));
  return steps.map((step) => {
    const nearest = laid.get(step.id)?.problem?.nearest;
    return nearest && nearest.value !== null
      ? { ...step, settings: { ...step.settings, [nearest.setting]: nearest.value } }
      : step;
  });
}

/**
 * A laid routine as it is sent to the student it was laid for. Limits, zones and the rest of the voice file stay behind: only
 * what is sung and heard goes out. Steps with a problem are left out.
 *
 * @param avoid what never sounds for this voice, MIDI
 */
export function homeRoutine(
  { id, name }: Pick<HomeRoutine, 'id' | 'name'>,
  laid: LaidRoutine,
  avoid: readonly PitchRange[],
  approach: Approach = {},
): HomeRoutine {
  const steps = laid.steps.filter(({ problem }) => problem === undefined);
  return {
    id,
    name,
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    steps: steps.map((step) => homeStep(step, avoid, approach)),
  };
}
