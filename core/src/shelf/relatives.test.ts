import {
  isPossibleWith,
  isSungWork,
  relativeThatFits,
  shippedExercises,
  substitutesFor,
  type Exercise,
} from './index.ts';
import { OBSTACLES, type Obstacle } from '../voice/index.ts';

const shelf = shippedExercises();
const named = (id: string): Exercise => {
  const exercise = shelf.find((one) => one.id === id);
  if (!exercise) throw new Error(`no ${id}`);
  return exercise;
};
const idsFor = (id: string, obstacle: Obstacle): string[] =>
  substitutesFor(named(id), obstacle, shelf).map(({ exercise }) => exercise.id);

test.each<[string, Obstacle, string]>([
  ['lip-trill-on-five', 'cannot-trill', 'z-on-five'],
  ['straw-slides', 'no-straw', 'lip-trill-on-five'],
  ['calling-across-the-water', 'thin-walls', 'lip-trill-glides'],
  ['standing-check', 'seated', 'small-nods-and-turns'],
])('instead of %s when %s there is %s', (id, obstacle, wanted) => {
  expect(idsFor(id, obstacle)).toContain(wanted);
});

test('all but body work has a substitute for every obstacle it falls to; none is more intense or falls to it too', () => {
  for (const exercise of shelf.filter(({ stage }) => stage !== 'settle')) {
    for (const obstacle of OBSTACLES.filter((one) => !isPossibleWith(exercise, one))) {
      const found = substitutesFor(exercise, obstacle, shelf);
      expect([exercise.id, obstacle, found.length > 0]).toEqual([exercise.id, obstacle, true]);
      for (const { exercise: other } of found) {
        expect(other.load).toBeLessThanOrEqual(exercise.load);
        expect(isPossibleWith(other, obstacle)).toBe(true);
      }
    }
  }
});

test('what the student knows comes before what is new, and what is lost is said', () => {
  const trill = named('lip-trill-on-five');
  const known = new Set(['tongue-trill-on-five']);
  const [first] = substitutesFor(trill, null, shelf, known);
  expect(first?.exercise.id).toBe('tongue-trill-on-five');
  expect(first?.kept).toEqual(expect.arrayContaining(['effect', 'pattern', 'known']));
  expect(first?.lost).toEqual(['words']);
});

test.each([
  [
    'grit is answered with creak and clean calls, not with a sigh',
    'creak-swell',
    'idle-creak',
    ['sigh-to-speech', 'long-hiss'],
  ],
  [
    'a climbing creak with a gliding one, not with breath or a trill',
    'creak-that-climbs',
    'creak-that-glides',
    ['light-panting', 'lip-trill-octave'],
  ],
  ['a gull with a glide, not with quick breaths', 'gull-over-the-lock', 'ng-sirens', ['light-panting']],
])('a substitute makes sense for its exercise: %s', (_, id, first, never) => {
  const optedIn = shelf.map((one) => (one.id === first ? { ...one, optIn: false } : one));
  const found = substitutesFor(named(id), null, optedIn).map(({ exercise }) => exercise.id);
  expect(found).toContain(first);
  for (const other of never) expect(found).not.toContain(other);
});

test('voice stands in for voice while there is any, on the whole shelf', () => {
  for (const exercise of shelf.filter(isSungWork)) {
    const kinds = substitutesFor(exercise, null, shelf).map(({ exercise: other }) => isSungWork(other));
    expect([exercise.id, ...kinds.slice(0, kinds.lastIndexOf(true) + 1)]).not.toContain(false);
  }
});

test('what this voice cannot sing today is passed over', () => {
  const found = substitutesFor(named('straw-slides'), 'no-straw', shelf, new Set(), ({ id }) => id === 'hum-glides');
  expect(found.map(({ exercise }) => exercise.id)).toEqual(['hum-glides']);
});

test('relatives in a circle come to an end', () => {
  const base = named('thirds');
  const ring = ['a', 'b', 'c'].map((id, index, ids): Exercise => ({
    ...base,
    id,
    relatives: [{ id: ids[(index + 1) % ids.length] ?? id, as: 'easier' }],
  }));
  const circle = new Map(ring.map((exercise) => [exercise.id, exercise]));
  const [first] = ring;
  expect(first && relativeThatFits(first, circle, () => false)).toBeNull();
  expect(first && relativeThatFits(first, circle, ({ id }) => id === 'c')?.id).toBe('c');
});

test.each<[number, boolean]>([
  [0, true],
  [1, false],
  [4, false],
])('breath that is held %p counts can be done at the wheel: %p', (holdCounts, isPossible) => {
  const counts = { inCounts: 4, holdCounts, outCounts: 6, restCounts: 2, cycles: 3, countTempo: 60, growsBy: 0 };
  const breath = { ...named('long-hiss'), kit: [], notWith: [], work: { kind: 'breath' as const, counts } };
  expect(isPossibleWith(breath, 'in-the-car')).toBe(isPossible);
});
