import { USUAL_RULES } from '../limits/index.ts';
import { outwardKeys } from '../fit/index.ts';
import { coolDownSeconds, leastKeys, shapeFor } from '../routine/index.ts';
import type { Rule, Said } from './finding.types.ts';
import { REVIEW_FIGURES as FIGURES } from './review.data.ts';

const howMany: Rule = ({ context: { minutes, rules }, steps }) => {
  const { least, most } = shapeFor(minutes, rules);
  if (steps.length <= most * FIGURES.farFromShape) return [];
  return [
    {
      rule: 'many-exercises',
      severity: 'note',
      values: { count: steps.length, minutes, least, most, ...(least === most && { context: 'exactly' }) },
    },
  ];
};

const explaining: Rule = ({ context: { minutes, rules = USUAL_RULES }, steps }) => {
  const seconds = steps.reduce((sum, { setUpSeconds }) => sum + setUpSeconds, 0);
  if (seconds <= minutes * 60 * rules.draft.explainFirst * FIGURES.farFromShape) return [];
  return [
    {
      rule: 'much-explaining',
      severity: 'note',
      values: { explaining: { seconds }, count: minutes },
    },
  ];
};

const coolDown: Rule = ({ context: { minutes, rules, kind }, steps, sung }) => {
  const cool = steps.filter(({ exercise, problem }) => exercise.stage === 'cool' && !problem);
  if (cool.length === 0 || kind === 'cool-down') return [];
  const seconds = cool.reduce((sum, step) => sum + step.seconds, 0);
  const wanted = coolDownSeconds(minutes, Math.max(0, ...sung.map(({ exercise }) => exercise.load)), rules);
  if (seconds * FIGURES.farFromCoolDown >= wanted) return [];
  return [
    {
      rule: 'short-cool-down',
      severity: 'note',
      values: { has: { seconds }, wanted: { seconds: wanted } },
    },
  ];
};

const fewKeys: Rule = ({ sung }) =>
  sung.flatMap((step): readonly Said[] => {
    const { id, exercise, laid } = step;
    if (laid?.kind !== 'pattern' || laid.input.travel === 'stay' || exercise.stage === 'cool') return [];
    const [keys, usual] = [outwardKeys(step), leastKeys(exercise.stage)];
    // An exercise that wants fewer, or a key left out by hand, is meant so.
    const wanted = exercise.work.kind === 'pattern' ? Math.min(usual, exercise.work.mostKeys ?? usual) : usual;
    if (keys >= wanted - 1) return [];
    return [
      {
        rule: 'few-keys',
        severity: 'note',
        stepId: id,
        values: { name: exercise.name, count: keys, wanted },
      },
    ];
  });

/** Rules on how far a routine is from the shape of a good one: few things, done through the voice. */
export const PROPORTION_RULES: readonly Rule[] = [howMany, explaining, coolDown, fewKeys];
