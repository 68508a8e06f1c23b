export { barCount, eventsOfBars, type Meter } from './bars.ts';
export { LOSSES, type Loss, type Melody, type MelodyEvent } from './melody.types.ts';
export { songDemands, songInOctaveOf, songNeeds, type SongDemands } from './song-demands.ts';
export { songProgramme, type ProgrammePart, type ProgrammeSong, type SongProgramme } from './programme.ts';
export { songSchema, type Song } from './song.ts';
export {
  analyseSong,
  notesOfSong,
  type SongAnalysis,
  type SongKey,
  type SongNeed,
  type SongNote,
  type SongVoice,
} from './analyse-song.ts';
