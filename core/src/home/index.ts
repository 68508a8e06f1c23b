export { heardWith } from './heard-with.ts';
export { broughtHome, homeRoutine, type HomeKey, type HomeRoutine, type HomeStep } from './home-routine.ts';
export { lessonSoundSchema, type LessonSound } from './lesson-sound.schema.ts';
export { packedSounds, unpackedSounds } from './lesson-sound.ts';
