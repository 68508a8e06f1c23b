export { formatPattern } from './format-pattern.ts';
export { markPattern } from './mark-pattern.ts';
export { MODES } from './modes.data.ts';
export { narrowPattern } from './narrow-pattern.ts';
export { practiceForms, type PracticeForm, type PracticeFormName } from './practice-forms.ts';
export { parsePattern } from './parse-pattern.ts';
export { spellSemitones } from './degree.ts';
export {
  isSounding,
  type MarkKind,
  type Mode,
  type Pattern,
  type PatternEvent,
  type PatternMark,
  type SoundingEvent,
} from './pattern.types.ts';
export { patternOf } from './parse-pattern.ts';
export { fraction, nearestFraction, simplestFraction, toBeats, type Fraction } from './beats.ts';
