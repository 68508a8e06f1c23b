import { ageFor, isTooYoungForBelt, mayHaveGrit, USUAL_RULES, type RuleTable } from '../limits/index.ts';
import { answerTo, hasHeavyNotes, type Approach, type Exercise } from '../shelf/index.ts';
import { dayIs, voiceOf, type Condition, type Occasion, type VoiceFile } from '../voice/index.ts';
import type { Allowance } from './gate.data.ts';
import type { DayContext, StepProblem } from './day.types.ts';

/** House choice: gentle work strains nothing, so load one at most, and no middle or wider work. */
const GENTLE_LOAD = 1;
const MIDDLE_LOAD = 2;
const GENTLE_STAGES: ReadonlySet<string> = new Set(['settle', 'breath', 'release', 'occluded', 'resonance', 'cool']);
const MIDDLE_STAGES: ReadonlySet<string> = new Set([...GENTLE_STAGES, 'onset', 'middle']);

/** What of a day decides whether an exercise may be done at all. */
export interface DayAllowance {
  readonly conditions: readonly Condition[];
  readonly allowance?: Allowance;
  /** Dizziness ended breath work for the day. */
  readonly breathOff?: boolean;
  /** Breath holds stay off until the teacher turns them on again. */
  readonly holdsOff?: boolean;
  readonly approach?: Approach;
  readonly rules?: RuleTable;
  readonly occasion?: Occasion;
  readonly hoursToPerformance?: number;
}

function isWithin(exercise: Exercise, allowance: Allowance): boolean {
  if (allowance === 'all') return true;
  const [stages, load] =
    allowance === 'gentle' ? ([GENTLE_STAGES, GENTLE_LOAD] as const) : ([MIDDLE_STAGES, MIDDLE_LOAD] as const);
  return stages.has(exercise.stage) && exercise.load <= load;
}

function isHold({ work }: Exercise): boolean {
  return work.kind === 'breath' && (work.counts?.holdCounts ?? 0) > 0;
}

function againstCaution({ name, notWith }: Exercise, { cautions = [] }: VoiceFile): StepProblem | null {
  const caution = notWith.find((on) => cautions.includes(on));
  if (!caution) return null;
  return { code: 'CAUTION_ON_FILE', values: { name, caution: { word: caution, of: 'caution' } } };
}

function forTheYoung(exercise: Exercise, voice: VoiceFile, rules: RuleTable): StepProblem | null {
  const singer = voiceOf(voice);
  const isBelt = hasHeavyNotes(exercise);
  if (!(isBelt && isTooYoungForBelt(singer, rules)) && !(exercise.grit && !mayHaveGrit(singer, rules))) return null;
  return { code: 'NOT_FOR_YOUNG_VOICES', values: { name: exercise.name, ...(exercise.grit && { context: 'grit' }) } };
}

/**
 * Why an exercise is left out today, whatever its keys: age, recovery, a gate that allows gentle work only, dizziness.
 *
 * @returns `null` where it may be done
 */
export function leftOutToday(exercise: Exercise, voice: VoiceFile, day: DayAllowance): StepProblem | null {
  const { conditions, allowance = 'all', breathOff = false, holdsOff = false, rules = USUAL_RULES } = day;
  const lasting = againstCaution(exercise, voice) ?? forTheYoung(exercise, voice, rules);
  if (lasting) return lasting;
  const { name } = exercise;
  if (exercise.notUnder !== undefined && ageFor(voice) < exercise.notUnder) {
    return { code: 'NOT_UNDER_AGE', values: { name, age: exercise.notUnder } };
  }
  const against = exercise.notWhen.find((condition) => conditions.includes(condition));
  if (against) {
    return { code: 'NOT_ON_SUCH_A_DAY', values: { name, condition: { word: against, of: 'condition' } } };
  }
  const { occasion, hoursToPerformance = Infinity } = day;
  if (exercise.notWithin !== undefined && (occasion === 'performance' || hoursToPerformance <= exercise.notWithin)) {
    return { code: 'TOO_NEAR_PERFORMANCE', values: { name, hours: exercise.notWithin } };
  }
  if (exercise.onlyMeasured && !voice.measured) {
    return { code: 'NOT_MEASURED', values: { name } };
  }
  if (dayIs(conditions, 'heavy-work-rests') && (hasHeavyNotes(exercise) || exercise.grit)) {
    return { code: 'OFF_WHILE_RECOVERING', values: { name } };
  }
  const { mostResistanceTired } = rules.occluded;
  if (dayIs(conditions, 'little-resistance') && (exercise.resistance ?? 0) > mostResistanceTired) {
    return {
      code: 'TOO_MUCH_RESISTANCE',
      values: { name, resistance: exercise.resistance ?? 0, most: mostResistanceTired },
    };
  }
  if ((exercise.stage === 'breath' || exercise.notDizzy) && breathOff) {
    return { code: 'BREATH_OFF_TODAY', values: { name } };
  }
  if (holdsOff && isHold(exercise)) {
    return { code: 'HOLDS_OFF', values: { name } };
  }
  if (exercise.optIn && isHold(exercise) && answerTo(day.approach, 'breath-holds') !== 'timed') {
    return { code: 'HOLDS_NOT_CHOSEN', values: { name } };
  }
  if (isWithin(exercise, allowance)) return null;
  return { code: allowance === 'gentle' ? 'GENTLE_ONLY' : 'MIDDLE_ONLY', values: { name } };
}

/** Whether a performance is so near that nothing new is begun. */
export function isCloseToPerformance({
  occasion,
  hoursToPerformance = Infinity,
  rules = USUAL_RULES,
}: Pick<DayContext, 'occasion' | 'hoursToPerformance' | 'rules'>): boolean {
  return occasion === 'performance' || hoursToPerformance <= rules.performance.nothingNewHours;
}

/** Gentle work that nobody is surprised by, even where nothing new is begun. */
export function isGentle({ load, level }: Pick<Exercise, 'load' | 'level'>): boolean {
  return load <= 1 && level === 'first';
}

/** Whether what must come before an exercise has come: it is known, or taken already. */
export function hasWhatItNeeds(
  { needs }: Exercise,
  { known }: Pick<DayContext, 'known'>,
  taken: ReadonlySet<string>,
): boolean {
  return needs.every((id) => known.has(id) || taken.has(id));
}
