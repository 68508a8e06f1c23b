import { exerciseSchema, shippedExercises } from './shelf/index.ts';
import { faultLine, firstFault } from './faults.ts';

const [first] = shippedExercises();

test.each([
  ['a text too short', { name: 'x' }, '“name” needs at least 2 characters'],
  ['a number too high', { load: 9 }, '“load” is over 5'],
  ['a number under', { load: -1 }, '“load” is under 0'],
  ['a word nobody knows', { noise: 'noisy' }, '“noise” is none of silent, quiet, normal, loud'],
  ['the wrong kind', { load: 'two' }, '“load” should be a number'],
  ['a text where a list belongs', { cues: 'Good.' }, '“cues” should be a list'],
  ['half of a whole number', { load: 1.5 }, '“load” should be a whole number'],
  [
    'a part of a list, counted from one',
    { cues: [{ text: 'Good.' }, { text: '' }] },
    '“cues 2 text” needs at least 2 characters',
  ],
  ['a part that is missing', { learnt: [{ name: 'with a hand' }] }, '“learnt 1 text” is missing'],
  ['a field nobody knows', { colour: 'red' }, '“colour” is no field that is known'],
  ['an id of another form', { id: 'No Id' }, '“id” has a form that cannot be read'],
] as const)('%s', (_, change, expected) => {
  const { error } = exerciseSchema.safeParse({ ...first, ...change });
  expect(error && faultLine(firstFault(error))).toBe(expected);
});
