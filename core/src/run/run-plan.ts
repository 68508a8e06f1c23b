import type { Ladder, LadderInput, Rung, Siren } from '../ladder/index.ts';
import { wantsMirror } from '../shelf/index.ts';
import type { KeyWay, LaidRoutine, LaidStep } from '../routine/index.ts';
import type { RunKey, RunState, RunStep } from './run.types.ts';

/** The keys of a ladder as they are sung, each with the time to the next, who sounds in it and its manner. */
export function runKeysOf(ladder: Ladder, ways: readonly KeyWay[]): readonly RunKey[] {
  return ladder.rungs.map((rung: Rung, index) => ({
    tonic: rung.tonic,
    leg: rung.leg,
    low: rung.low,
    high: rung.high,
    tempo: rung.tempo,
    zone: rung.zone,
    cueSeconds: rung.singsAt - rung.startsAt,
    seconds: (ladder.rungs[index + 1]?.startsAt ?? rung.endsAt) - rung.startsAt,
    ...(rung.pass && { pass: rung.pass }),
    ...ways[index],
  }));
}

/** The passes of a glide as they are sung. */
export function passesOf(siren: Siren): readonly RunKey[] {
  const passes = [...new Set(siren.pieces.map(({ pass }) => pass))];
  return passes.map((pass) => {
    const pieces = siren.pieces.filter((piece) => piece.pass === pass);
    const pitches = pieces.flatMap(({ from, to }) => [from, to]);
    return {
      tonic: pieces[0]?.from ?? 0,
      leg: (pieces[0]?.to ?? 0) >= (pieces[0]?.from ?? 0) ? 'up' : 'down',
      low: Math.min(...pitches),
      high: Math.max(...pitches),
      tempo: 60,
      zone: 'low',
      cueSeconds: 0,
      seconds: siren.seconds / passes.length,
    };
  });
}

/** A laid step as it stands in a run. */
export function runStepOf(step: LaidStep): RunStep {
  const { laid, exercise, overlay } = step;
  const ladder: LadderInput | undefined = laid?.kind === 'pattern' ? laid.input : undefined;
  const { manners, resistance } = exercise;
  const keys =
    laid?.kind === 'pattern' ? runKeysOf(laid.ladder, laid.ways) : laid?.kind === 'siren' ? passesOf(laid.siren) : [];
  return {
    stepId: step.id,
    exerciseId: exercise.id,
    name: exercise.name,
    kind: exercise.work.kind,
    keys,
    seconds: step.seconds,
    setUpSeconds: step.setUpSeconds,
    ...(ladder && { ladder }),
    ...(manners.length > 0 && { manners }),
    ...(laid?.kind === 'still' && { course: laid.course }),
    ...(overlay && { overlay: overlay.name }),
    ...(resistance !== undefined && { resistance }),
    ...(step.settings.syllables !== undefined && { syllables: step.settings.syllables }),
    ...(step.settings.pace && { pace: step.settings.pace }),
    ...(step.settings.cue !== undefined && { cue: step.settings.cue }),
    ...(wantsMirror(exercise, overlay) && { mirror: true }),
  };
}

/** A run of these steps, about to begin. */
export function runOf(steps: readonly RunStep[]): RunState {
  return {
    steps,
    stepIndex: 0,
    keyIndex: 0,
    phase: 'singing',
    marks: [],
    sung: [],
    stops: [],
    begun: false,
    turned: false,
  };
}

/**
 * A run about to begin: the steps that can be sung today, in order. Steps with a problem are left out.
 *
 * @param isOpen begun without a plan: steps come one by one
 */
export function startRun(routine: LaidRoutine, isOpen = false): RunState {
  const steps = routine.steps.filter((step) => step.problem === undefined).map(runStepOf);
  return { ...runOf(steps), ...(isOpen && { isOpen }) };
}
