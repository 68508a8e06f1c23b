import { LEADER } from './fellows.ts';
import type { RunState } from './run.types.ts';
import type { StepResult, Stop, SungKey } from './run.schema.ts';

/** What one singer did in a run. */
export interface PartOfRun {
  readonly sung: readonly SungKey[];
  readonly stops: readonly Stop[];
  readonly results: readonly StepResult[];
}

function sharedResults({ steps, results = [] }: RunState, fellowId: string): readonly StepResult[] {
  const sharing = new Set(
    steps.flatMap(({ stepId, fellows = [] }) => (fellows.some(({ id }) => id === fellowId) ? [stepId] : [])),
  );
  // How long a breath was is how long one singer’s was.
  return results
    .filter(({ stepId }) => sharing.has(stepId))
    .map(({ stepId, exerciseId, outcome, seconds, rounds }) => ({ stepId, exerciseId, outcome, seconds, rounds }));
}

/**
 * What is written down of a run for one of its singers: keys and stops of their own, and the shared work without pitch.
 *
 * @param fellowId one who sang along; left out it is who led
 */
export function partOfRun(state: RunState, fellowId?: string): PartOfRun {
  const who = fellowId ?? LEADER;
  const stops = state.stops
    .filter(({ singers = [LEADER] }) => singers.includes(who))
    .map(({ stepId, mark }) => ({ stepId, mark }));
  if (fellowId === undefined) return { sung: state.sung, stops, results: state.results ?? [] };
  const sung = (state.fellowsSung ?? []).filter(({ singer }) => singer === fellowId).map(({ key }) => key);
  return { sung, stops, results: sharedResults(state, fellowId) };
}
