import { contextOf, exercises } from '../testing/routine-context.ts';
import { exerciseSchema, shippedExercises, type Exercise } from '../shelf/index.ts';
import { figuresOf, layRoutine, routineStepSchema, type StepSettings } from './index.ts';

const [shipped] = shippedExercises();
const own = (work: object): Exercise => exerciseSchema.parse({ ...shipped, id: 'mine', work });
const longest = own({ kind: 'breath', longest: { rounds: 2, mostSeconds: 20, restSeconds: 15 } });
const prompts = own({ kind: 'timed', seconds: 30, prompts: [{ text: 'Stand.', seconds: 10 }, 'And breathe.'] });
const pyramid = own({
  kind: 'breath',
  counts: {
    ...{ inCounts: 0, holdCounts: 0, outCounts: 6, restCounts: 0, cycles: 3, countTempo: 60 },
    ...{ growsBy: 2, growsTo: 12 },
  },
});
const shelf = new Map([
  ...exercises,
  ['longest', { ...longest, id: 'longest' }],
  ['prompts', { ...prompts, id: 'prompts' }],
  ['pyramid', { ...pyramid, id: 'pyramid' }],
]);

function layOut(exerciseId: string, settings: StepSettings) {
  const context = { ...contextOf(), exercises: shelf, known: new Set(shelf.keys()) };
  const [step] = layRoutine([{ id: 'a', exerciseId, settings }], context).steps;
  return { seconds: (step?.seconds ?? 0) - (step?.setUpSeconds ?? 0), step };
}

test.each<[string, string, StepSettings, number]>([
  ['as it is written', 'long-hiss', {}, 84],
  ['a pyramid with a lower cap', 'pyramid', { figures: { growsTo: 8 } }, 6 + 8 + 8],
  ['more counts out', 'long-hiss', { figures: { outCounts: 18 } }, 108],
  ['counted faster, two rounds', 'long-hiss', { repeats: 2, figures: { countTempo: 84 } }, 30],
  ['two more each round', 'long-hiss', { figures: { growsBy: 2 } }, 84 + 2 + 4 + 6],
  ['three breaths of ten seconds', 'longest', { repeats: 3, figures: { mostSeconds: 10, restSeconds: 5 } }, 40],
  ['a figure of another kind changes nothing', 'long-hiss', { figures: { lowShare: 0.9, secondsEach: 3 } }, 84],
  ['half the seconds, its prompts with it', 'prompts', { seconds: 15 }, 15],
])('%s', (_, exerciseId, settings, seconds) => {
  expect(layOut(exerciseId, settings).seconds).toBeCloseTo(seconds, 6);
});

test('a prompt keeps its share where the step is shortened', () => {
  const { step } = layOut('prompts', { seconds: 15 });
  expect(step?.laid?.kind === 'still' && step.laid.course.parts.map(({ seconds }) => seconds)).toEqual([5, 10]);
});

test('a glide between other heights of the range is wider or narrower', () => {
  const { step: whole } = layOut('lip-trill-glides', { figures: { lowShare: 0, highShare: 1 } });
  const { step: part } = layOut('lip-trill-glides', { figures: { lowShare: 0.3, highShare: 0.6, secondsEach: 3 } });
  expect((whole?.highest ?? 0) - (whole?.lowest ?? 0)).toBeGreaterThan((part?.highest ?? 0) - (part?.lowest ?? 0) + 6);
  expect(part?.seconds).toBeLessThan(whole?.seconds ?? 0);
});

test('holds stay off where the approach has them off, whatever the step says', () => {
  const box = [...exercises.values()].find(
    ({ work, optIn }) => !optIn && work.kind === 'breath' && (work.counts?.holdCounts ?? 0) > 0,
  );
  const context = { ...contextOf(), approach: { 'breath-holds': 'off' } };
  const [step] = layRoutine(
    [{ id: 'a', exerciseId: box?.id ?? '', settings: { figures: { holdCounts: 8 } } }],
    context,
  ).steps;
  expect(step?.laid?.kind === 'still' && step.laid.course.parts.some(({ act }) => act === 'hold')).toBe(false);
});

test.each<[string, readonly string[]]>([
  ['long-hiss', ['inCounts', 'outCounts', 'restCounts', 'countTempo', 'growsBy']],
  ['longest', ['mostSeconds', 'restSeconds']],
  ['lip-trill-glides', ['secondsEach', 'restSeconds', 'lowShare', 'highShare']],
  ['up-and-down-five', []],
])('what may be set of %s', (id, names) => {
  const exercise = shelf.get(id);
  expect(exercise && figuresOf(exercise).map(({ name }) => name)).toEqual(names);
});

test.each<[string, object]>([
  ['a hold of nine counts', { holdCounts: 9 }],
  ['no breath out', { outCounts: 0 }],
  ['a share over all', { highShare: 1.2 }],
  ['a word', { countTempo: 'fast' }],
  ['a figure nobody knows', { loudness: 3 }],
])('%s is refused', (_, figures) => {
  const step = { id: '01920000-0000-7000-8000-000000000001', exerciseId: 'long-hiss', settings: { figures } };
  expect(routineStepSchema.safeParse(step).success).toBe(false);
});
