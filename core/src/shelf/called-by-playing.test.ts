import { calledByPlaying, shippedExercises } from './index.ts';

const shelf = shippedExercises();
const called = (...played: number[]): readonly string[] => calledByPlaying(shelf, played).map(({ id }) => id);

test.each<[string, readonly number[], string]>([
  ['the whole of it in D', [62, 64, 66, 67, 69, 67, 66, 64, 62], 'up-and-down-five'],
  ['the same in A flat, an octave lower', [44, 46, 48, 49, 51, 49, 48, 46, 44], 'up-and-down-five'],
  ['its first half', [62, 64, 66, 67, 69], 'up-and-down-five'],
])('a tune is called up by %s', (_, played, id) => {
  expect(called(...played)).toContain(id);
});

test('what ends with it stands before what goes on; another note calls up something else', () => {
  const played = [60, 62, 64, 65, 67, 65, 64, 62, 60];
  const found = called(...played);
  const goesOn = called(...played.slice(0, 5));
  expect(goesOn.length).toBeGreaterThan(found.length);
  expect(found.every((id) => goesOn.includes(id))).toBe(true);
  expect(called(60, 62, 63, 65, 67)).not.toContain('up-and-down-five');
});

test('two notes, none, or more than any tune has call up nothing', () => {
  expect(called()).toEqual([]);
  expect(called(60, 62)).toEqual([]);
  expect(called(...Array.from({ length: 200 }, (_, index) => 60 + (index % 2)))).toEqual([]);
});
