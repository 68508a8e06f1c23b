import { judgesSound, playsOn, turnsAtEffort } from '../day/index.ts';
import fc from 'fast-check';
import { changeRules, USUAL_RULES } from '../limits/index.ts';
import { APPROACH_CHOICES } from '../shelf/index.ts';
import { approaches } from '../testing/draft-days.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { answerChanges, draftRoutine, type AnswerChange, type Answers } from './index.ts';

const SHELF = [...exercises.keys()].map((id) => step(id));
const ROUTINE = [
  'lip-trill-on-five',
  'up-and-down-five',
  'thirds',
  'full-scale',
  'octave-leap-and-settle',
  'falling-hum',
];

const answers = (approach: Record<string, string>): Answers => ({ approach, rules: USUAL_RULES });
const isEmpty = ({ steps, findingsGone, findingsNew }: AnswerChange): boolean =>
  steps.length + findingsGone.length + findingsNew.length === 0;

const OTHER_ANSWERS = Object.entries(APPROACH_CHOICES).flatMap(([question, [, ...others]]) =>
  others.map((answer) => [question, answer] as const),
);

test.each(OTHER_ANSWERS)('%s: %s does something', (question, answer) => {
  const to = { [question]: answer };
  const minutes = 240;
  const days = [contextOf(), contextOf({ conditions: ['tired'] })];
  const isShown = days.some((day) => !isEmpty(answerChanges({ steps: SHELF, minutes }, day, answers(to))));
  // What a school says of the piano itself changes no routine: when it is turned, and what of the sound is marked.
  const isHeardAtThePiano =
    turnsAtEffort(to) !== turnsAtEffort({}) ||
    playsOn(to) !== playsOn({}) ||
    [...exercises.values()].some((exercise) => judgesSound(exercise, to) !== judgesSound(exercise, {}));
  const drafted = (approach: Record<string, string>): unknown =>
    [1, 2, 3].map((seed) => draftRoutine({ ...contextOf({ approach }), minutes: 30, seed }).steps);
  const isDrafted = JSON.stringify(drafted(to)) !== JSON.stringify(drafted({}));
  expect(isShown || isHeardAtThePiano || isDrafted).toBe(true);
});

test.each<[string, Record<string, string>, (change: AnswerChange) => unknown, unknown]>([
  [
    'keys that no longer come home',
    { travel: 'rise-only' },
    ({ steps }) => steps.find(({ stepId }) => stepId === 'up-and-down-five')?.travel,
    { from: 'rise-return', to: 'rise' },
  ],
  [
    'cues that are said instead',
    { chin: 'slightly-lowered' },
    ({ steps }) => steps.find(({ stepId }) => stepId === 'up-and-down-five')?.cuesNew,
    ['Chin a finger lower, and the neck still long.'],
  ],
  [
    'a finding that goes',
    { 'may-do': 'restore-and-extend' },
    ({ findingsGone }) => findingsGone.map(({ rule }) => rule),
    ['extends'],
  ],
  [
    'a finding that comes',
    { 'breath-share': 'thorough' },
    ({ findingsNew }) => findingsNew.map(({ rule }) => rule),
    ['breath-share'],
  ],
])('%s', (_, to, what, expected) => {
  const steps = ROUTINE.map((id) => step(id));
  expect(what(answerChanges({ steps, minutes: 15 }, contextOf(), answers(to)))).toEqual(expected);
});

test('a cue of the teacher’s own is said whatever the school', () => {
  const own = step('up-and-down-five', { cue: 'Like a yawn.' });
  const { steps } = answerChanges({ steps: [own], minutes: 5 }, contextOf(), answers({ chin: 'own' }));
  expect(steps).toEqual([]);
});

test('no change where nothing is changed; the way back alters the same things the other way round', () => {
  fc.assert(
    fc.property(approaches, approaches, fc.integer({ min: 0, max: 99 }), (from, to, seed) => {
      const context = contextOf({ approach: from });
      const { steps } = draftRoutine({ ...context, minutes: 15, seed });
      const routine = { steps, minutes: 15 };
      expect(isEmpty(answerChanges(routine, context, answers(from)))).toBe(true);
      const there = answerChanges(routine, context, answers(to));
      const back = answerChanges(routine, contextOf({ approach: to }), answers(from));
      expect(back.findingsNew).toEqual(there.findingsGone);
      expect(back.findingsGone).toEqual(there.findingsNew);
      expect(back.steps.map(({ stepId }) => stepId)).toEqual(there.steps.map(({ stepId }) => stepId));
      expect(back.steps.map(({ cuesNew, keys }) => [cuesNew, keys?.to])).toEqual(
        there.steps.map(({ cuesGone, keys }) => [cuesGone, keys?.from]),
      );
      expect(back.steps.map(({ isBack = false }) => isBack)).toEqual(there.steps.map(({ isOut = false }) => isOut));
    }),
    { numRuns: 25 },
  );
});

test('another figure of the rule table moves tops and keys, and is seen step by step', () => {
  const rules = changeRules({ 'condition.tired': 5 }, 'studio');
  const routine = { steps: ROUTINE.map((id) => step(id)), minutes: 15 };
  const { steps } = answerChanges(routine, contextOf({ conditions: ['tired'] }), { approach: {}, rules });
  const tops = steps.flatMap(({ top }) => (top ? [top.to - top.from] : []));
  expect(tops.length).toBeGreaterThan(0);
  expect(Math.max(...tops)).toBeLessThan(0);
  expect(answerChanges(routine, contextOf(), { approach: {}, rules }).steps).toEqual([]);
});
