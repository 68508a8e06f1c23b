import { exerciseSchema, type Exercise } from '../shelf/index.ts';
import { contextOf, exercises } from '../testing/routine-context.ts';
import { applyPatch } from '../edit/index.ts';
import { layRoutine } from '../routine/index.ts';
import { reviewRoutine, type Finding } from './index.ts';

/** A made-up exercise of the middle that nothing stands against. */
const made = (id: string, change: Partial<Exercise> = {}): Exercise =>
  exerciseSchema.parse({
    id,
    name: `Made ${id}`,
    shortName: id,
    stage: 'middle',
    load: 2,
    goals: ['line'],
    work: { kind: 'pattern', pattern: '1 2 3 2 1:2', syllables: 'no' },
    ...change,
  });

function findings(shelf: readonly Exercise[], minutes?: number): readonly Finding[] {
  const all = new Map([...exercises, ...shelf.map((exercise) => [exercise.id, exercise] as const)]);
  const steps = shelf.map(({ id }) => ({ id, exerciseId: id, settings: {} }));
  const context = { ...contextOf(), exercises: all, known: new Set(all.keys()) };
  const seconds = layRoutine(steps, context).seconds;
  return reviewRoutine({ ...context, steps, minutes: minutes ?? Math.ceil(seconds / 60) });
}
const has = (rule: string, shelf: readonly Exercise[]): boolean =>
  findings(shelf).some((finding) => finding.rule === rule);

const ONE = made('one');
const TWO = made('two', { work: { ...ONE.work, kind: 'pattern', pattern: '1 3 2 1:2' } as Exercise['work'] });
const THREE = made('three', { work: { ...ONE.work, kind: 'pattern', pattern: '1 3 5 1:2' } as Exercise['work'] });

test.each<[string, readonly Exercise[], boolean]>([
  ['three of one stage and one goal', [ONE, TWO, THREE], true],
  ['two of them', [ONE, TWO], false],
  ['three, the third for something else', [ONE, TWO, { ...THREE, goals: ['agility'] }], false],
  ['three, the second of another stage', [ONE, { ...TWO, stage: 'agility' }, THREE], false],
  ['three of which the third is gentle', [ONE, TWO, { ...THREE, load: 1 }], false],
  ['three of which the first is gentle', [{ ...ONE, load: 1 }, TWO, THREE], true],
])('the same purpose in a row: %s', (_, shelf, isSaid) => {
  expect(has('same-purpose', shelf)).toBe(isSaid);
});

test.each<[string, number, number, boolean]>([
  ['one up', 1, 2, false],
  ['two up', 1, 3, false],
  ['three up', 1, 4, true],
  ['down', 3, 1, false],
])('a jump of load, %s', (_, first, second, isSaid) => {
  expect(
    has('load-jump', [
      { ...ONE, load: first },
      { ...TWO, load: second },
    ]),
  ).toBe(isSaid);
});

test('what is put between two loads stands between them, and the jump is gone', () => {
  const shelf = [made('zero', { load: 1 }), { ...ONE, load: 1 }, { ...TWO, load: 4 }];
  const all = new Map([...exercises, ...shelf.map((exercise) => [exercise.id, exercise] as const)]);
  const steps = shelf.map(({ id }) => ({ id, exerciseId: id, settings: {} }));
  const context = { ...contextOf(), exercises: all, known: new Set(all.keys()), steps, minutes: 20 };
  const jump = reviewRoutine(context).find(({ rule }) => rule === 'load-jump');
  expect(jump?.stepId).toBe('two');
  const put = jump?.fixes.find(({ patch }) => patch.op === 'add');
  if (!put) throw new Error('nothing is put between');
  const mended = applyPatch(context, put.patch, () => 'between');
  expect(mended.steps.map(({ id }) => id)).toEqual(['zero', 'one', 'between', 'two']);
  expect(reviewRoutine({ ...context, steps: mended.steps }).some(({ rule }) => rule === 'load-jump')).toBe(false);
});
