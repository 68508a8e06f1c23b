import {
  changeRules,
  resolveLimits,
  RULE_ROWS,
  ruleFigure,
  USUAL_RULES,
  type LimitContext,
  type RuleRow,
  type RuleTable,
} from '../limits/index.ts';
import { reviewRoutine } from '../review/index.ts';
import { coolDownSeconds, layRoutine, shapeFor, type RoutineContext } from '../routine/index.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { STYLES, VOICE_TYPES, type VoiceFile } from '../voice/index.ts';
import { draftRoutine } from './index.ts';

const MEASURED = { low: 52, high: 76, reachLow: 49, reachHigh: 82, date: '2026-11-03' };
const NARROW = { low: 60, high: 70, reachLow: 58, reachHigh: 74, date: '2026-11-03' };

interface Probe extends Partial<Omit<LimitContext, 'exercise' | 'voice'>> {
  readonly exercise?: Partial<LimitContext['exercise']>;
  readonly voice?: Partial<LimitContext['voice']>;
}

const limitContext = ({ voice, exercise, ...change }: Probe, rules: RuleTable): LimitContext => ({
  voice: { type: 'mezzo-soprano', measured: MEASURED, ...voice },
  style: 'classical',
  exercise: { stage: 'middle', register: 'mixed', ...exercise },
  sungSteps: 4,
  conditions: [],
  occasion: 'lesson',
  now: '2026-11-25T15:00:00Z',
  rules,
  ...change,
});

const HEAVY = { stage: 'style', register: 'heavy' } as const;
const AGES = [7, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20];

/** Voices, days and work that between them meet every rule of the limits. */
const LIMITS: readonly Probe[] = [
  {},
  { voice: { margin: 9 } },
  { voice: { measured: NARROW } },
  ...STYLES.map((style) => ({ style })),
  ...(['heavy', 'tired', 'recovering'] as const).map((one) => ({ conditions: [one] })),
  { conditions: ['heavy', 'tired', 'recovering'] },
  { conditions: ['heavy', 'tired', 'recovering'], voice: { measured: NARROW } },
  ...[6, 20, 40, 80, 160].map((hoursToPerformance) => ({ hoursToPerformance })),
  ...[6, 20, 40, 80, 160].map((hoursToPerformance) => ({
    hoursToPerformance,
    exercise: { stage: 'range', extendsRange: true } as const,
  })),
  { occasion: 'home' },
  { occasion: 'home', exercise: { isNew: true } },
  ...[0, 1, 2, 3].map((sungSteps) => ({ sungSteps })),
  ...[0, 1, 2, 3].map((sungSteps) => ({ sungSteps, exercise: { stage: 'occluded' } as const })),
  ...[1, 2, 4, 5].map((sungSteps) => ({ sungSteps, exercise: { stage: 'range', extendsRange: true } as const })),
  { exercise: { stage: 'release' } },
  { exercise: { stage: 'release' }, voice: { measured: NARROW } },
  { exercise: { kind: 'siren', stage: 'release' } },
  { exercise: { register: 'light' } },
  ...VOICE_TYPES.map((type) => ({
    exercise: HEAVY,
    voice: { type, measured: { low: 40, high: 90, date: '2026-11-03' } },
  })),
  ...AGES.map((age) => ({
    exercise: HEAVY,
    voice: { type: 'soprano' as const, age, measured: { low: 50, high: 90, date: '2026-11-03' } },
  })),
  ...AGES.map((age) => ({
    voice: { type: 'treble' as const, age, measured: { low: 50, high: 90, date: '2026-11-03' } },
  })),
  // Ease was shown far up, so that only the age holds belt down.
  ...AGES.map((age) => ({
    exercise: HEAVY,
    voice: { type: 'soprano' as const, age, beltCeiling: 80, measured: { low: 50, high: 90, date: '2026-11-03' } },
  })),
  { exercise: { stage: 'style', grit: true } },
  { voice: { type: 'changing', changingStage: 'second' } },
];

const DAYS: readonly [Partial<RoutineContext>, Partial<VoiceFile>][] = [
  [{}, {}],
  [{ known: new Set() }, {}],
  [{ conditions: ['recovering'] }, {}],
  [{ conditions: ['tired'] }, {}],
  ...[48, 52, 55, 60, 66, 72, 78, 82].map((age): [Partial<RoutineContext>, Partial<VoiceFile>] => [{}, { age }]),
  ...AGES.map((age): [Partial<RoutineContext>, Partial<VoiceFile>] => [{}, { age, gritAllowed: true }]),
  ...[14, 36, 60, 100].map((hours): [Partial<RoutineContext>, Partial<VoiceFile>] => [
    { hoursToPerformance: hours },
    {},
  ]),
];

const STEPS = [
  ...['narrow-straw-slides', 'octave-leap-and-settle', 'slow-phrase', 'one-long-vowel', 'up-and-down-five'],
  ...['speech-like-call', 'light-grit-on-a-short-call', 'nine-note-runs', 'falling-hum'],
].map((id) => step(id));

const BEFORE = draftRoutine({ ...contextOf(), seed: 1, minutes: 12 }).steps.map(({ exerciseId }) => exerciseId);
const DRAFTS = [
  { minutes: 10, known: new Set<string>() },
  { minutes: 5, known: new Set<string>() },
  { minutes: 10, known: new Set([...exercises.keys()].filter((_, index) => index % 3 === 0)) },
  { minutes: 12, recent: [BEFORE] },
  { minutes: 12, instead: BEFORE },
  { minutes: 20, voice: { ...contextOf().voice, age: 9 } },
] as const;

const LENGTHS = [3, 5, 8, 10, 12, 15, 20, 30, 45];

/** What a rule table comes to, each as one text; the cheapest to work out first. */
const COMES_TO: readonly ((rules: RuleTable) => string)[] = [
  (rules) =>
    JSON.stringify(
      LIMITS.map((probe) => {
        const { floor, ceiling } = resolveLimits(limitContext(probe, rules));
        return [floor, ceiling];
      }),
    ),
  (rules) =>
    JSON.stringify(
      LENGTHS.map((minutes) => [
        shapeFor(minutes, rules),
        coolDownSeconds(minutes, 1, rules),
        coolDownSeconds(minutes, 5, rules),
      ]),
    ),
  (rules) =>
    JSON.stringify(
      DAYS.map(([day, file]) => {
        const context = contextOf({ ...day, rules }, file);
        const review = (daysSinceGrit: number): readonly string[] =>
          reviewRoutine({ ...context, steps: STEPS, minutes: 20, history: { daysSinceGrit } }).map(({ id }) => id);
        const laid = layRoutine(STEPS, context).steps;
        return [
          laid.map(({ lowest, highest, seconds, problem }) => [lowest, highest, seconds, problem?.code]),
          review(1),
        ];
      }),
    ),
  (rules) =>
    JSON.stringify(
      DRAFTS.map((draft) =>
        draftRoutine({ ...contextOf({ rules }), seed: 1, ...draft }).steps.map(({ settings, ...one }) => [
          one.exerciseId,
          settings,
        ]),
      ),
    ),
];

/** Another value a teacher might set, on either side of the usual. */
function others({ path, min, max, unit }: RuleRow): readonly number[] {
  const usual = ruleFigure(USUAL_RULES, path);
  const middle = (edge: number): number => (unit === 'share' ? (usual + edge) / 2 : Math.round((usual + edge) / 2));
  const near = unit === 'share' ? [] : [usual + 1, usual - 1];
  return [max, min, middle(max), middle(min), ...near].filter(
    (value) => value !== usual && value >= min && value <= max,
  );
}

const USUAL = COMES_TO.map((one) => one(USUAL_RULES));

function rulesWith(row: RuleRow, value: number): RuleTable | null {
  try {
    return changeRules({ [row.path]: value }, 'studio');
  } catch {
    // Some figures are bound to one another; another value of this row is tried.
    return null;
  }
}

test.each(RULE_ROWS.map((row) => [row.path, row] as const))(
  '%s acts: another figure gives another result',
  (_, row) => {
    const tables = others(row).flatMap((value) => rulesWith(row, value) ?? []);
    expect(tables.length).toBeGreaterThan(0);
    const acts = COMES_TO.some((comesTo, at) => tables.some((rules) => comesTo(rules) !== USUAL[at]));
    expect(acts).toBe(true);
  },
);
