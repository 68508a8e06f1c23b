import { patternOfWork, type Exercise } from '../shelf/index.ts';
import { weightedMinutes } from './load.ts';
import type { PastExercise, PastRun } from './past.types.ts';

/** Seconds of voice in what was sung of an exercise. */
function voicedSeconds({ work }: Exercise, { keys, beatSeconds, plannedSeconds }: PastExercise): number {
  switch (work.kind) {
    case 'pattern':
      return patternOfWork(work).voicedBeats * beatSeconds;
    case 'siren':
      return keys * work.secondsEach;
    case 'spoken':
      return plannedSeconds;
    case 'breath':
    case 'timed':
      return 0;
  }
}

/** Weighted minutes of what was really sung. */
export function sungMinutes(runs: readonly PastRun[], exercises: ReadonlyMap<string, Exercise>): number {
  return weightedMinutes(
    runs.flatMap((run) =>
      run.exercises.flatMap((past) => {
        const exercise = exercises.get(past.exerciseId);
        return exercise ? [{ exercise, voicedSeconds: voicedSeconds(exercise, past) }] : [];
      }),
    ),
  );
}
