import { shippedExercises } from '../shelf/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import type { RoutineContext } from '../routine/index.ts';

const shelf = shippedExercises();
export const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));

export const MEZZO: VoiceFile = {
  type: 'mezzo-soprano',
  style: 'theatre',
  goals: [],
  bridges: [{ low: 64, high: 65 }],
  avoid: [],
  measured: { low: 58, high: 76, date: '2026-11-03' },
};

/** A plain lesson of a mezzo who knows the whole shelf. */
export function contextOf(change: Partial<RoutineContext> = {}, file: Partial<VoiceFile> = {}): RoutineContext {
  return {
    voice: { ...MEZZO, ...file },
    conditions: [],
    occasion: 'lesson',
    exercises,
    known: new Set(shelf.map(({ id }) => id)),
    now: '2026-11-25T15:00:00Z',
    ...change,
  };
}

/** A step as the shelf has it; its id is that of the exercise. */
export const step = (exerciseId: string, settings = {}): { id: string; exerciseId: string; settings: object } => ({
  id: exerciseId,
  exerciseId,
  settings,
});
