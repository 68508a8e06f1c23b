import { dayIs, daysBetween, isRested, strongest, type Condition, type ShorterDay } from '../voice/index.ts';
import {
  AFTER_ILLNESS,
  NOT_TODAY_SIGNS,
  SEE_SOMEONE_SIGNS,
  URGENT_SIGNS,
  type Allowance,
  type GateSign,
  type RecoveryDays,
} from './gate.data.ts';

/** Locks of the gate, the strictest first. */
export const LOCK_LEVELS = ['urgent', 'not-today', 'see-someone'] as const;
export type LockLevel = (typeof LOCK_LEVELS)[number];
export type GateLevel = LockLevel | 'changed' | 'clear';

/** The answers before a run: three for a usual day, the others where one of the three asks for them. */
export interface GateAnswers {
  readonly tired: 0 | 1 | 2 | 3;
  readonly voice: 'normal' | 'rough' | 'gone';
  readonly pain: boolean;
  /** What of the warning signs applies; an empty list says that none does. */
  readonly signs?: readonly GateSign[];
  readonly recovery?: RecoveryDays;
  /** Heavy use of the voice in the last two days. */
  readonly heavyUse?: boolean;
  readonly hoursToPerformance?: number;
}

export type GateQuestion = 'tired' | 'voice' | 'pain' | 'signs' | 'recovery';

export interface GateOutcome {
  readonly level: GateLevel;
  /** Whether a run may begin. */
  readonly open: boolean;
  readonly reason?: GateSign | 'pain' | 'voice-gone';
  readonly conditions: readonly Condition[];
  readonly allowance: Allowance;
  /** How long may be sung at a go, where that is less than usual. */
  readonly length?: ShorterDay;
  readonly hoursToPerformance?: number;
}

const TIRED_FROM = 2;
/** House choice: a clearance speaks for the trouble it was given for, not for the next one. */
const CLEARANCE_DAYS = 30;

/**
 * Whether a clearance on file still speaks for today; one of a day to come does not yet.
 *
 * @param clearedOn ISO day, where there is one
 * @param today ISO day
 */
export function isCleared(clearedOn: string | undefined, today: string): boolean {
  if (clearedOn === undefined) return false;
  const age = daysBetween(clearedOn, today);
  return age >= 0 && age <= CLEARANCE_DAYS;
}

/**
 * Whether a lock that nobody lifted still holds: an urgent one does until it is lifted, one for today ends with the day, a
 * referral with a clearance that was given after it.
 *
 * @param lock its level, and the ISO day it was locked on
 * @param clearedOn ISO day of the clearance on file, where there is one
 * @param today ISO day
 */
export function lockHolds(
  { level, since }: { readonly level: LockLevel; readonly since: string },
  clearedOn: string | undefined,
  today: string,
): boolean {
  switch (level) {
    case 'urgent':
      return true;
    case 'not-today':
      return since === today;
    case 'see-someone':
      return clearedOn === undefined || clearedOn < since || clearedOn > today;
  }
}

/** The conditions of the day: what was chosen before and what the answers add. `fresh` yields to any other. */
function conditionsOf(answers: Partial<GateAnswers>, chosen: readonly Condition[]): readonly Condition[] {
  const found = new Set(chosen);
  if ((answers.tired ?? 0) >= TIRED_FROM || answers.heavyUse) found.add('tired');
  if (answers.voice === 'rough') found.add('recovering');
  // What is rested yields to anything else.
  const burdens = [...found].filter((name) => !isRested([name]));
  return burdens.length > 0 ? burdens : [...found];
}

/**
 * The questions that still want an answer. No answer is not "fine"; a usual day has three.
 *
 * @example openQuestions({ tired: 0, voice: 'rough', pain: false }, []) // ['signs', 'recovery']
 */
export function openQuestions(answers: Partial<GateAnswers>, chosen: readonly Condition[]): readonly GateQuestion[] {
  const first = (['tired', 'voice', 'pain'] as const).filter((question) => answers[question] === undefined);
  const isUnwell = answers.pain === true || (answers.voice !== undefined && answers.voice !== 'normal');
  const isRecovering = answers.voice === 'rough' || (dayIs(chosen, 'asks-recovery') && answers.voice !== 'gone');
  return [
    ...first,
    ...(isUnwell && answers.signs === undefined ? (['signs'] as const) : []),
    ...(isRecovering && !answers.pain && answers.recovery === undefined ? (['recovery'] as const) : []),
  ];
}

/** How long may be sung at a go, where the day itself shortens it. */
function lengthOn(conditions: readonly Condition[]): Pick<GateOutcome, 'length'> {
  const length = strongest(conditions, 'length');
  return length ? { length } : {};
}

/** What ends the singing for today, as soon as it is known: an urgent sign before anything else, whatever is still open. */
function whatShuts({ signs, voice, pain }: Partial<GateAnswers>): Pick<GateOutcome, 'level' | 'reason'> | null {
  // Until the signs are looked at, something worse than what is known may be among them.
  if (signs === undefined) return null;
  const urgent = URGENT_SIGNS.find((sign) => signs.includes(sign));
  if (urgent) return { level: 'urgent', reason: urgent };
  const reason = pain ? 'pain' : voice === 'gone' ? 'voice-gone' : NOT_TODAY_SIGNS.find((sign) => signs.includes(sign));
  return reason ? { level: 'not-today', reason } : null;
}

/**
 * What the answers lead to; the strictest rule wins.
 *
 * @param hasClearance a doctor's clearance is on file, so that nobody has to be seen first
 * @returns `null` while a question is open, unless what is known shuts the gate already
 * @example gateOutcome({ tired: 2, voice: 'normal', pain: false }, ['fresh']) // open, changed, ['tired']
 * @example gateOutcome({ signs: ['faint'] }, []) // shut, urgent
 * Source: the cautions of the studio; screening and referral, no diagnosis.
 */
export function gateOutcome(
  answers: Partial<GateAnswers>,
  chosen: readonly Condition[],
  hasClearance = false,
): GateOutcome | null {
  const conditions = conditionsOf(answers, chosen);
  const shut = whatShuts(answers);
  if (shut) return { ...shut, open: false, conditions, allowance: 'gentle' };
  if (openQuestions(answers, chosen).length > 0) return null;
  const { signs = [], recovery = 'not-ill', hoursToPerformance } = answers;
  const near = hoursToPerformance === undefined ? {} : { hoursToPerformance };
  const seen = SEE_SOMEONE_SIGNS.find((sign) => signs.includes(sign));
  if (seen && !hasClearance) {
    return { level: 'see-someone', open: true, reason: seen, conditions, allowance: 'gentle', ...near };
  }
  const isChanged = !isRested(conditions) || hoursToPerformance !== undefined;
  return {
    level: isChanged ? 'changed' : 'clear',
    open: true,
    conditions,
    ...lengthOn(conditions),
    ...AFTER_ILLNESS[recovery],
    ...near,
  };
}

/**
 * Minutes of a routine on a day after an illness.
 *
 * @param minutes what it usually takes
 * @example minutesToday({ mostMinutes: 5, goes: 2 }, 12) // 5
 */
export function minutesToday(length: ShorterDay | undefined, minutes: number): number {
  if (!length) return minutes;
  return Math.min(minutes * (length.share ?? 1), length.mostMinutes ?? Infinity);
}
