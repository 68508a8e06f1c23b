import { exerciseSchema, shippedExercises, type Exercise } from './index.ts';

const shelf = shippedExercises();
const of = (kind: Exercise['work']['kind'], isIt: (exercise: Exercise) => boolean = () => true): Exercise => {
  const found = shelf.find((exercise) => exercise.work.kind === kind && isIt(exercise));
  if (!found) throw new Error(`no ${kind}`);
  return found;
};
const TUNE = of('pattern');
const GLIDE = of('siren');
const COUNTS = of('breath', ({ work }) => work.kind === 'breath' && work.counts !== undefined);
const BURSTS = of('breath', ({ work }) => work.kind === 'breath' && work.bursts !== undefined);
const CLOCK = of('timed');
const SPOKEN = of('spoken');

/** An exercise with one figure of it set, at a path such as `work.tempo.usual`. */
function withFigure(exercise: Exercise, path: string, value: number): unknown {
  const copy = JSON.parse(JSON.stringify(exercise)) as Record<string, unknown>;
  const names = path.split('.');
  const last = names.pop() ?? '';
  let at = copy;
  for (const name of names) {
    at[name] = { ...(at[name] as object | undefined) };
    at = at[name] as Record<string, unknown>;
  }
  at[last] = value;
  return copy;
}

/** The least and the most each figure may be; by what step it is beyond. */
test.each<[string, Exercise, number, number, number]>([
  ['load', TUNE, 0, 5, 1],
  ['resistance', TUNE, 1, 4, 1],
  ['notUnder', TUNE, 1, 99, 1],
  ['notWithin', TUNE, 1, 168, 1],
  ['work.tempo.usual', TUNE, 20, 300, 0.1],
  ['work.cueBeats', TUNE, 0, 16, 0.1],
  ['work.restBeats', TUNE, 0, 16, 0.1],
  ['work.step', TUNE, 1, 24, 1],
  ['work.returnStep', TUNE, 1, 24, 1],
  ['work.fewestKeys', TUNE, 1, 48, 1],
  ['work.mostKeys', TUNE, 1, 48, 1],
  ['work.timesPerKey', TUNE, 1, 12, 1],
  ['work.lowShare', GLIDE, 0, 1, 0.01],
  ['work.highShare', GLIDE, 0, 1, 0.01],
  ['work.repeats', GLIDE, 1, 60, 1],
  ['work.restSeconds', GLIDE, 0, 60, 0.1],
  ['work.counts.inCounts', COUNTS, 0, 60, 1],
  ['work.counts.holdCounts', COUNTS, 0, 60, 1],
  ['work.counts.outCounts', COUNTS, 0, 120, 1],
  ['work.counts.restCounts', COUNTS, 0, 60, 1],
  ['work.counts.cycles', COUNTS, 1, 60, 1],
  ['work.counts.countTempo', COUNTS, 30, 120, 0.1],
  ['work.bursts.repeats', BURSTS, 1, 60, 1],
  ['work.bursts.restSeconds', BURSTS, 0, 300, 0.1],
  ['work.repeats', SPOKEN, 1, 60, 1],
  ['work.tempo', SPOKEN, 20, 300, 0.1],
  ['work.quickening', SPOKEN, 0, 0.2, 0.01],
])('the figure %s is taken at both ends, and refused beyond', (path, exercise, least, most, step) => {
  const isTaken = (value: number): boolean => exerciseSchema.safeParse(withFigure(exercise, path, value)).success;
  expect([isTaken(least - step), isTaken(least), isTaken(most), isTaken(most + step)]).toEqual([
    false,
    true,
    true,
    false,
  ]);
});

test.each<[string, Exercise]>([
  ['work.secondsEach', GLIDE],
  ['work.bursts.secondsEach', BURSTS],
  ['work.seconds', CLOCK],
])('the seconds of %s are more than none, and a quarter of an hour at most', (path, exercise) => {
  const taken = [0, 0.5, 900, 901].filter(
    (value) => exerciseSchema.safeParse(withFigure(exercise, path, value)).success,
  );
  expect(taken).toEqual([0.5, 900]);
});

test.each<[string, object]>([
  ['no prompt', { work: { ...CLOCK.work, prompts: [] } }],
  ['a sign without a remedy', { watchFor: [{ seen: 'The chin lifts', causes: ['reaching'], remedies: [] }] }],
  [
    'a sign without a cause',
    { watchFor: [{ seen: 'The chin lifts', causes: [], remedies: [{ kind: 'cue', text: 'Nod.' }] }] },
  ],
  ['a short name of one letter', { shortName: 'F' }],
  ['a short name over its room', { shortName: 'F'.repeat(15) }],
  ['a name of one letter', { name: 'F' }],
  ['a name over its room', { name: 'F'.repeat(241) }],
  ['an id with capitals', { id: 'Five' }],
  ['an id that ends in a dash', { id: 'five-' }],
  ['a way no exercise pulls', { pulls: ['chin=up-and-away'] }],
])('refused: %s', (_, change) => {
  const exercise = 'work' in change ? CLOCK : TUNE;
  expect(exerciseSchema.safeParse({ ...exercise, ...change }).success).toBe(false);
});
