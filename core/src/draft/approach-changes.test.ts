import { judgesSound, turnsAtEffort } from '../day/index.ts';
import fc from 'fast-check';
import { APPROACH_CHOICES } from '../shelf/index.ts';
import { approaches } from '../testing/draft-days.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { approachChanges, draftRoutine, type ApproachChange } from './index.ts';

const SHELF = [...exercises.keys()].map((id) => step(id));
const ROUTINE = [
  'lip-trill-on-five',
  'up-and-down-five',
  'thirds',
  'full-scale',
  'octave-leap-and-settle',
  'falling-hum',
];

const isEmpty = ({ steps, findingsGone, findingsNew }: ApproachChange): boolean =>
  steps.length + findingsGone.length + findingsNew.length === 0;

const OTHER_ANSWERS = Object.entries(APPROACH_CHOICES).flatMap(([question, [, ...others]]) =>
  others.map((answer) => [question, answer] as const),
);

test.each(OTHER_ANSWERS)('%s: %s does something', (question, answer) => {
  const to = { [question]: answer };
  const minutes = 240;
  const days = [contextOf(), contextOf({ conditions: ['tired'] })];
  const isShown = days.some((day) => !isEmpty(approachChanges({ steps: SHELF, minutes }, day, to)));
  // What a school says of the piano itself changes no routine: when it is turned, and what of the sound is marked.
  const isHeardAtThePiano =
    turnsAtEffort(to) !== turnsAtEffort({}) ||
    [...exercises.values()].some((exercise) => judgesSound(exercise, to) !== judgesSound(exercise, {}));
  const drafted = (approach: Record<string, string>): unknown =>
    [1, 2, 3].map((seed) => draftRoutine({ ...contextOf({ approach }), minutes: 30, seed }).steps);
  const isDrafted = JSON.stringify(drafted(to)) !== JSON.stringify(drafted({}));
  expect(isShown || isHeardAtThePiano || isDrafted).toBe(true);
});

test.each<[string, Record<string, string>, (change: ApproachChange) => unknown, unknown]>([
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
  expect(what(approachChanges({ steps, minutes: 15 }, contextOf(), to))).toEqual(expected);
});

test('a cue of the teacher’s own is said whatever the school', () => {
  const own = step('up-and-down-five', { cue: 'Like a yawn.' });
  const { steps } = approachChanges({ steps: [own], minutes: 5 }, contextOf(), { chin: 'own' });
  expect(steps).toEqual([]);
});

test('no change where nothing is changed; the way back alters the same things the other way round', () => {
  fc.assert(
    fc.property(approaches, approaches, fc.integer({ min: 0, max: 99 }), (from, to, seed) => {
      const context = contextOf({ approach: from });
      const { steps } = draftRoutine({ ...context, minutes: 15, seed });
      const routine = { steps, minutes: 15 };
      expect(isEmpty(approachChanges(routine, context, from))).toBe(true);
      const there = approachChanges(routine, context, to);
      const back = approachChanges(routine, contextOf({ approach: to }), from);
      expect(back.findingsNew).toEqual(there.findingsGone);
      expect(back.findingsGone).toEqual(there.findingsNew);
      expect(back.steps.map(({ stepId }) => stepId)).toEqual(there.steps.map(({ stepId }) => stepId));
      expect(back.steps.map(({ cuesNew, keys }) => [cuesNew, keys?.to])).toEqual(
        there.steps.map(({ cuesGone, keys }) => [cuesGone, keys?.from]),
      );
      expect(back.steps.map(({ isBack = false }) => isBack)).toEqual(
        there.steps.map(({ leftOut }) => leftOut !== undefined),
      );
    }),
    { numRuns: 60 },
  );
});
