import { contextOf, exercises, MEZZO, step } from './testing/routine-context.ts';
import { gateOutcome, leftOutToday, minutesToday } from './day/index.ts';
import { draftRoutine } from './draft/index.ts';
import { resolveLimits, RULE_ROWS, USUAL_RULES } from './limits/index.ts';
import { reviewRoutine } from './review/index.ts';
import { layRoutine } from './routine/index.ts';
import { exerciseSchema } from './shelf/index.ts';
import type * as Conditions from './voice/conditions.data.ts';
import { BURDENS, CONDITIONS, toggledCondition, voiceOf, type Condition } from './voice/index.ts';

// A fifth condition is one row, and nothing else.
jest.mock('./voice/conditions.data.ts', () => {
  const actual = jest.requireActual<typeof Conditions>('./voice/conditions.data.ts');
  const stormy: Conditions.ConditionRow = {
    effects: ['worn', 'low', 'short-breath', 'little-resistance', 'heavy-work-rests', 'grit-rests'],
    lower: { usual: 4, least: 1, most: 9 },
    occluded: { of: 'sung' },
    plan: 'recovering',
    length: { share: 0.5, goes: 1 },
  };
  return { ...actual, CONDITION_TABLE: { stormy, ...actual.CONDITION_TABLE } };
});

const STORMY = 'stormy' as Condition;
const named = (id: string) => {
  const exercise = exercises.get(id);
  if (!exercise) throw new Error(`no ${id}`);
  return exercise;
};

test('it is offered, and combines as the others do', () => {
  expect(CONDITIONS).toEqual(['fresh', 'heavy', 'tired', 'recovering', 'stormy']);
  expect(BURDENS).not.toContain('fresh');
  expect(toggledCondition(['fresh'], STORMY)).toEqual(['stormy']);
  expect(toggledCondition(['stormy' as Condition], 'fresh')).toEqual(['fresh']);
});

test('limits: the ceiling is lower by its figure, which a teacher can set', () => {
  const limitsOn = (conditions: readonly Condition[]) =>
    resolveLimits({
      voice: voiceOf(MEZZO),
      style: 'pop',
      exercise: { stage: 'middle', register: 'any' },
      sungSteps: 3,
      conditions,
      occasion: 'lesson',
      rules: USUAL_RULES,
      now: '2026-11-25T15:00:00Z',
    });
  expect(limitsOn([]).ceiling - limitsOn([STORMY]).ceiling).toBe(4);
  expect(limitsOn([STORMY]).entries.map(({ said }) => said.values?.['conditions'])).toContainEqual([
    { word: 'stormy', of: 'condition' },
  ]);
  expect(RULE_ROWS.find(({ path }) => path.endsWith('stormy'))).toMatchObject({ min: 1, max: 9 });
});

test('ladders go down first, and one breath carries less', () => {
  const laidOn = (conditions: readonly Condition[]) => {
    const { laid } = layRoutine([step('thirds'), step('falling-hum')], contextOf({ conditions })).steps[0] ?? {};
    if (laid?.kind !== 'pattern') throw new Error('no ladder');
    return laid;
  };
  expect(laidOn([]).ladder.rungs[0]?.leg).toBe('up');
  expect(laidOn([STORMY]).ladder.rungs[0]?.leg).toBe('down');
  expect(laidOn([STORMY]).pattern.voicedBeats).toBeLessThanOrEqual(laidOn([]).pattern.voicedBeats);
});

test('what rests on such a day is left out, by hand and in a file', () => {
  const day = { conditions: [STORMY] };
  expect(leftOutToday(named('speech-like-call'), MEZZO, day)?.code).toBe('OFF_WHILE_RECOVERING');
  expect(leftOutToday(named('straw-slides'), MEZZO, day)?.code).toBe('TOO_MUCH_RESISTANCE');
  const own = exerciseSchema.parse({ ...named('up-and-down-five'), notWhen: ['stormy'] });
  expect(leftOutToday(own, MEZZO, day)?.code).toBe('NOT_ON_SUCH_A_DAY');
});

test('the gate halves the minutes, and fresh yields to it', () => {
  const outcome = gateOutcome({ tired: 0, voice: 'normal', pain: false }, ['fresh', STORMY]);
  expect(outcome).toMatchObject({ level: 'changed', open: true, conditions: ['stormy'] });
  expect(minutesToday(outcome?.length, 12)).toBe(6);
});

test('a draft follows its plan, and the review asks for its occluded work', () => {
  const context = contextOf({ conditions: [STORMY] });
  const stagesOn = (conditions: readonly Condition[]): readonly (string | undefined)[] =>
    draftRoutine({ ...context, conditions, minutes: 12, seed: 3 }).steps.map(
      ({ exerciseId }) => exercises.get(exerciseId)?.stage,
    );
  const occluded = (stages: readonly (string | undefined)[]): number =>
    stages.filter((stage) => stage === 'occluded').length;
  expect(occluded(stagesOn([STORMY]))).toBeGreaterThan(occluded(stagesOn([])));
  const steps = ['hum-on-the-chord', 'up-and-down-five', 'falling-hum'].map((id) => step(id));
  expect(reviewRoutine({ ...context, steps, minutes: 5 }).map(({ rule }) => rule)).toContain('no-occluded');
  const little = reviewRoutine({
    ...context,
    steps: [step('lip-trill-on-five', { maxKeys: 3 }), ...steps],
    minutes: 6,
  });
  expect(little.find(({ rule }) => rule === 'little-occluded')?.values['condition']).toEqual({
    word: 'stormy',
    of: 'condition',
  });
});
