import { layRoutine, type LaidStep, type RoutineContext } from '../routine/index.ts';
import { shippedExercises } from '../shelf/index.ts';
import {
  adviseLaidStep,
  lessonLines,
  takenAdvice,
  type AdviceAnswer,
  type ExerciseRun,
  type StepAdvice,
} from './index.ts';

type Run = ExerciseRun;

const TODAY = '2026-11-25';
const CONTEXT: RoutineContext = {
  voice: {
    ...{ type: 'mezzo-soprano', style: 'theatre', goals: [], bridges: [], avoid: [] },
    measured: { low: 57, high: 76, reachLow: 55, reachHigh: 81, date: '2026-11-03' },
  },
  ...{ conditions: [], occasion: 'lesson', kind: 'lesson' },
  exercises: new Map(shippedExercises().map((exercise) => [exercise.id, exercise])),
  known: new Set(shippedExercises().map(({ id }) => id)),
  now: '2026-11-25T15:18:00Z',
};

/** As the third step that is sung: what comes before the voice is warm has a cap of its own. */
function stepOf(exerciseId: string, settings = {}, context: Partial<RoutineContext> = {}): LaidStep {
  const before = ['up-and-down-five', 'hum-on-the-chord'].map((id) => ({ id, exerciseId: id, settings: {} }));
  const steps = [...before, { id: 'step', exerciseId, settings }];
  const step = layRoutine(steps, { ...CONTEXT, ...context }).steps.at(-1);
  if (!step) throw new Error('nothing laid');
  return step;
}
const run = (date: string, change: Partial<Run> = {}): Run => ({
  ...{ date, highest: 90, tempo: 200, ease: 4, marks: [], conditions: [], occasion: 'lesson' },
  ...change,
});
const TWO = [run('2026-11-11'), run('2026-11-18')];
const pastOf = (id: string, runs: readonly Run[], answers: readonly AdviceAnswer[] = []) => ({
  runsOf: new Map([[id, runs]]),
  answers,
  today: TODAY,
});
const of = (id: string, runs: readonly Run[], context: Partial<RoutineContext> = {}): StepAdvice | null =>
  adviseLaidStep(stepOf(id), { ...CONTEXT, ...context }, pastOf(id, runs));

test('a top that was easy twice is raised by a semitone over the limit it stood at, and says when', () => {
  const { limits } = stepOf('thirds');
  expect(of('thirds', TWO)).toMatchObject({
    ...{ kind: 'ceiling', verdict: 'raise', value: (limits?.ceiling ?? 0) + 1 },
    days: ['2026-11-11', '2026-11-18'],
  });
  const set = stepOf('thirds', { ceiling: 70 });
  expect(adviseLaidStep(set, CONTEXT, pastOf('thirds', TWO))).toMatchObject({ value: 71 });
  expect(adviseLaidStep(set, CONTEXT, pastOf('thirds', TWO))).not.toHaveProperty('movesBy');
});

test('what was advised, once set, acts on the ladder', () => {
  const advised = of('thirds', TWO)?.value ?? 0;
  expect(stepOf('thirds', { ceiling: advised }).limits?.ceiling).toBe(advised);
});

const taken = (date: string, movesBy: number | undefined, change: Partial<AdviceAnswer> = {}): AdviceAnswer => ({
  ...{ exerciseId: 'thirds', kind: 'ceiling', verdict: 'ease', answer: 'taken', date },
  ...(movesBy !== undefined && { movesBy }),
  ...change,
});

test.each<[string, readonly AdviceAnswer[], number | undefined]>([
  ['add up', [taken('2026-11-10', -3), taken('2026-11-18', 1)], -2],
  ['end with a new range check', [taken('2026-11-02', -3)], undefined],
  ['count from its day on', [taken('2026-11-03', -3)], -3],
  ['cancel out', [taken('2026-11-10', -1), taken('2026-11-18', 1)], undefined],
  ['say nothing where they were refused', [taken('2026-11-10', -3, { answer: 'refused' })], undefined],
  ['say nothing where they were set at a step', [taken('2026-11-10', undefined)], undefined],
])('answers that were taken %s', (_, answers, moved) => {
  expect(takenAdvice(answers, CONTEXT.voice).get('thirds')).toBe(moved);
});

test('advice that is taken moves the top of the exercise on that day and any other, before the day itself does', () => {
  const strained = [...TWO, run('2026-11-20', { marks: ['strain'] })];
  const { movesBy = 0, value } = of('thirds', strained) ?? {};
  const advised = new Map([['thirds', movesBy]]);
  const top = (context: Partial<RoutineContext>): number | undefined => stepOf('thirds', {}, context).limits?.ceiling;
  expect(top({ advised })).toBe(value);
  expect(top({ advised, conditions: ['tired'] })).toBe(
    (value ?? 0) + (top({ conditions: ['tired'] }) ?? 0) - (top({}) ?? 0),
  );
  expect(stepOf('thirds', {}, { advised }).limits?.entries.map(({ rule }) => rule)).toContain('advice');
  expect(stepOf('chord-up-and-down', {}, { advised }).limits?.ceiling).toBe(
    stepOf('chord-up-and-down').limits?.ceiling,
  );
});

test('more is not advised where the place in the routine caps the step, and it would change nothing', () => {
  const [first] = layRoutine([{ id: 'step', exerciseId: 'thirds', settings: {} }], CONTEXT).steps;
  expect(first && adviseLaidStep(first, CONTEXT, pastOf('thirds', TWO))).toBeNull();
  const strained = [...TWO, run('2026-11-20', { marks: ['strain'] })];
  expect(first && adviseLaidStep(first, CONTEXT, pastOf('thirds', strained))?.verdict).toBe('ease');
});

test('strain takes two back from what is sung; pain freezes', () => {
  const { highest } = stepOf('thirds');
  const after = (marks: Run['marks']): StepAdvice | null => of('thirds', [...TWO, run('2026-11-20', { marks })]);
  expect(after(['strain'])).toMatchObject({ verdict: 'ease', value: (highest ?? 0) - 2 });
  expect(after(['pain'])).toMatchObject({ verdict: 'hold', reason: 'symptom' });
});

test('a hard run was hard for what was marked in it, and says nothing of the rest', () => {
  const hard = (marks: Run['marks']): StepAdvice | null =>
    of('thirds', [...TWO, run('2026-11-20', { ease: 1, highest: 40, marks })]);
  expect(hard(['tension'])).toMatchObject({ verdict: 'ease', reason: 'hard' });
  expect(hard([])).toMatchObject({ verdict: 'raise' });
});

test('quick work is made quicker, and slower again', () => {
  const id = shippedExercises().find(({ stage, work }) => stage === 'agility' && work.kind === 'pattern')?.id ?? '';
  const low = TWO.map((one) => ({ ...one, highest: 40 }));
  expect(of(id, low)).toMatchObject({ kind: 'tempo', verdict: 'raise' });
  expect(of(id, [...low, run('2026-11-20', { highest: 40, marks: ['pitch'] })])).toMatchObject({
    ...{ kind: 'tempo', verdict: 'ease', reason: 'blurred' },
  });
});

test.each([
  ['no runs', 'thirds', [], {}],
  ['a tired day', 'thirds', TWO, { conditions: ['tired' as const] }],
  ['gentle work', 'falling-hum', TWO, {}],
  ['a breath', 'long-hiss', TWO, {}],
  ['a voice that was never measured', 'thirds', TWO, { voice: { ...CONTEXT.voice, measured: undefined } as never }],
])('nothing is said of %s', (_, id, runs, context) => {
  expect(of(id, runs, context)).toBeNull();
});

test.each<[string, Partial<AdviceAnswer>, boolean]>([
  ['refused after both runs', {}, false],
  ['refused before the second run', { date: '2026-11-17' }, true],
  ['taken after both runs', { answer: 'taken' }, false],
  ['taken before the second run', { answer: 'taken', date: '2026-11-17' }, true],
  ['refused for another exercise', { exerciseId: 'up-and-down-five' }, true],
  ['refused to be lower', { verdict: 'ease' }, true],
  ['refused to be quicker', { kind: 'tempo' }, true],
])('advice that was %s', (_, change, isSaid) => {
  const answer = {
    exerciseId: 'thirds',
    kind: 'ceiling',
    verdict: 'raise',
    answer: 'refused',
    date: '2026-11-18',
  } as const;
  const advice = adviseLaidStep(stepOf('thirds'), CONTEXT, pastOf('thirds', TWO, [{ ...answer, ...change }]));
  expect(advice !== null).toBe(isSaid);
});

describe('what to do differently from last time', () => {
  const ids = ['thirds', 'up-and-down-five', 'octave-and-a-third', 'chord-up-and-down', 'fifth-and-octave-turn'].filter(
    (id) => CONTEXT.exercises.has(id),
  );
  const steps = layRoutine(
    ['hum-on-the-chord', 'lip-trill-on-five', ...ids, 'falling-hum'].map((id) => ({
      id,
      exerciseId: id,
      settings: {},
    })),
    CONTEXT,
  ).steps;
  const after = (marks: Run['marks']): readonly Run[] => [...TWO, run('2026-11-20', { marks })];
  const said = (past: Partial<Parameters<typeof lessonLines>[2]>): readonly (readonly [string, string | undefined])[] =>
    lessonLines(steps, CONTEXT, { runsOf: new Map(), today: TODAY, ...past }).map(({ said: { code }, stepId }) => [
      code,
      stepId,
    ]);

  test('three at most, what hurt before what strained before what may go on', () => {
    const runsOf = new Map<string, readonly Run[]>([
      ['thirds', TWO],
      ['up-and-down-five', after(['strain'])],
      ['octave-and-a-third', after(['pain'])],
      ['chord-up-and-down', TWO],
    ]);
    expect(said({ runsOf })).toEqual([
      ['line.symptom', 'octave-and-a-third'],
      ['line.ease-ceiling', 'up-and-down-five'],
      ['line.raise-ceiling', 'thirds'],
    ]);
  });

  test('what stands still names its easier relative; four weeks without anything new are said; else nothing is', () => {
    expect(said({ stuck: new Set(['thirds']), daysSinceAnythingNew: 29 })).toEqual([
      ['line.stuck', 'thirds'],
      ['line.nothing-new', undefined],
    ]);
    const [line] = lessonLines(steps, CONTEXT, { runsOf: new Map(), today: TODAY, stuck: new Set(['thirds']) });
    const easier = CONTEXT.exercises.get('thirds')?.relatives.find(({ as }) => as === 'easier')?.id ?? '';
    expect(line?.said.values?.['easier']).toBe(CONTEXT.exercises.get(easier)?.name);
    expect(said({ daysSinceAnythingNew: 27 })).toEqual([]);
    expect(lessonLines([], CONTEXT, { runsOf: new Map(), today: TODAY, daysSinceAnythingNew: 99 })).toEqual([]);
  });
});
