export { broughtHome, heardWith, homeRoutine, type HomeKey, type HomeRoutine, type HomeStep } from './home-routine.ts';
