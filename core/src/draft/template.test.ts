import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { USUAL_RULES } from '../limits/index.ts';
import { layRoutine } from '../routine/index.ts';
import { answerChanges, fillRecipe, recipeParts, templateSteps } from './index.ts';

const STEPS = [
  { ...step('long-hiss'), block: 'Floor work' },
  step('lip-trill-on-five', { start: 60, ceiling: 70, timesPerKey: 2 }),
  { ...step('thirds', { struck: [62], tempo: 70, note: 'Ask about the cold' }), locked: true },
  step('falling-hum'),
];

test('a template leaves behind what was set for one voice and one teacher’s eyes', () => {
  let count = 0;
  expect(templateSteps(STEPS, () => String((count += 1)))).toEqual([
    { id: '1', exerciseId: 'long-hiss', settings: {}, block: 'Floor work' },
    { id: '2', exerciseId: 'lip-trill-on-five', settings: { timesPerKey: 2 } },
    { id: '3', exerciseId: 'thirds', settings: { tempo: 70 } },
    { id: '4', exerciseId: 'falling-hum', settings: {} },
  ]);
});

test('as a recipe it is filled for another voice: the same stages, what is pinned and the way home kept', () => {
  const parts = recipeParts(STEPS, exercises);
  expect(parts.map(({ stage, keep }) => [stage, keep])).toEqual([
    ['breath', false],
    ['occluded', true],
    ['middle', true],
    ['cool', true],
  ]);
  const bass = contextOf({}, { type: 'bass', measured: { low: 40, high: 60, date: '2026-11-03' } });
  let count = 0;
  const recipe = { id: 'own', name: 'Own', minutes: 6, kind: 'lesson' as const, parts };
  const steps = fillRecipe(recipe, bass, () => String((count += 1)));
  const laid = layRoutine(steps, bass);
  expect(laid.steps.map(({ exercise }) => exercise.stage)).toEqual(['breath', 'occluded', 'middle', 'cool']);
  expect(laid.seconds).toBeLessThanOrEqual(360);
});

describe('a change of approach', () => {
  const routine = { steps: STEPS, minutes: 8 };
  const change = (to: Record<string, string>): ReturnType<typeof answerChanges> =>
    answerChanges(routine, contextOf(), { approach: to, rules: USUAL_RULES });

  test('to what holds already alters nothing', () => {
    expect(change({})).toEqual({ steps: [], findingsGone: [], findingsNew: [] });
    expect(change({ travel: 'rise-and-home' })).toEqual({ steps: [], findingsGone: [], findingsNew: [] });
  });

  test('of travel turns ladders and shortens them', () => {
    const [trill, thirds] = change({ travel: 'rise-only' }).steps;
    expect(trill).toMatchObject({ stepId: 'lip-trill-on-five', travel: { from: 'rise-return', to: 'rise' } });
    expect((trill?.keys?.to ?? 0) < (trill?.keys?.from ?? 0)).toBe(true);
    expect(thirds?.seconds).toBeDefined();
  });

  test('of words changes cues, and only of steps that say them', () => {
    const { steps } = change({ 'vowel-up-high': 'same' });
    expect(steps.map(({ stepId, cuesGone, cuesNew }) => [stepId, cuesGone, cuesNew])).toEqual([
      ['thirds', ['Let the vowel open a little.'], ['The same vowel all the way up.']],
    ]);
  });

  test('of what is checked brings findings, and takes them away', () => {
    const longer = { steps: [...STEPS, step('up-and-down-five'), step('hum-on-the-chord')], minutes: 8 };
    const brief = answerChanges(longer, contextOf(), { approach: { 'breath-share': 'brief' }, rules: USUAL_RULES });
    expect(brief.findingsNew.map(({ rule }) => rule)).toEqual(['breath-share']);
    const back = answerChanges(longer, contextOf({ approach: { 'breath-share': 'brief' } }), {
      approach: {},
      rules: USUAL_RULES,
    });
    expect(back.findingsGone.map(({ rule }) => rule)).toEqual(['breath-share']);
  });

  test('of holds lengthens the box, and opens the timed hold', () => {
    const held = { steps: [step('even-box'), step('timed-hold')], minutes: 8 };
    const found = answerChanges(held, contextOf(), { approach: { 'breath-holds': 'timed' }, rules: USUAL_RULES });
    expect(found.steps.map(({ stepId, isBack, seconds }) => [stepId, isBack, seconds !== undefined])).toEqual([
      ['even-box', undefined, true],
      ['timed-hold', true, false],
    ]);
  });
});
