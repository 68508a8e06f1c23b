export { calledByPlaying, LEAST_PLAYED } from './called-by-playing.ts';
export { APPROACH_CHOICES, PACES, type Pace } from './approach.data.ts';
export { approachSchema, keptVoiceSchema } from './kept-voice.schema.ts';
export { checkShelf } from './check-shelf.ts';
export { isStillWork, promptOf } from './still-work.ts';
export { againstSchool, opposedOn } from './pulls.ts';
export { PULL_CAUTIONS, PULLS } from './pulls.data.ts';
export { answerTo, cueFor, cuesOf, schoolCues, type Approach, type CuePlace } from './cue-for.ts';
export {
  ANSWERED_MARKS,
  CUE_PLACES,
  exerciseSchema,
  LEVELS,
  SENSES,
  type Cue,
  type Exercise,
  type WrittenExercise,
} from './exercise.schema.ts';
export {
  LINE_ORDERS,
  PROMPT_SIDES,
  type BreathWork,
  type GlideEnd,
  type PatternWork,
  type Prompt,
  type SirenWork,
  type SpokenWork,
  type StillWork,
  type TimedWork,
  type Work,
} from './work.schema.ts';
export {
  isForVoice,
  isNoLouder,
  isSungWork,
  patternOfWork,
  spanOf,
  sungSyllables,
  syllablesFor,
} from './pattern-of.ts';
export { hasHeavyNotes, isHeavyWork, heavyBelowTop, isHeavyAt, isLoudAt } from './note-qualities.ts';
export { HELP_CHOICES, helpPlan, HELPS, type Help, type HelpChoice } from './help-plan.ts';
export { LEARNING_RULES, OVERLAYS, type Overlay } from './learning.data.ts';
export { NOISES } from './noises.data.ts';
export { overlayFor, overlaysOf, takesOverlay, wantsMirror } from './overlays.ts';
export {
  MOST_OWN_OVERLAYS,
  OVERLAY_TOUCHES,
  ownOverlaySchema,
  type OverlayTouch,
  type OwnOverlay,
} from './own-overlay.schema.ts';
export { isPossibleWith, obstacleTo, relativeThatFits, substitutesFor, type Kept } from './relatives.ts';
export { shippedExercises } from './shipped.ts';
