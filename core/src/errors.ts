import type { Statement } from './statement.ts';

type Values = NonNullable<Statement['values']>;

/** Every code the core refuses by. */
export type ErrorCode =
  PitchErrorCode | PatternErrorCode | LadderErrorCode | VoiceErrorCode | RuleErrorCode | FormatErrorCode | FitErrorCode;

/**
 * A refusal that can be shown to a person: `message` is one sentence with the offending value, in English for logs,
 * `remedy` says what to do, `code` is public and never renamed. A page speaks by code: it fills in `values`, whose `context`
 * tells cases of one code apart.
 */
export abstract class SoftLarkError extends Error {
  readonly code: ErrorCode;
  readonly remedy: string;
  readonly values: Values;

  protected constructor(name: string, code: ErrorCode, message: string, remedy: string, values: Values = {}) {
    super(message);
    this.name = name;
    this.code = code;
    this.remedy = remedy;
    this.values = values;
  }
}

export type PitchErrorCode = 'BAD_TUNING' | 'BAD_NOTE_NAME' | 'BAD_MIDI';

/** A note, a note name or a tuning that cannot be used. */
export class PitchError extends SoftLarkError {
  declare readonly code: PitchErrorCode;

  constructor(code: PitchErrorCode, message: string, remedy: string, values: Values = {}) {
    super('PitchError', code, message, remedy, values);
  }
}

export type PatternErrorCode =
  | 'EMPTY'
  | 'NOTHING_SOUNDS'
  | 'BAD_TOKEN'
  | 'BAD_SPACE'
  | 'BAD_DEGREE'
  | 'BAD_DURATION'
  | 'BAD_GROUP'
  | 'TOO_LONG'
  | 'TOO_MANY_EVENTS'
  | 'SPAN_TOO_WIDE'
  | 'BAD_SYLLABLES'
  | 'BAD_MARK'
  | 'BAD_MODE'
  | 'BAD_TEMPO';

/** A pattern text that does not parse; `position` is the 0-based start of the offending token. */
export class PatternError extends SoftLarkError {
  declare readonly code: PatternErrorCode;
  readonly position: number;
  readonly expected: string;

  constructor(code: PatternErrorCode, position: number, message: string, expected: string, values: Values = {}) {
    super('PatternError', code, message, `Expected ${expected}.`, values);
    this.position = position;
    this.expected = expected;
  }
}

export type LadderErrorCode = 'BAD_SETTING' | 'SPAN_EXCEEDS_RANGE' | 'START_ABOVE_CEILING' | 'START_BELOW_FLOOR';

/** The nearest value of one setting that would have worked, or `null` where none does. */
export interface NearestSetting {
  readonly setting: string;
  readonly value: number | string | null;
}

/** Settings that give no ladder or siren; `nearest` is the closest setting that works. */
export class LadderError extends SoftLarkError {
  declare readonly code: LadderErrorCode;
  readonly nearest: NearestSetting;

  constructor(code: LadderErrorCode, message: string, remedy: string, nearest: NearestSetting, values: Values = {}) {
    super('LadderError', code, message, remedy, values);
    this.nearest = nearest;
  }
}

export type VoiceErrorCode = 'BAD_RANGE' | 'NOTHING_LEFT' | 'BAD_VOICE' | 'BAD_DATE';

/** A voice file whose figures contradict each other. */
export class VoiceError extends SoftLarkError {
  declare readonly code: VoiceErrorCode;

  constructor(code: VoiceErrorCode, message: string, remedy: string, values: Values = {}) {
    super('VoiceError', code, message, remedy, values);
  }
}

export type RuleErrorCode = 'UNKNOWN_ROW' | 'OUT_OF_BOUNDS' | 'OUT_OF_ORDER';

/** A rule table edited into nonsense; `row` is the figure that is off. */
export class RuleError extends SoftLarkError {
  declare readonly code: RuleErrorCode;
  readonly row: string;

  constructor(code: RuleErrorCode, row: string, message: string, remedy: string, values: Values = {}) {
    super('RuleError', code, message, remedy, values);
    this.row = row;
  }
}

export type FormatErrorCode =
  | 'EMPTY_FILE'
  | 'TOO_LARGE'
  | 'WRONG_ENCODING'
  | 'BROKEN_FILE'
  | 'UNSAFE_FILE'
  | 'WRONG_KIND'
  | 'NEWER_FILE'
  | 'NO_NOTES';

/** A file that cannot be taken in. */
export class FormatError extends SoftLarkError {
  declare readonly code: FormatErrorCode;

  constructor(code: FormatErrorCode, message: string, remedy: string, values: Values = {}) {
    super('FormatError', code, message, remedy, values);
  }
}

export type FitErrorCode = 'NO_OPTION' | 'BAD_OPTION' | 'BAD_CHOICE' | 'BAD_BUDGET';

/** Steps that cannot be fitted to any budget as they were given. */
export class FitError extends SoftLarkError {
  declare readonly code: FitErrorCode;

  constructor(code: FitErrorCode, message: string, remedy: string) {
    super('FitError', code, message, remedy);
  }
}
