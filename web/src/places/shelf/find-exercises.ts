import { STAGES, type Exercise, type Stage } from '@soft-lark/core';
import Fuse from 'fuse.js';

/** Exercises of a stage that fit some letters, best first; all in the order of the stages where nothing is asked. */
export function findExercises(exercises: readonly Exercise[], query: string, stage: Stage | null): readonly Exercise[] {
  const ofStage = exercises.filter((exercise) => stage === null || exercise.stage === stage);
  if (query.trim() === '') return [...ofStage].sort((a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage));
  const fuse = new Fuse(ofStage, {
    keys: ['name', 'stage', 'goals', 'work.syllables', 'kit', 'why'],
    threshold: 0.35,
    ignoreLocation: true,
    minMatchCharLength: 2,
  });
  return fuse.search(query.trim()).map(({ item }) => item);
}
