// Figures of the walls: how long anybody waits while somebody sends the worst there is, and whether twice the text is twice the time.
import { parsePattern, readAbc, shippedExercises } from '@soft-lark/core';
import { signUp } from './size-figures.mjs';

const REPEATS = 3;

const fields = (count) => Object.fromEntries(Array.from({ length: count }, (_, index) => [`field-${index}`, index]));

function fullRun(studentId, keys) {
  const id = () => crypto.randomUUID();
  const step = id();
  const key = (index) => ({ tonic: 50 + (index % 20), leg: 'up', low: 50 + (index % 20), high: 57 + (index % 20) });
  return {
    ...{ studentId, routineName: 'All of it', startedAt: '2026-11-25T15:00:00Z', conditions: [], stops: [], note: '' },
    plan: [{ stepId: step, exerciseId: 'thirds', name: 'Thirds', kind: 'pattern', seconds: 60, keys: [key(0)] }],
    sung: Array.from({ length: keys }, (_, index) => ({
      ...{ ...key(index), id: id(), stepId: step, exerciseId: 'thirds', tempo: 92, outcome: 'sung', marks: [] },
    })),
    revision: 1,
  };
}

function manyExercises(count) {
  const [first] = shippedExercises().filter(({ work }) => work.kind === 'pattern');
  return Array.from({ length: count }, (_, index) => ({ ...first, id: `mine-${index}`, name: `Mine ${index}` }));
}

/** What could hold others up, each with a way to send it. */
function worst(send, studentId) {
  const run = (body) => send('PUT', `/runs/${crypto.randomUUID()}`, body);
  const ours = manyExercises(1)[0];
  const withPattern = (pattern) => ({ version: 0, exercise: { ...ours, work: { ...ours.work, pattern } } });
  return [
    ['0.9 MB of unknown fields', () => run(fields(45_000))],
    [
      'unknown fields in every key',
      () => run({ ...fullRun(studentId, 0), sung: Array.from({ length: 800 }, () => fields(40)) }),
    ],
    ['a sending of a hundred keys', () => run(fullRun(studentId, 100))],
    [
      'a body nested without end',
      () => send('POST', '/students', `{"voice":${'['.repeat(200_000)}${']'.repeat(200_000)}}`),
    ],
    ['a pattern that goes on and on', () => send('PUT', '/exercises/mine-0', withPattern(`${"1'~".repeat(6000)}x`))],
    [
      'an import of 5,000 exercises',
      () =>
        send('POST', '/exercises/imports', {
          id: crypto.randomUUID(),
          name: 'All',
          exercises: manyExercises(5000),
          collections: [],
        }),
    ],
    [
      'twenty wrong passwords at once',
      () =>
        Promise.all(
          Array.from({ length: 20 }, (_, n) =>
            send('POST', '/session', { email: `n${n}@example.org`, password: 'a guess' }),
          ),
        ),
    ],
  ];
}

/** The longest anybody waited for an answer that needs next to nothing, while something was sent. */
async function longestWait(ask, sending) {
  let isOver = false;
  let longest = 0;
  const asking = (async () => {
    while (!isOver) longest = Math.max(longest, (await ask('/session')).milliseconds);
  })();
  await sending();
  isOver = true;
  await asking;
  return longest;
}

function milliseconds(work) {
  const began = performance.now();
  try {
    work();
  } catch {
    // A refusal takes its time, too.
  }
  return performance.now() - began;
}

/** Times of twice the text over times of the text, the largest of several texts; under a millisecond nobody waits. */
function growth(read, texts, length) {
  const ratio = (make) => {
    const times = [length, length * 2].map((size) => ({ text: make(size), least: Infinity }));
    for (let repeat = 0; repeat < 20; repeat += 1)
      for (const time of times)
        time.least = Math.min(
          time.least,
          milliseconds(() => read(time.text)),
        );
    return Math.max(1, times[1].least) / Math.max(1, times[0].least);
  };
  return Math.max(...texts.map(ratio));
}

const PATTERNS = [
  (size) => `${"1'~".repeat(size / 3)}x`,
  (size) => '('.repeat(size),
  (size) => '9'.repeat(size),
  (size) => `${'#b'.repeat(size / 2)}x`,
  (size) => `1:${'1'.repeat(size)}`,
];
const TUNES = [
  (size) => `X:1\nL:1/4\nK:C\n${'C D E F |\n'.repeat(size / 10)}`,
  (size) => `X:1\nL:1/4\nK:C\n${`${'{'.repeat(1000)}\n`.repeat(size / 1000)}`,
  (size) => `X:1\nL:1/4\nK:C\n${`${'"a'.repeat(500)}\n`.repeat(size / 1000)}`,
];

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function wallsFigures({ address }) {
  const { ask, send } = await signUp(address, 'Walls');
  const studentId = crypto.randomUUID();
  const voice = { type: 'tenor', style: 'pop', goals: [], bridges: [], avoid: [] };
  await send('POST', '/students', { id: studentId, name: 'Ada', note: '', voice });
  const figures = [];
  const under = (name, value, unit, target) => figures.push({ name, value, unit, target, isCeiling: true });
  for (const [name, sending] of worst(send, studentId)) {
    const waits = [];
    for (let repeat = 0; repeat < REPEATS; repeat += 1) waits.push(await longestWait(ask, sending));
    under(`others wait, at most, while somebody sends ${name}`, Math.max(...waits), 'ms', 250);
  }
  under('a pattern twice as long, times the time', growth(parsePattern, PATTERNS, 9000), '×', 3);
  under('a tune twice as long, times the time', growth(readAbc, TUNES, 3000), '×', 3);
  return figures;
}
