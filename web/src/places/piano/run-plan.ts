import type { RunState } from '@soft-lark/core';
import type { SentRun } from '../../api/runs.queries.ts';

const BASS_UNDER = 12;

/** The plan as it stood when the run began, as it is kept with the run. */
export function plannedSteps(state: RunState): SentRun['plan'] {
  return state.steps.map(({ stepId, exerciseId, name, kind, seconds, keys, resistance }) => ({
    stepId,
    exerciseId,
    name,
    kind,
    seconds,
    ...(resistance !== undefined && { resistance }),
    keys: keys.map(({ tonic, leg, low, high }) => ({ tonic, leg, low, high })),
  }));
}

/** Pitches the piano will need in a run, backing included. */
export function pitchesOf(state: RunState): readonly number[] {
  const keys = state.steps.flatMap((step) => step.keys);
  return [...new Set(keys.flatMap(({ tonic, low, high }) => [tonic - BASS_UNDER, tonic, low, high]))];
}
