import { replayLedger, resolveLimits } from '../limits/index.ts';
import { isNoLouder, type Exercise, type PatternWork } from '../shelf/index.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import { reviewRoutine } from '../review/index.ts';
import { layRoutine, type LaidStep, type RoutineContext } from './index.ts';

type Marks = PatternWork['marks'];
const BELT: Partial<VoiceFile> = { beltCeiling: 69, style: 'pop' };
const WARM = ['lip-trill-on-five', 'hum-on-the-chord'].map((id) => step(id));

/** The octave leap `1:2 8:2 5 3 1:2` with marks of its own. */
function leap(marks: Marks, change: Partial<Exercise> = {}): Exercise {
  const found = exercises.get('octave-leap-and-settle');
  if (found?.work.kind !== 'pattern') throw new Error('the shelf lost the leap');
  return { ...found, ...change, work: { ...found.work, marks } };
}

function contextWith(exercise: Exercise, file: Partial<VoiceFile> = BELT): RoutineContext {
  return contextOf({ exercises: new Map([...exercises, [exercise.id, exercise]]) }, file);
}

function lay(exercise: Exercise, file: Partial<VoiceFile> = BELT): LaidStep | undefined {
  return layRoutine([...WARM, step(exercise.id)], contextWith(exercise, file)).steps.at(-1);
}

const heavy = (first: number, last = first): Marks[number] => ({ kind: 'heavy', first, last });
const light = (first: number, last = first): Marks[number] => ({ kind: 'light', first, last });

test.each<[string, Exercise, number | null]>([
  ['a mixed leap has no belt ceiling', leap([], { register: 'mixed' }), null],
  ['a heavy low note lies an octave under the top', leap([heavy(0)], { register: 'mixed' }), 69 + 12],
  ['a heavy top note is the top', leap([heavy(1)], { register: 'mixed' }), 69],
  ['of two heavy notes the higher counts', leap([heavy(0), heavy(2)], { register: 'mixed' }), 69 + 5],
  ['a heavy leap with a light top obeys its fifth', leap([light(1)], { register: 'heavy' }), 69 + 5],
  ['a heavy leap is heavy all over', leap([], { register: 'heavy' }), 69],
  ['with every note marked light nothing is heavy', leap([light(0, 4)], { register: 'heavy' }), null],
  ['the last mark counts', leap([heavy(1), light(1)], { register: 'mixed' }), null],
])('%s', (_, exercise, cap) => {
  const laid = lay(exercise);
  const entry = laid?.limitContext && beltEntry(laid.limitContext);
  expect(entry ?? null).toBe(cap);
});

/** The cap of the belt rule, looked at without what may bind before it. */
function beltEntry(context: NonNullable<LaidStep['limitContext']>): number | undefined {
  const wide = { low: 40, high: 100, reachLow: 40, reachHigh: 100, date: '2026-11-03' };
  const { entries } = resolveLimits({ ...context, voice: { ...context.voice, measured: wide } });
  const found = entries.find(({ rule }) => rule === 'belt');
  return found && 'cap' in found.effect ? found.effect.cap : undefined;
}

test('no heavy note of a laid ladder goes over the belt ceiling, and the ledger replays', () => {
  for (const marks of [[heavy(0)], [heavy(1)], [heavy(2, 3)]]) {
    const exercise = leap(marks, { register: 'mixed' });
    const laid = lay(exercise, { ...BELT, beltCeiling: 71 });
    if (laid?.laid?.kind !== 'pattern' || !laid.limits) throw new Error('the leap can be sung');
    const { ladder, pattern } = laid.laid;
    for (const { tonic } of ladder.rungs)
      for (const { first, last } of marks)
        for (const { to = 0 } of pattern.events.slice(first, last + 1)) expect(tonic + to).toBeLessThanOrEqual(71);
    expect(replayLedger(laid.limits.entries).ceiling).toBe(laid.limits.ceiling);
  }
});

test('one heavy note is belt for the young and for a voice that recovers', () => {
  const exercise = leap([heavy(0)], { register: 'mixed' });
  expect(
    lay(exercise, { type: 'treble', age: 9, measured: { low: 59, high: 77, date: '2026-11-03' } })?.problem?.code,
  ).toBe('NOT_FOR_YOUNG_VOICES');
  const context = { ...contextWith(exercise), conditions: ['recovering' as const] };
  expect(layRoutine([step(exercise.id)], context).steps[0]?.problem?.code).toBe('OFF_WHILE_RECOVERING');
});

test.each<[string, Marks, 'not-heavy' | 'not-loud', boolean]>([
  ['a heavy note in a zone that is not for it', [heavy(0)], 'not-heavy', true],
  ['a heavy note outside it', [heavy(1)], 'not-heavy', false],
  ['a loud note in a zone that is not for it', [{ kind: 'loud', first: 0, last: 0 }], 'not-loud', true],
  ['a soft one', [{ kind: 'soft', first: 0, last: 4 }], 'not-loud', false],
])('the review looks at single notes: %s', (_, marks, kind, isFound) => {
  const exercise = leap(marks, { register: 'mixed' });
  // The tonic of the first key lies in the zone, the octave over it does not.
  const first = lay(exercise)?.lowest ?? 0;
  const avoid = [{ low: first, high: first, kind }];
  const context = contextWith(exercise, { ...BELT, avoid });
  const found = reviewRoutine({ ...context, minutes: 20, steps: [...WARM, step(exercise.id, { maxKeys: 1 })] });
  expect(found.some(({ rule, stepId }) => rule === 'avoid-zone' && stepId === exercise.id)).toBe(isFound);
});

test('a loud note makes an exercise loud for thin walls', () => {
  expect(isNoLouder(leap([]), 'normal')).toBe(true);
  expect(isNoLouder(leap([{ kind: 'loud', first: 1, last: 1 }]), 'normal')).toBe(false);
});
