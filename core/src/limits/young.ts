import { BELT_CEILINGS, isAdultType, referenceOf, type Voice } from '../voice/index.ts';
import type { Statement } from '../statement.ts';
import type { LimitCode, RulePath, RuleTable } from './limits.types.ts';

type Singer = Pick<Voice, 'type' | 'age' | 'changingStage'>;

/** House choice, because safety comes first: a treble without an age counts as nine, a changing voice as thirteen. */
const UNKNOWN_AGE = { treble: 9, changing: 13 };

/** The age the rules go by: as given, else the youngest the type suggests, else grown up. */
export function ageFor({ type, age }: Singer): number {
  if (age !== undefined) return age;
  return isAdultType(type) ? Infinity : UNKNOWN_AGE[type];
}

/** Whether a voice is a child's. */
export function isChild(voice: Singer, rules: RuleTable): boolean {
  return ageFor(voice) < rules.young.teenFrom;
}

/** A highest note, and what the ledger says of it. */
interface AgeTop {
  readonly note: number;
  readonly said: Statement<LimitCode>;
}

/** The highest note for the age, or `null` for a grown-up. */
export function ageTopOf(voice: Singer, rules: RuleTable): AgeTop | null {
  const age = ageFor(voice);
  if (voice.type === 'changing')
    return { note: referenceOf(voice, rules.ranges).usual.high, said: { code: 'limit.stage-top' } };
  if (age >= rules.young.grownFrom) return null;
  if (age < rules.young.teenFrom)
    return {
      note: referenceOf({ type: 'treble', age }, rules.ranges).usual.high,
      said: { code: 'limit.child', values: { age } },
    };
  return { note: referenceOf(voice, rules.ranges).usual.high, said: { code: 'limit.teenager' } };
}

interface BeltTop extends AgeTop {
  /** The row of the rule table; none where the teacher set the note. */
  readonly figure?: RulePath;
}

/** Whether a voice is too young for belt. */
export function isTooYoungForBelt(voice: Singer, rules: RuleTable): boolean {
  return ageFor(voice) < rules.young.noBeltUnder;
}

/** Whether a voice may have grit: grown up, or of the age at which the teacher decides and has. */
export function mayHaveGrit(voice: Singer & Pick<Voice, 'gritAllowed'>, rules: RuleTable): boolean {
  const age = ageFor(voice);
  return age >= rules.young.grownFrom || (age >= rules.young.noGritUnder && Boolean(voice.gritAllowed));
}

/**
 * The highest chest-led note: of the voice, and of its age.
 *
 * @returns `null` where neither the voice nor its age has one
 */
export function beltTopOf(voice: Singer & Pick<Voice, 'beltCeiling'>, rules: RuleTable): BeltTop | null {
  const own: BeltTop | null =
    voice.beltCeiling !== undefined
      ? { note: voice.beltCeiling, said: { code: 'limit.belt' } }
      : isAdultType(voice.type)
        ? { note: rules.belt[voice.type], said: { code: 'limit.belt' }, figure: `belt.${voice.type}` }
        : null;
  const ofAge = ageBelt(ageFor(voice), rules);
  if (own === null || ofAge === null) return own ?? ofAge;
  return ofAge.note < own.note ? ofAge : own;
}

/** The highest chest-led note this voice may be given once it sings there with ease; `null` where it has none. */
export function easyBeltTopOf(voice: Singer, rules: RuleTable): number | null {
  const ofAge = ageBelt(ageFor(voice), rules)?.note;
  if (!isAdultType(voice.type)) return ofAge ?? null;
  return Math.min(BELT_CEILINGS[voice.type].withEase, ofAge ?? Infinity);
}

function ageBelt(age: number, { young }: RuleTable): BeltTop | null {
  if (age < young.speechMixUnder)
    return { note: young.speechMixTop, said: { code: 'limit.speech-mix' }, figure: 'young.speechMixTop' };
  if (age < young.grownFrom) return { note: young.mixTop, said: { code: 'limit.teen-mix' }, figure: 'young.mixTop' };
  return null;
}
