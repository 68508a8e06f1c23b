import fc from 'fast-check';
import { layRoutine } from '../routine/index.ts';
import { contextOf, step } from '../testing/routine-context.ts';
import { conduct, currentKey, currentStep, startRun, type RunAction, type RunKey, type RunState } from './index.ts';

let made = 0;
const id = (): string => `key-${String((made += 1))}`;
const laid = (...ids: string[]) =>
  layRoutine(
    ids.map((name) => step(name)),
    contextOf(),
  );
const begun = (...ids: string[]): RunState => conduct(startRun(laid(...ids)), { type: 'next', id: id() });
const tempos = (state: RunState): readonly number[] => currentStep(state)?.keys.map(({ tempo }) => tempo) ?? [];

test('half the tempo holds from the next key on, takes twice as long, and is taken back by the same press', () => {
  const whole = begun('up-and-down-five');
  const half = conduct(whole, { type: 'half-tempo' });
  expect(tempos(half)).toEqual(tempos(whole).map((tempo, index) => (index === 0 ? tempo : tempo / 2)));
  const [was, is] = [currentStep(whole)?.keys[1], currentStep(half)?.keys[1]];
  expect(is?.seconds).toBeCloseTo((was?.seconds ?? 0) * 2, 6);
  expect(tempos(conduct(half, { type: 'half-tempo' }))).toEqual(tempos(whole));
  // A song that is slow already is not made slower than can be sung.
  const slow = Array.from({ length: 60 }).reduce<RunState>((at) => conduct(at, { type: 'tempo', by: -4 }), whole);
  expect(conduct(slow, { type: 'half-tempo' })).toBe(slow);
});

test('a vowel is kept for the step it was wished in, and given back', () => {
  const state = begun('up-and-down-five', 'falling-hum');
  const wished = conduct(state, { type: 'vowel', vowel: 'oo' });
  expect(wished.steps.map(({ vowel }) => vowel)).toEqual(['oo', undefined]);
  expect(currentStep(conduct(wished, { type: 'vowel', vowel: null }))?.vowel).toBeNull();
});

test('a relative takes the place of a step that is on; the key being sung is kept', () => {
  const relative = startRun(laid('hum-glides')).steps[0];
  if (!relative) throw new Error('no relative');
  const swapped = conduct(begun('up-and-down-five'), { type: 'swap', step: relative, id: id(), heard: true });
  expect([swapped.sung.length, swapped.begun, currentStep(swapped)?.exerciseId]).toEqual([1, false, 'hum-glides']);
});

test('a mark on a key that was left is taken back, and no other', () => {
  const marked = (['strain', 'breathy'] as const).reduce<RunState>(
    (at, mark) => conduct(at, { type: 'mark', mark, id: id() }),
    begun('up-and-down-five'),
  );
  const left = conduct(marked, { type: 'next', id: 'left' });
  expect(conduct(left, { type: 'unmark', keyId: 'left', mark: 'strain' }).sung[0]?.marks).toEqual(['breathy']);
  expect(conduct(left, { type: 'unmark', keyId: 'other', mark: 'strain' }).sung).toEqual(left.sung);
  const kept = conduct(left, { type: 'mark-left', keyId: 'left', mark: 'crack' });
  expect(kept.sung[0]?.marks).toEqual(['strain', 'breathy', 'crack']);
  expect(conduct(kept, { type: 'mark-left', keyId: 'left', mark: 'crack' })).toEqual(kept);
  expect(conduct(left, { type: 'mark-left', keyId: 'other', mark: 'crack' }).sung).toEqual(left.sung);
});

test('a run without a plan waits for steps, takes them one by one, and is over when the teacher says so', () => {
  const [ladder] = startRun(laid('up-and-down-five')).steps;
  if (!ladder) throw new Error('no step');
  const empty = startRun({ ...laid(), steps: [] }, true);
  expect([currentStep(empty), empty.phase]).toEqual([undefined, 'singing']);
  const first = conduct(conduct(empty, { type: 'add-step', step: ladder }), { type: 'next', id: id() });
  const over = ladder.keys.reduce<RunState>((at) => conduct(at, { type: 'next', id: id() }), first);
  expect([over.phase, currentStep(over), over.sung.length]).toEqual(['singing', undefined, ladder.keys.length]);
  expect(conduct(over, { type: 'finish', id: id(), heard: false }).phase).toBe('finished');
});

test('a step that is added comes after the one that is on', () => {
  const [extra] = startRun(laid('hum-glides')).steps;
  if (!extra) throw new Error('no step');
  const state = conduct(begun('up-and-down-five', 'falling-hum'), { type: 'add-step', step: extra });
  expect(state.steps.map(({ exerciseId }) => exerciseId)).toEqual(['up-and-down-five', 'hum-glides', 'falling-hum']);
});

const anyAction = fc.oneof(
  { weight: 8, arbitrary: fc.constant<RunAction>({ type: 'next', id: '' }) },
  ...(['again', 'skip', 'turn-back', 'home'] as const).map((type) => fc.constant<RunAction>({ type, id: '' })),
  fc.constantFrom(-4, 4).map((by): RunAction => ({ type: 'tempo', by })),
  fc.constant<RunAction>({ type: 'half-tempo' }),
  fc.nat(14).map((index): RunAction => ({ type: 'to-key', index, id: '', heard: true })),
  fc.nat(3).map((more): RunAction => ({ type: 'then-home', more, seconds: 120, id: '' })),
  fc.constantFrom('strain' as const, 'easy' as const, 'creak' as const).map((mark): RunAction => ({
    type: 'mark',
    mark,
    id: '',
  })),
);

test('whatever is pressed: what is written down is what was there to be sung, inside the limits, each once', () => {
  const routine = laid('up-and-down-five', 'falling-hum');
  const ceilings = routine.steps.map((one) => (one.laid?.kind === 'pattern' ? one.laid.input.ceiling : 0));
  fc.assert(
    fc.property(fc.array(anyAction, { minLength: 5, maxLength: 60 }), (actions) => {
      let state = startRun(routine);
      const heard: RunKey[] = [];
      for (const action of actions) {
        const [key, count] = [currentKey(state), state.sung.length];
        state = conduct(state, 'id' in action ? { ...action, id: id() } : action);
        if (state.sung.length > count && key) heard.push(key);
      }
      expect(state.sung.map(({ tonic, high, tempo }) => [tonic, high, tempo])).toEqual(
        heard.map(({ tonic, high, tempo }) => [tonic, high, tempo]),
      );
      for (const { high, stepId } of state.sung) {
        const at = routine.steps.findIndex((one) => one.id === stepId);
        expect(high).toBeLessThanOrEqual(ceilings[at] ?? 0);
      }
      expect(new Set(state.sung.map((key) => key.id)).size).toBe(state.sung.length);
    }),
    { numRuns: 200 },
  );
});
