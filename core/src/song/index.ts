export { barCount, eventsOfBars, type Meter } from './bars.ts';
export type { Melody, MelodyEvent } from './melody.types.ts';
export { songSchema, type Song } from './song.ts';
