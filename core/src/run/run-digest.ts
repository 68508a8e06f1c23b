import { isMissed, type Mark, type PastExercise } from '../past/index.ts';
import type { StepResult, SungKey } from './run.schema.ts';
import type { RunState } from './run.types.ts';

/** What lists and later routines need of a run, worked out whenever the run changes. */
export interface RunDigest {
  readonly plannedKeys: number;
  readonly sungKeys: number;
  /** Lowest and highest note the student sang, MIDI; null where nothing was. */
  readonly lowest: number | null;
  readonly highest: number | null;
  /** Every mark given in it, once, in order of the alphabet. */
  readonly marks: readonly Mark[];
  /** What was really worked on, in the order of the plan. */
  readonly workedOn: readonly PastExercise[];
}

/** A step of the plan, as far as a digest reads it. */
export interface DigestedStep {
  readonly stepId: string;
  readonly exerciseId: string;
  readonly kind: string;
  readonly seconds: number;
  readonly keys: readonly unknown[];
}

/** Whether the student sang a key; one that was only shown was listened to. */
export function isSungByStudent({ outcome, help }: Pick<SungKey, 'outcome' | 'help'>): boolean {
  return outcome === 'sung' && help !== 'shown';
}

function marksOf(keys: readonly Pick<SungKey, 'marks'>[]): readonly Mark[] {
  return [...new Set(keys.flatMap(({ marks }) => marks))].sort();
}

function highestOf(keys: readonly SungKey[]): number | null {
  return keys.length === 0 ? null : Math.max(...keys.map(({ high }) => high));
}

type WorkedStep = Omit<DigestedStep, 'keys'>;

/** The steps of the plan, then what was sung beside it: an easier relative taken on the way, a repair. */
function workedSteps(plan: readonly DigestedStep[], keys: readonly SungKey[]): readonly WorkedStep[] {
  const idOf = ({ stepId, exerciseId }: Pick<SungKey, 'stepId' | 'exerciseId'>): string => `${stepId} ${exerciseId}`;
  const planned = new Set(plan.map(idOf));
  const beside = new Map(
    keys
      .filter((key) => !planned.has(idOf(key)))
      .map(({ stepId, exerciseId }) => [
        idOf({ stepId, exerciseId }),
        { stepId, exerciseId, kind: 'pattern', seconds: 0 },
      ]),
  );
  return [...plan, ...beside.values()];
}

/**
 * What a run came to.
 *
 * @param plan its steps as they were planned
 * @param keys all keys of it, sung or skipped, in any order; pitches MIDI
 * @param stops what stopped which step
 * @param results what became of the steps without pitch; one that has none did not happen. `null` in runs from before
 *   there were any, where each counts as done
 * @example one planned key 60–67, sung: `{ plannedKeys: 1, sungKeys: 1, lowest: 60, highest: 67, … }`
 */
export function runDigest(
  plan: readonly DigestedStep[],
  keys: readonly SungKey[],
  stops: RunState['stops'],
  results: readonly StepResult[] | null = null,
): RunDigest {
  const happened =
    results && new Set(results.filter(({ outcome }) => outcome !== 'passed-over').map(({ stepId }) => stepId));
  const sung = keys.filter(isSungByStudent);
  const workedOn = workedSteps(plan, keys).flatMap(({ stepId, exerciseId, kind, seconds }): PastExercise[] => {
    const ofStep = keys.filter((key) => key.stepId === stepId && key.exerciseId === exerciseId);
    const own = ofStep.filter(isSungByStudent);
    const wasStopped = stops.some((stop) => stop.stepId === stepId);
    const hasKeys = kind === 'pattern' || kind === 'siren';
    if ((hasKeys ? own.length === 0 : happened?.has(stepId) === false) && !wasStopped) return [];
    const manners = [...new Set(own.filter((key) => !isMissed(key)).flatMap(({ manner }) => manner ?? []))];
    const past = {
      exerciseId,
      keys: own.length,
      beatSeconds: own.reduce((sum, { tempo }) => sum + 60 / tempo, 0),
      plannedSeconds: seconds,
      tempo: own.length === 0 ? null : Math.max(...own.map(({ tempo }) => tempo)),
      highest: highestOf(own),
      ...(manners.length > 0 && { manners }),
      marks: marksOf(ofStep),
      wasStopped,
    };
    return [past];
  });
  return {
    plannedKeys: plan.reduce((sum, step) => sum + step.keys.length, 0),
    sungKeys: sung.length,
    lowest: sung.length === 0 ? null : Math.min(...sung.map(({ low }) => low)),
    highest: highestOf(sung),
    marks: marksOf(keys),
    workedOn,
  };
}
