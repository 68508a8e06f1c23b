export { APPROACH_CHOICES } from './approach.data.ts';
export { checkShelf } from './check-shelf.ts';
export { cueFor, cuesOf, type Approach, type CuePlace } from './cue-for.ts';
export {
  exerciseSchema,
  type Cue,
  type Exercise,
  type PatternWork,
  type Work,
  type WrittenExercise,
} from './exercise.schema.ts';
export { isForVoice, patternOfWork } from './pattern-of.ts';
export { shippedExercises } from './shipped.ts';
