export { broughtHome, heardWith, homeRoutine, type HomeKey, type HomeRoutine, type HomeStep } from './home-routine.ts';
export {
  lessonSoundSchema,
  packedSounds,
  unpackedSounds,
  type LessonSound,
  type LessonSoundShown,
} from './lesson-sound.schema.ts';
