export { findRange } from './find-range.ts';
export { HEARD_BREATH } from './heard.data.ts';
export { hearingOf, type Hearing } from './hearing.ts';
export { hearBreath, type HeardBreath } from './hear-breath.ts';
export { HELD, heldNotes } from './held-notes.ts';
export { frameMaker, HOP_SECONDS, type FrameMaker } from './pitch-frames.ts';
export {
  CHECK_WAYS,
  conductCheck,
  findingsOf,
  startCheck,
  type CheckAction,
  type CheckFindings,
  type CheckState,
  type CheckWay,
} from './range-check.ts';
export { marksHeard, scoreRung, type HeardMark, type NoteScore, type RungScore } from './score-rung.ts';
export { singersAudio } from './singer-audio.ts';
export { SINGERS, type Singer, type SingerName } from './singers.data.ts';
export { breatheOut, singNote, singTune, speakLine, type SungNote } from './simulated-singer.ts';
export { evennessOf, onsetOf, vibratoOf, type Vibrato } from './steadiness.ts';
export { pitchOf } from './voiced.ts';
export { endOf, wantedNotes, type WantedNote } from './wanted-notes.ts';
export { type Crack, type HeldNote, type PitchFrame, type RangeFinding, type Turnover } from './listening.types.ts';
