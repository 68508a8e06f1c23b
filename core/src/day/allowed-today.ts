import { ageFor, isTooYoungForBelt, mayHaveGrit, USUAL_RULES, type RuleTable } from '../limits/index.ts';
import { answerTo, hasHeavyNotes, type Approach, type Exercise } from '../shelf/index.ts';
import { dayIs, voiceOf, type Caution, type Condition, type Occasion, type VoiceFile } from '../voice/index.ts';
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

/** What a caution on file is called where it leaves an exercise out. */
const CAUTION_WORDS: Readonly<Record<Caution, string>> = {
  asthma: 'asthma',
  panic: 'panic',
  epilepsy: 'epilepsy',
  pregnancy: 'pregnancy',
  belly: 'the lower belly',
  jaw: 'the jaw',
  'eyes-or-ears': 'eyes or ears',
  'neck-and-shoulder': 'neck and shoulders',
};

function againstCaution({ name, notWith }: Exercise, { cautions = [] }: VoiceFile): StepProblem | null {
  const caution = notWith.find((on) => cautions.includes(on));
  if (!caution) return null;
  return {
    code: 'CAUTION_ON_FILE',
    message: `“${name}” is left out: there is a caution on file about ${CAUTION_WORDS[caution]}.`,
    remedy: 'Take another exercise, or take the caution off the voice file once a doctor has agreed.',
  };
}

function forTheYoung(exercise: Exercise, voice: VoiceFile, rules: RuleTable): StepProblem | null {
  const singer = voiceOf(voice);
  const isBelt = hasHeavyNotes(exercise);
  if (!(isBelt && isTooYoungForBelt(singer, rules)) && !(exercise.grit && !mayHaveGrit(singer, rules))) return null;
  return {
    code: 'NOT_FOR_YOUNG_VOICES',
    message: `“${exercise.name}” is ${exercise.grit ? 'grit' : 'belt'}; a voice of this age does not get it.`,
    remedy: exercise.grit
      ? 'Take its easier relative. At sixteen or seventeen the teacher may decide otherwise in the voice file.'
      : 'Take its easier relative.',
  };
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
  if (exercise.notUnder !== undefined && ageFor(voice) < exercise.notUnder) {
    return {
      code: 'NOT_UNDER_AGE',
      message: `“${exercise.name}” is not for anyone under ${String(exercise.notUnder)}.`,
      remedy: 'Take another exercise.',
    };
  }
  const against = exercise.notWhen.find((condition) => conditions.includes(condition));
  if (against) {
    return {
      code: 'NOT_ON_SUCH_A_DAY',
      message: `“${exercise.name}” is left out on a ${against} day.`,
      remedy: 'Leave it out today, or take its easier relative.',
    };
  }
  const { occasion, hoursToPerformance = Infinity } = day;
  if (exercise.notWithin !== undefined && (occasion === 'performance' || hoursToPerformance <= exercise.notWithin)) {
    return {
      code: 'TOO_NEAR_PERFORMANCE',
      message: `“${exercise.name}” is left out within ${String(exercise.notWithin)} hours of a performance.`,
      remedy: 'Take its shorter or easier relative, and this one after the performance.',
    };
  }
  if (exercise.onlyMeasured && !voice.measured) {
    return {
      code: 'NOT_MEASURED',
      message: `“${exercise.name}” is only for a voice whose range was measured.`,
      remedy: 'Do a range check first, or take its easier relative.',
    };
  }
  if (dayIs(conditions, 'heavy-work-rests') && (hasHeavyNotes(exercise) || exercise.grit)) {
    return {
      code: 'OFF_WHILE_RECOVERING',
      message: `“${exercise.name}” is belt or grit; both rest while the voice recovers.`,
      remedy: 'Leave it out today, or take its easier relative.',
    };
  }
  const { mostResistanceTired } = rules.occluded;
  if (dayIs(conditions, 'little-resistance') && (exercise.resistance ?? 0) > mostResistanceTired) {
    return {
      code: 'TOO_MUCH_RESISTANCE',
      message: `“${exercise.name}” has resistance ${String(exercise.resistance)} of 4; a tired voice gets ${String(mostResistanceTired)} at most.`,
      remedy: 'Take a hum or a trill instead; the figure is in the rule table.',
    };
  }
  if ((exercise.stage === 'breath' || exercise.notDizzy) && breathOff) {
    return {
      code: 'BREATH_OFF_TODAY',
      message: `“${exercise.name}” is over for today; nothing that can make the head light is done after dizziness.`,
      remedy: 'Leave it out today.',
    };
  }
  if (holdsOff && isHold(exercise)) {
    return {
      code: 'HOLDS_OFF',
      message: `“${exercise.name}” holds the breath; after dizziness holds stay off.`,
      remedy: 'Turn holds on again in the voice file when you have decided so.',
    };
  }
  if (exercise.optIn && isHold(exercise) && answerTo(day.approach, 'breath-holds') !== 'timed') {
    return {
      code: 'HOLDS_NOT_CHOSEN',
      message: `“${exercise.name}” holds the breath against a clock; the approach does not.`,
      remedy: 'Choose timed holds in the approach of the studio or of this student, or leave it out.',
    };
  }
  if (isWithin(exercise, allowance)) return null;
  return {
    code: allowance === 'gentle' ? 'GENTLE_ONLY' : 'MIDDLE_ONLY',
    message: `“${exercise.name}” is more than ${allowance === 'gentle' ? 'gentle work' : 'modest middle work'}, which is all there is today.`,
    remedy: 'Leave it out today.',
  };
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
