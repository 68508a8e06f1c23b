import { contextOf, exercises } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import { draftRoutine, type DraftContext } from './index.ts';

type Change = Partial<DraftContext>;

function reasonFor(id: string, change: Change = {}, file: Partial<VoiceFile> = {}): string | undefined {
  const { leftOut } = draftRoutine({ ...contextOf({}, file), minutes: 10, seed: 1, ...change });
  return leftOut.find(({ exerciseId }) => exerciseId === id)?.reason;
}
const someOf = (isIt: (id: string) => boolean): string => {
  const found = [...exercises.keys()].find(isIt);
  if (found === undefined) throw new Error('the shelf has none');
  return found;
};
const EXTENDING = someOf((id) => exercises.get(id)?.extendsRange === true && exercises.get(id)?.level !== 'first');
const ADVANCED = someOf((id) => {
  const exercise = exercises.get(id);
  return (
    exercise?.level === 'advanced' &&
    !exercise.extendsRange &&
    exercise.styles.length === 0 &&
    exercise.voices.length === 0 &&
    !exercise.optIn
  );
});
const LOUD = someOf((id) => exercises.get(id)?.noise === 'loud' && exercises.get(id)?.styles.length === 0);

test.each<[string, string, Change, Partial<VoiceFile>, RegExp]>([
  [
    'a caution on file',
    'straw-slides',
    {},
    { cautions: ['eyes-or-ears'] },
    /there is a caution on file about eyes or ears/,
  ],
  ['what is not at hand', 'straw-slides', {}, { obstacles: ['no-straw'] }, /is left out: there is no straw\./],
  [
    'what never comes',
    'lip-trill-on-five',
    {},
    { obstacles: ['cannot-trill'] },
    /is left out: the trill does not come\./,
  ],
  ['thin walls', LOUD, {}, { obstacles: ['thin-walls'] }, /is left out: the walls are thin\./],
  ['another voice', 'gull-over-the-lock', {}, {}, /is for other voices\./],
  [
    'another style',
    'light-grit-on-a-short-call',
    {},
    { style: 'classical' },
    /belongs to another style|own decision only/,
  ],
  ['grit', 'light-grit-on-a-short-call', {}, { style: 'heavy' }, /is taken by the teacher’s own decision only\./],
  ['louder than asked for', LOUD, { noise: 'quiet' }, {}, /is louder than asked for\./],
  [
    'extending close to a performance',
    EXTENDING,
    { hoursToPerformance: 40 },
    { goals: ['range-up', 'range-down', 'range'] },
    /extends the range; that rests close to a performance\.|left out within/,
  ],
  [
    'new close to a performance',
    ADVANCED,
    { hoursToPerformance: 40, known: new Set(['long-hiss']) },
    {},
    /is new; close to a performance nothing new is begun\.|is left out|extends the range/,
  ],
  [
    'advanced and new at home',
    ADVANCED,
    { occasion: 'home', known: new Set(['long-hiss']) },
    {},
    /is advanced and new; it is met in a lesson first\.|left out/,
  ],
  ['not for a first lesson', ADVANCED, { known: new Set() }, {}, /is not for a first lesson\.|left out/],
])('what a draft leaves out says why: %s', (_, id, change, file, sentence) => {
  const reason = reasonFor(id, change, file);
  expect(reason).toMatch(sentence);
  expect(reason).toContain(exercises.get(id)?.name);
});

test.each<[string, Change, Partial<VoiceFile>]>([
  ['a plain day', {}, {}],
  ['a tired day', { conditions: ['tired'] }, {}],
  ['before a performance', { hoursToPerformance: 20 }, {}],
  ['a first lesson', { known: new Set() }, {}],
  ['a child', {}, { type: 'treble', age: 8 }],
])('on %s nothing is both in the draft and left out, and each reason is one sentence by name', (_, change, file) => {
  const { steps, leftOut } = draftRoutine({ ...contextOf({}, file), minutes: 15, seed: 4, ...change });
  const inside = new Set(steps.map(({ exerciseId }) => exerciseId));
  expect(leftOut.length).toBeGreaterThan(0);
  for (const { exerciseId, reason } of leftOut) {
    expect(inside.has(exerciseId)).toBe(false);
    expect(reason).toContain(exercises.get(exerciseId)?.name);
    expect(reason).toMatch(/\.$/);
  }
  for (const { reason, passedOver } of steps) {
    expect(reason).toMatch(/^[A-Z“].*\.$/);
    expect(passedOver.length).toBeLessThanOrEqual(4);
    expect(passedOver.map(({ exerciseId }) => exerciseId)).not.toContain(steps[0]?.exerciseId);
  }
});

test('archived or not, what is pinned is in the draft and says so', () => {
  const pinned = [{ id: 'mine', exerciseId: 'octave-and-a-third', settings: { tempo: 70 }, locked: true }];
  const { steps } = draftRoutine({ ...contextOf(), minutes: 10, seed: 2, pinned });
  expect(steps.find(({ id }) => id === 'mine')).toMatchObject({
    exerciseId: 'octave-and-a-third',
    settings: { tempo: 70 },
    locked: true,
    reason: 'Pinned.',
  });
});
