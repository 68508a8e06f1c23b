export { formatPattern } from './format-pattern.ts';
export { LONGEST_TEXT } from './longest-text.ts';
export { markPattern } from './mark-pattern.ts';
export { MODES } from './modes.data.ts';
export { narrowPattern } from './narrow-pattern.ts';
export { withBreaths } from './with-breaths.ts';
export { practiceForms, type PracticeForm } from './practice-forms.ts';
export { parsePattern } from './parse-pattern.ts';
export { spellSemitones } from './degree.ts';
export { withDegrees } from './with-degrees.ts';
export {
  isSounding,
  MARK_KINDS,
  type MarkKind,
  type Mode,
  type Pattern,
  type PatternEvent,
  type PatternMark,
  type SoundingEvent,
} from './pattern.types.ts';
export { patternOf } from './parse-pattern.ts';
export { fraction, greatestCommonDivisor, nearestFraction, simplestFraction, toBeats, type Fraction } from './beats.ts';
