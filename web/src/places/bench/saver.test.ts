import { ApiProblem } from '../../api/problem.ts';
import { createSaver, type Saver, type SaveState } from './saver.ts';

interface Saved {
  readonly version: number;
  readonly text: string;
}

let answers: (() => Promise<Saved>)[];
let sent: [string, number][];
let states: SaveState<Saved>[];
let saver: Saver<string>;

beforeEach(() => {
  jest.useFakeTimers();
  [answers, sent, states] = [[], [], []];
  saver = createSaver<string, Saved>({
    version: 1,
    save: (text, version) => {
      sent.push([text, version]);
      const answer = answers.shift();
      return answer ? answer() : Promise.resolve({ version: version + 1, text });
    },
    onState: (state) => states.push(state),
    onSaved: () => undefined,
  });
});
afterEach(() => {
  saver.stop();
  jest.useRealTimers();
});

const kinds = (): string => states.map(({ kind }) => kind).join(' ');
const wait = (ms: number): Promise<void> => jest.advanceTimersByTimeAsync(ms).then(() => undefined);

test('saves once, a moment after the last change', async () => {
  saver.edited('a');
  await wait(200);
  saver.edited('ab');
  await wait(1000);
  expect(sent).toEqual([['ab', 1]]);
  expect(kinds()).toBe('waiting saving saved');
  saver.edited('abc');
  await wait(1000);
  expect(sent.at(-1)).toEqual(['abc', 2]);
});

test('what a page hands over again with every state it is told of is saved all the same', async () => {
  const told: string[] = [];
  saver = createSaver<string, Saved>({
    version: 1,
    save: (text, version) => Promise.resolve({ version: version + 1, text }),
    onState: ({ kind }) => {
      told.push(kind);
      if (kind === 'waiting') saver.edited('a');
    },
    onSaved: () => undefined,
  });
  saver.edited('a');
  await wait(1000);
  expect(told).toEqual(['waiting', 'saving', 'saved']);
});

test('goes on when the server is back, with the newest edit', async () => {
  answers = [
    () => Promise.reject(new TypeError('no network')),
    () => Promise.reject(new ApiProblem({ code: 'DATABASE_AWAY' }, 503)),
  ];
  saver.edited('a');
  await wait(1000);
  expect(states.at(-1)?.kind).toBe('away');
  saver.edited('ab');
  await wait(10_000);
  expect(sent.map(([text]) => text)).toEqual(['a', 'ab', 'ab']);
  expect(states.at(-1)).toEqual({ kind: 'saved', version: 2 });
});

test('what is typed while a write is under way is saved after it', async () => {
  let finish: (saved: Saved) => void = () => undefined;
  answers = [() => new Promise((resolve) => (finish = resolve))];
  saver.edited('a');
  await wait(1000);
  saver.edited('ab');
  await wait(1000);
  expect(sent).toHaveLength(1);
  finish({ version: 2, text: 'a' });
  await wait(1000);
  expect(sent).toEqual([
    ['a', 1],
    ['ab', 2],
  ]);
});

test('a stale write waits for the teacher, keeps the edit, and can be saved over', async () => {
  const current = { version: 7, text: 'theirs' };
  answers = [() => Promise.reject(new ApiProblem({ code: 'STALE_WRITE', current }, 409))];
  saver.edited('mine');
  await wait(10_000);
  expect(sent).toHaveLength(1);
  expect(states.at(-1)).toEqual({ kind: 'stale', version: 1, current });
  saver.over(7);
  await wait(100);
  expect(sent.at(-1)).toEqual(['mine', 7]);
  expect(states.at(-1)).toEqual({ kind: 'saved', version: 8 });
});

test('a refusal says why and is not sent again by itself', async () => {
  answers = [() => Promise.reject(new ApiProblem({ code: 'INVALID', detail: 'minutes: too many.' }, 422))];
  saver.edited('a');
  await wait(10_000);
  expect(sent).toHaveLength(1);
  expect(states.at(-1)).toEqual({ kind: 'refused', version: 1, reason: 'minutes: too many.' });
});

test('taking theirs leaves nothing to be saved', async () => {
  saver.edited('mine');
  saver.rebase(9);
  await wait(5000);
  expect(sent).toEqual([]);
  saver.edited('next');
  await wait(1000);
  expect(sent).toEqual([['next', 9]]);
});
