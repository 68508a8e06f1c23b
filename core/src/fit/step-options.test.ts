import { layStep, routineStepSchema } from '../routine/index.ts';
import { contextOf, exercises } from '../testing/routine-context.ts';
import { lengthRange, optionsOf, outwardKeys, type StepOption, type StepShape } from './index.ts';

const SHAPE: StepShape = { leastKeys: 5, mostSeconds: 150, twiceUpToKeys: 6 };
const CONTEXT = contextOf();

function options(exerciseId: string, isTight = false, shape?: StepShape, settings = {}): readonly StepOption[] {
  const exercise = exercises.get(exerciseId);
  if (!exercise) throw new Error(`no ${exerciseId}`);
  return optionsOf({ id: 'a', exerciseId, settings }, exercise, CONTEXT, 3, 10, isTight, shape);
}
const settingsOf = (list: readonly StepOption[]): readonly object[] => list.map(({ settings }) => settings);

test.each<[string, string, boolean, StepShape | undefined, readonly object[]]>([
  ['a glide: twice at least', 'lip-trill-glides', false, undefined, [{ repeats: 2 }, { repeats: 3 }, {}]],
  [
    'a glide where it is tight: once',
    'lip-trill-glides',
    true,
    undefined,
    [{ repeats: 1 }, { repeats: 2 }, { repeats: 3 }, {}],
  ],
  [
    'a glide in a draft: up to twice as often',
    'lip-trill-glides',
    false,
    SHAPE,
    [{ repeats: 2 }, { repeats: 3 }, {}, { repeats: 5 }, { repeats: 6 }, { repeats: 7 }, { repeats: 8 }],
  ],
  ['a breath: cycles, none longer than written', 'long-hiss', false, undefined, [{ repeats: 2 }, { repeats: 3 }, {}]],
  ['a breath in a draft: the same', 'long-hiss', false, SHAPE, [{ repeats: 2 }, { repeats: 3 }, {}]],
  [
    'work by the clock: half, three quarters, all',
    'standing-check',
    false,
    undefined,
    [{ seconds: 15 }, { seconds: 23 }, {}],
  ],
  ['a ladder of few keys in a draft: twice in each', 'across-the-lock', false, SHAPE, [{}, { timesPerKey: 2 }]],
  ['the same where few keys are none', 'across-the-lock', false, { ...SHAPE, twiceUpToKeys: 4 }, [{}]],
])('lengths of %s', (_, exerciseId, isTight, shape, wanted) => {
  expect(settingsOf(options(exerciseId, isTight, shape))).toEqual(wanted);
});

test('the shortest of ladders is still set to lengths that can be kept', () => {
  const narrow = { start: 62, floor: 62, ceiling: 74 };
  for (const id of ['from-light-down', 'up-and-down-five', 'falling-hum'])
    for (const settings of settingsOf(options(id, false, SHAPE, narrow)))
      expect(
        routineStepSchema.safeParse({ id: '01920000-0000-7000-8000-000000000001', exerciseId: id, settings }),
      ).toMatchObject({ success: true });
});

test.each([
  ['as written', false, undefined, 3],
  ['where it is tight', true, undefined, 1],
  ['in a draft', false, SHAPE, 5],
])('a scale %s is thinned and keeps its keys', (_, isTight, shape, leastKeys) => {
  const exercise = exercises.get('up-and-down-five');
  if (!exercise) throw new Error('no such exercise');
  const list = options('up-and-down-five', isTight, shape);
  expect(list.at(-1)?.settings).toEqual({});
  const whole = layStep({ id: 'a', exerciseId: exercise.id, settings: {} }, exercise, CONTEXT, 3, 0).highest ?? 0;
  for (const { settings, seconds } of list) {
    const laid = layStep({ id: 'a', exerciseId: exercise.id, settings }, exercise, CONTEXT, 3, 0);
    expect(laid.seconds).toBeCloseTo(seconds);
    expect(outwardKeys(laid)).toBeGreaterThanOrEqual(leastKeys);
    // Thinned, not cut off: the top lies within a whole tone of where the whole ladder has it.
    if (!isTight) expect(laid.highest).toBeGreaterThanOrEqual(whole - 2);
  }
  expect(Math.min(...list.map(({ seconds }) => seconds))).toBeLessThan(list.at(-1)?.seconds ?? 0);
});

test('more seconds are worth more, each a little less than the one before; the longest is worth the whole weight', () => {
  for (const exerciseId of ['lip-trill-glides', 'long-hiss', 'standing-check', 'quick-words-clear', 'thirds']) {
    const list = options(exerciseId);
    const gains = list.slice(1).map((option, at) => {
      const before = list[at];
      return (option.worth - (before?.worth ?? 0)) / (option.seconds - (before?.seconds ?? 0));
    });
    expect(list.at(-1)?.worth).toBeCloseTo(10);
    expect(gains.every((gain) => gain > 0)).toBe(true);
    expect([...gains].sort((a, b) => b - a)).toEqual(gains);
  }
});

test('what a length was set to before does not count; other settings stay', () => {
  expect(options('thirds', false, undefined, { maxKeys: 3, withinSeconds: 20 })).toEqual(options('thirds'));
  for (const { settings } of options('thirds', false, undefined, { tempo: 70 }))
    expect(settings).toMatchObject({ tempo: 70 });
});

test('a draft has no length over its most, nor under a share of the longest', () => {
  const within = options('thirds', false, { ...SHAPE, mostSeconds: 110 });
  expect(Math.max(...within.map(({ seconds }) => seconds))).toBeLessThanOrEqual(110);
  const whole = options('thirds', false, { ...SHAPE, leastShare: 0.8 });
  const longest = whole.at(-1)?.seconds ?? 0;
  expect(Math.min(...whole.map(({ seconds }) => seconds))).toBeGreaterThanOrEqual(0.8 * longest);
  const thirds = exercises.get('thirds');
  const range = thirds && lengthRange({ id: 'a', exerciseId: 'thirds', settings: {} }, thirds, CONTEXT, 3, SHAPE);
  const all = options('thirds', false, SHAPE).map(({ seconds }) => seconds);
  expect(range).toMatchObject({ least: Math.min(...all), most: Math.max(...all), isNarrow: false });
  // The very seconds of a length are enough for it.
  for (const seconds of all) {
    const shape = { ...SHAPE, mostSeconds: seconds };
    expect(
      thirds && lengthRange({ id: 'a', exerciseId: 'thirds', settings: {} }, thirds, CONTEXT, 3, shape)?.most,
    ).toBe(seconds);
  }
});
