import { layRoutine, shippedExercises, startRun, type VoiceFile } from '@soft-lark/core';
import fc from 'fast-check';
import { actOnRun, closeRun, endRun, keepRun, sendable, sentRun, type KeptRun } from './run-store.ts';

const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const VOICE: VoiceFile = {
  type: 'tenor',
  style: 'pop',
  goals: [],
  bridges: [],
  avoid: [],
  measured: { low: 50, high: 65, date: '2026-11-03' },
};
const STEPS = ['hum-glides', 'up-and-down-five', 'falling-hum'].map((id) => ({ id, exerciseId: id, settings: {} }));
const NOW = new Date('2026-11-25T15:10:00Z');

function freshRun(id: string): KeptRun {
  const laid = layRoutine(STEPS, {
    voice: VOICE,
    conditions: [],
    occasion: 'lesson',
    exercises,
    known: new Set(),
    now: '',
  });
  return {
    id,
    studentId: 's',
    routineId: 'r',
    routineName: 'Ten minutes',
    startedAt: '2026-11-25T15:00:00Z',
    conditions: [],
    plan: [],
    state: startRun(laid),
    note: '',
    isClosed: false,
    revision: 1,
    sentRevision: 0,
  };
}

const kept = (): KeptRun[] =>
  (JSON.parse(localStorage.getItem('soft-lark.runs') ?? '{"runs":[]}') as { runs: KeptRun[] }).runs;
const runOf = (id: string): KeptRun | undefined => kept().find((run) => run.id === id);

beforeEach(() => {
  const store = new Map<string, string>();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => store.get(key) ?? null,
      setItem: (key: string, value: string) => store.set(key, value),
      removeItem: (key: string) => store.delete(key),
    },
  });
  keepRun(freshRun('a'));
});

test('an act is on the device before anything else, and counts one revision up', () => {
  actOnRun('a', { type: 'next', id: 'k1' }, NOW);
  actOnRun('a', { type: 'next', id: 'k2' }, NOW);
  expect([runOf('a')?.revision, runOf('a')?.state.sung.length]).toEqual([3, 1]);
});

test('an act without a meaning is no change to send', () => {
  actOnRun('a', { type: 'turn-back', id: 'k1' }, NOW);
  actOnRun('a', { type: 'resume' }, NOW);
  expect(runOf('a')?.revision).toBe(1);
});

test('the last act ends the run at its moment', () => {
  actOnRun('a', { type: 'finish', id: 'k1', heard: false }, NOW);
  expect(runOf('a')).toMatchObject({ endedAt: NOW.toISOString(), isClosed: false });
});

test('a run stays on the device until it is closed and wholly sent', () => {
  actOnRun('a', { type: 'finish', id: 'k1', heard: false }, NOW);
  sentRun('a', 2, 1);
  expect(runOf('a')).toMatchObject({ sentRevision: 2 });
  closeRun('a', { ease: 4, note: 'light' });
  expect(runOf('a')).toMatchObject({ revision: 3, ease: 4, note: 'light' });
  sentRun('a', 2, 1);
  expect(runOf('a')).toBeDefined();
  sentRun('a', 3, 1);
  expect(runOf('a')).toBeUndefined();
});

test('a run that was broken off can be ended where it stands', () => {
  actOnRun('a', { type: 'next', id: 'k1' }, NOW);
  endRun('a', NOW);
  expect(runOf('a')).toMatchObject({ endedAt: NOW.toISOString(), isClosed: true, revision: 3 });
});

test('other runs are left alone', () => {
  keepRun(freshRun('b'));
  actOnRun('b', { type: 'next', id: 'k1' }, NOW);
  expect([runOf('a')?.revision, runOf('b')?.revision]).toEqual([1, 2]);
  closeRun('b', { note: '' });
  sentRun('b', 3, 1);
  expect(kept().map(({ id }) => id)).toEqual(['a']);
});

test('what is sent leaves out what was not answered, and nothing of the device’s own', () => {
  const run = runOf('a');
  const sent = run && sendable(run);
  expect(Object.keys(sent ?? {}).sort()).toEqual([
    'conditions',
    'note',
    'plan',
    'results',
    'revision',
    'routineId',
    'routineName',
    'startedAt',
    'stops',
    'studentId',
    'sung',
    'sungBefore',
  ]);
});

test('whatever is pressed and whichever answers are lost, every key sung is in what is sent last', () => {
  const acts = fc.array(
    fc.oneof(
      fc.constantFrom('next' as const, 'again' as const, 'skip' as const, 'turn-back' as const),
      fc.integer({ min: 0, max: 30 }),
    ),
    { maxLength: 30 },
  );
  let number = 0;
  fc.assert(
    fc.property(acts, fc.boolean(), (list, isLong) => {
      keepRun(freshRun('p'));
      const onServer = new Set<string>();
      /** One sending that arrives; whether its answer does is another matter. */
      const send = (isAnswered: boolean): void => {
        const run = runOf('p');
        if (!run) return;
        const { sung, sungBefore = 0, revision } = sendable(run);
        for (const { id } of sung) onServer.add(id);
        if (isAnswered) sentRun('p', revision, sungBefore + sung.length);
      };
      for (const act of isLong ? [...list, ...list, ...list] : list) {
        number += 1;
        if (typeof act === 'number') send(act % 2 === 0);
        else actOnRun('p', { type: act, id: `key-${String(number)}` }, NOW);
      }
      const sung = runOf('p')?.state.sung ?? [];
      for (let sending = 0; sending < 3; sending += 1) send(true);
      expect([...onServer].sort()).toEqual(sung.map(({ id }) => id).sort());
      const run = runOf('p');
      expect([run?.sentRevision, run?.sentKeys]).toEqual([run?.revision, sung.length]);
    }),
    { numRuns: 200 },
  );
});

test('a run that was sung without a connection goes in several sendings, and is kept until the last', () => {
  const run = freshRun('long');
  const key = { stepId: 's', exerciseId: 'e', tonic: 60, leg: 'up', low: 60, high: 67, tempo: 92 } as const;
  const sung = Array.from({ length: 450 }, (_, index) => ({
    ...{ ...key, id: `k${String(index)}`, outcome: 'sung' as const, marks: [] },
  }));
  keepRun({ ...run, state: { ...run.state, sung }, isClosed: true, revision: 5 });
  const sizes: number[] = [];
  for (let kept = runOf('long'); kept; kept = runOf('long')) {
    const sent = sendable(kept);
    sizes.push(sent.sung.length);
    sentRun('long', sent.revision, (sent.sungBefore ?? 0) + sent.sung.length);
  }
  expect(sizes).toEqual([75, 75, 75, 75, 75, 75]);
});

describe('what else may stand where runs are kept', () => {
  const KEY = 'soft-lark.runs';

  test('runs of before there was a schema are read', () => {
    const before = JSON.stringify(kept());
    localStorage.setItem(KEY, before);
    actOnRun('a', { type: 'next', id: 'k1' }, NOW);
    expect([runOf('a')?.revision, JSON.parse(localStorage.getItem(KEY) ?? '')]).toMatchObject([2, { schema: 1 }]);
  });

  test.each(['{', 'null', '[1]', '{"schema":7,"runs":[]}', '[{"id":"a"}]', '"x"'])('%s is put aside, whole', (text) => {
    localStorage.setItem(KEY, text);
    keepRun(freshRun('b'));
    expect(kept().map(({ id }) => id)).toEqual(['b']);
    expect(localStorage.getItem(`${KEY}.aside`)).toBe(text);
  });

  test('a device that takes nothing more keeps the run in memory', () => {
    const full = jest.spyOn(localStorage, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    actOnRun('a', { type: 'next', id: 'k1' }, NOW);
    actOnRun('a', { type: 'next', id: 'k2' }, NOW);
    full.mockRestore();
    actOnRun('a', { type: 'next', id: 'k3' }, NOW);
    expect(runOf('a')?.revision).toBe(4);
  });
});
