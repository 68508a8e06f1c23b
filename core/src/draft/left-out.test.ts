import { contextOf, exercises } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import { draftRoutine, type DraftContext } from './index.ts';

type Change = Partial<DraftContext>;

function reasonFor(id: string, change: Change = {}, file: Partial<VoiceFile> = {}) {
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
  ['a caution on file', 'straw-slides', {}, { cautions: ['eyes-or-ears'] }, /CAUTION_ON_FILE eyes-or-ears/],
  ['what is not at hand', 'straw-slides', {}, { obstacles: ['no-straw'] }, /obstacle no-straw/],
  ['what never comes', 'lip-trill-on-five', {}, { obstacles: ['cannot-trill'] }, /obstacle cannot-trill/],
  ['thin walls', LOUD, {}, { obstacles: ['thin-walls'] }, /obstacle thin-walls/],
  ['another voice', 'gull-over-the-lock', {}, {}, /other-voices/],
  ['another style', 'light-grit-on-a-short-call', {}, { style: 'classical' }, /other-style|by-hand-only/],
  ['grit', 'light-grit-on-a-short-call', {}, { style: 'heavy' }, /by-hand-only/],
  ['louder than asked for', LOUD, { noise: 'quiet' }, {}, /louder/],
  [
    'extending close to a performance',
    EXTENDING,
    { hoursToPerformance: 40 },
    { goals: ['range-up', 'range-down', 'range'] },
    /extends-close|TOO_NEAR/,
  ],
  [
    'new close to a performance',
    ADVANCED,
    { hoursToPerformance: 40, known: new Set(['long-hiss']) },
    {},
    /new-close|TOO_NEAR|obstacle|extends/,
  ],
  [
    'advanced and new at home',
    ADVANCED,
    { occasion: 'home', known: new Set(['long-hiss']) },
    {},
    /advanced-at-home|problem|obstacle/,
  ],
  ['not for a first lesson', ADVANCED, { known: new Set() }, {}, /first-lesson|problem|obstacle/],
])('what a draft leaves out says why: %s', (_, id, change, file, said) => {
  const { code, values = {} } = reasonFor(id, change, file) ?? { code: '' };
  const words = Object.values(values).flatMap((value) =>
    typeof value === 'object' && 'word' in value ? value.word : [],
  );
  expect([code, ...words].join(' ')).toMatch(said);
  expect(values['name']).toBe(exercises.get(id)?.name);
});

test.each<[string, Change, Partial<VoiceFile>]>([
  ['a plain day', {}, {}],
  ['a tired day', { conditions: ['tired'] }, {}],
  ['before a performance', { hoursToPerformance: 20 }, {}],
  ['a first lesson', { known: new Set() }, {}],
  ['a child', {}, { type: 'treble', age: 8 }],
])('on %s nothing is both in the draft and left out, and each reason goes by name', (_, change, file) => {
  const { steps, leftOut } = draftRoutine({ ...contextOf({}, file), minutes: 15, seed: 4, ...change });
  const inside = new Set(steps.map(({ exerciseId }) => exerciseId));
  expect(leftOut.length).toBeGreaterThan(0);
  for (const { exerciseId, reason } of leftOut) {
    expect(inside.has(exerciseId)).toBe(false);
    expect(reason.values?.['name']).toBe(exercises.get(exerciseId)?.name);
  }
  for (const { reasons, passedOver } of steps) {
    expect(reasons.length).toBeGreaterThan(0);
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
    reasons: [{ code: 'draft.pinned' }],
  });
});
