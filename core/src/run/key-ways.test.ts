import { judgesSound } from '../day/index.ts';
import { shippedExercises } from '../shelf/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import type { Mark } from '../past/index.ts';
import { layRoutine, type LaidRoutine, type StepSettings } from '../routine/index.ts';
import {
  conduct,
  currentKey,
  currentStep,
  mannerThatWorked,
  ownMarks,
  remedyFor,
  startRun,
  type RunState,
} from './index.ts';

const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
let count = 0;
const id = (): string => `key-${String((count += 1))}`;

const VOICE: VoiceFile = {
  type: 'mezzo-soprano',
  style: 'classical',
  goals: [],
  bridges: [{ low: 64, high: 65 }],
  avoid: [],
  measured: { low: 57, high: 76, reachLow: 55, reachHigh: 81, date: '2026-11-01' },
};

function laid(exerciseId: string, isKnown: boolean, settings: StepSettings = {}): LaidRoutine {
  return layRoutine([{ id: 'step', exerciseId, settings }], {
    voice: VOICE,
    conditions: [],
    occasion: 'lesson',
    exercises,
    known: new Set(isKnown ? [exerciseId] : []),
    now: '2026-11-25T10:00:00Z',
  });
}
const planned = (...of: Parameters<typeof laid>): RunState => startRun(laid(...of));
const begin = (...of: Parameters<typeof planned>): RunState => conduct(planned(...of), { type: 'next', id: id() });
const next = (state: RunState): RunState => conduct(state, { type: 'next', id: id() });
const marked = (state: RunState, mark: Mark): RunState => conduct(state, { type: 'mark', mark, id: id() });
const helpsOf = (state: RunState): string =>
  currentStep(state)
    ?.keys.map(({ help }) => help)
    .join(' ') ?? '';

test('a new exercise is shown first and sung alone last; shown time is not voiced time', () => {
  const fresh = begin('up-and-down-five', false, { maxKeys: 3 });
  expect(helpsOf(fresh)).toBe('shown together together cue-only alone');
  expect(helpsOf(begin('up-and-down-five', true, { maxKeys: 3 }))).toBe('cue-only cue-only cue-only cue-only alone');
  const voiced = (isKnown: boolean): number => laid('up-and-down-five', isKnown, { maxKeys: 3 }).voicedSeconds;
  expect(voiced(false)).toBeCloseTo((voiced(true) * 4) / 5, 9);
});

test('a new step of one key is shown, and the same key is then sung', () => {
  const one = begin('up-and-down-five', false, { travel: 'stay' });
  expect(helpsOf(one)).toBe('shown together');
  expect(new Set(currentStep(one)?.keys.map(({ tonic }) => tonic)).size).toBe(1);
  expect(helpsOf(begin('up-and-down-five', true, { travel: 'stay' }))).toBe('alone');
});

test('after a missed key help comes back for one; easy is no miss', () => {
  const helps = (mark: Mark): readonly (string | undefined)[] => {
    const after = next(marked(begin('up-and-down-five', true, { maxKeys: 3 }), mark));
    return [currentKey(after)?.help, currentKey(next(after))?.help];
  };
  expect(helps('crack')).toEqual(['together', 'cue-only']);
  expect(helps('easy')).toEqual(['cue-only', 'cue-only']);
});

test('the teacher’s choice of help holds to the end of the step and is kept with each key', () => {
  const first = next(begin('up-and-down-five', true, { maxKeys: 2 }));
  const alone = next(next(conduct(first, { type: 'help', help: 'together' })));
  expect(alone.sung.map(({ help }) => help)).toEqual(['cue-only', 'together', 'together']);
});

test('manners are passes of one key; the last that came without trouble is the one that worked', () => {
  let state = begin('rooted-leap', true, { start: 58, maxKeys: 2, travel: 'rise' });
  const [first, second] = exercises.get('rooted-leap')?.manners ?? [];
  expect(
    currentStep(state)?.keys.map(({ tonic, manner }) => [tonic - (currentKey(state)?.tonic ?? 0), manner]),
  ).toEqual([
    [0, first],
    [0, second],
    [1, first],
    [1, second],
  ]);
  state = next(marked(next(state), 'strain'));
  expect(mannerThatWorked(state.sung)).toBe(first);
  expect(mannerThatWorked([])).toBeUndefined();
});

test('an overlay costs its set-up on a modest step and is refused by a heavy one', () => {
  const seconds = (exerciseId: string, overlay?: string): number =>
    planned(exerciseId, true, { ...(overlay && { overlay }) }).steps[0]?.setUpSeconds ?? 0;
  expect(seconds('down-from-five', 'mirror') - seconds('down-from-five')).toBe(10);
  expect(seconds('down-from-five', 'no-such-thing')).toBe(seconds('down-from-five'));
  expect(seconds('nine-note-runs', 'mirror')).toBe(seconds('nine-note-runs'));
});

describe('remedyFor', () => {
  const watchFor = [
    { seen: 'Jaw', mark: 'tension' as const, causes: ['a'], remedies: [{ kind: 'cue' as const, text: 'first' }] },
    { seen: 'Neck', mark: 'tension' as const, causes: ['b'], remedies: [{ kind: 'tempo' as const, text: 'second' }] },
    { seen: 'Flat', causes: ['c'], remedies: [{ kind: 'cue' as const, text: 'own' }] },
    { seen: 'Sharp', causes: ['d'], remedies: [{ kind: 'cue' as const, text: 'own too' }] },
  ];
  const keys = (...marks: readonly Mark[][]): { marks: Mark[] }[] => marks.map((list) => ({ marks: list }));
  test.each([
    ['nothing marked', keys([]), [], undefined],
    ['the first remedy', [], ['tension'], 'first'],
    ['it stands for the next key', keys(['tension']), [], 'first'],
    ['and the one after', keys(['tension']), ['tension'], 'first'],
    ['two keys without change: the next', keys(['tension'], ['tension']), ['tension'], 'second'],
    ['the last stays the last', keys(...Array<Mark[]>(7).fill(['tension'])), ['tension'], 'second'],
    ['a clean key begins afresh', keys(['tension'], ['tension'], []), ['tension'], 'first'],
    ['no word for it', [], ['crack'], undefined],
    ['what only this exercise watches for', [], ['own-1'], 'own'],
    ['the second of those', [], ['own-2'], 'own too'],
    ['a third that it has not', [], ['own-3'], undefined],
  ] as const)('%s', (_, sung, marks, expected) => {
    expect(remedyFor({ watchFor, cues: [] }, sung, marks)?.text).toBe(expected);
  });
});

test.each([
  ['is answered', 'thirds', {}, true],
  ['is let be where the exercise lets it', 'rooted-leap', {}, false],
  ['is answered there too by a smooth school', 'rooted-leap', { cracks: 'always-smooth' }, true],
  ['is welcome', 'thirds', { cracks: 'invited' }, false],
])('a crack %s', (_, id, approach, isAnswered) => {
  const found = exercises.get(id);
  if (!found) throw new Error('the shelf lost an exercise');
  const watchFor = [
    { seen: 'A break', mark: 'crack' as const, causes: ['a'], remedies: [{ kind: 'cue' as const, text: 'b' }] },
  ];
  expect(remedyFor({ ...found, watchFor }, [], ['crack'], approach) !== null).toBe(isAnswered);
});

test.each([
  ['not in release', 'yawn-and-sigh-down', {}, false],
  ['not in a scale', 'up-and-down-five', {}, false],
  ['in work on pitch', 'thirds', {}, true],
  ['in the last stage', 'slow-phrase', {}, true],
  ['always', 'yawn-and-sigh-down', { 'sound-judged': 'always' }, true],
  ['never', 'slow-phrase', { 'sound-judged': 'never' }, false],
])('the sound is judged %s', (_, id, approach, isJudged) => {
  const found = exercises.get(id);
  expect(found && judgesSound(found, approach)).toBe(isJudged);
});

test('all that an exercise of the shelf says to watch for has a mark of its own or a common one, and its first remedy', () => {
  const answered = [...exercises.values()].filter(({ watchFor }) => watchFor.some(({ mark }) => mark));
  expect(answered.length).toBeGreaterThan(90);
  for (const exercise of exercises.values())
    for (const entry of exercise.watchFor) {
      const pressed = entry.mark ?? ownMarks(exercise).find(({ seen }) => seen === entry.seen)?.mark;
      // Of several entries of one common mark the first is offered first.
      const first = entry.mark ? exercise.watchFor.find(({ mark }) => mark === entry.mark) : entry;
      const offered = pressed && remedyFor(exercise, [], [pressed], { cracks: 'always-smooth' });
      expect([exercise.id, entry.seen, offered]).toEqual([
        exercise.id,
        entry.seen,
        { seen: first?.seen, text: first?.remedies[0]?.text },
      ]);
    }
});
