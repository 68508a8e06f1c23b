import { fellowKey, type RunKey, type RunState, type RunStep } from '@soft-lark/core';
import type { SentRun } from '../../api/runs.queries.ts';

const BASS_UNDER = 12;

function planned({ stepId, exerciseId, name, kind, seconds, resistance }: RunStep, keys: readonly RunKey[]) {
  return {
    stepId,
    exerciseId,
    name,
    kind,
    seconds,
    ...(resistance !== undefined && { resistance }),
    keys: keys.map(({ tonic, leg, low, high }) => ({ tonic, leg, low, high })),
  };
}

/** The plan as it stood when the run began, as it is kept with the run. */
export function plannedSteps(state: RunState): SentRun['plan'] {
  return state.steps.map((step) => planned(step, step.keys));
}

/** The plan as it was for one who sings along: their steps, and of those the keys that are theirs. */
export function plannedFor(state: RunState, singer: string): SentRun['plan'] {
  return state.steps.flatMap((step) => {
    const fellow = step.fellows?.find(({ id }) => id === singer);
    return fellow
      ? [
          planned(
            step,
            step.keys.flatMap((key) => fellowKey(step, key, fellow) ?? []),
          ),
        ]
      : [];
  });
}

/** Pitches the piano will need in a run, backing included. */
export function pitchesOf(state: RunState): readonly number[] {
  const pitches = state.steps.flatMap(({ keys, fellows = [] }) =>
    [0, ...fellows.map(({ octave }) => octave)].flatMap((octave) =>
      keys.flatMap(({ tonic, low, high }) => [tonic - BASS_UNDER, tonic, low, high].map((pitch) => pitch + octave)),
    ),
  );
  return [...new Set(pitches)];
}
