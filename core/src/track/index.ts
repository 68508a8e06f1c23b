export { GAPS, guideTrack, type GuideTrack, type TrackChoices, type TrackStep } from './guide-track.ts';
export { mixer, RELEASE_SECONDS, type Sample } from './mix.ts';
export { midiOfTrack } from './track-midi.ts';
