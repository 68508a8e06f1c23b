// Figures of the core, medians of repeats.
import { buildLadder, layRoutine, parsePattern, resolveLimits, shippedExercises } from '@soft-lark/core';
import { Bench } from 'tinybench';

const TOKENS = 240;

function twoOctaves() {
  const pattern = parsePattern('1 2 3 4 5 4 3 2 1:2');
  return () => buildLadder({ pattern, start: 48, step: 1, travel: 'rise-return', floor: 48, ceiling: 72, tempo: 100 });
}

function limits() {
  const voice = {
    type: 'mezzo-soprano',
    measured: { low: 57, high: 76, reachLow: 55, reachHigh: 81, date: '2026-11-03' },
  };
  const context = {
    voice,
    style: 'choral',
    exercise: { stage: 'middle', register: 'mixed' },
    sungSteps: 1,
    conditions: ['tired', 'heavy'],
    occasion: 'lesson',
    now: '2026-11-25T15:00:00Z',
  };
  return () => resolveLimits(context);
}

function fourteenSteps() {
  const shelf = shippedExercises();
  const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
  const steps = shelf.slice(0, 14).map(({ id }) => ({ id, exerciseId: id, settings: {} }));
  const voice = {
    type: 'mezzo-soprano',
    style: 'theatre',
    goals: [],
    bridges: [],
    avoid: [],
    measured: { low: 58, high: 76, date: '2026-11-03' },
  };
  return () =>
    layRoutine(steps, {
      voice,
      conditions: ['tired'],
      occasion: 'lesson',
      exercises,
      known: new Set(),
      now: '2026-11-25T15:00:00Z',
    });
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function coreFigures() {
  const text = Array.from({ length: TOKENS }, (_, index) => `${(index % 8) + 1}:1/2`).join(' ');
  const bench = new Bench({ time: 800, warmupTime: 200 });
  bench
    .add('buildLadder, nine notes over two octaves', twoOctaves())
    .add('parsePattern', () => parsePattern(text))
    .add('resolveLimits', limits())
    .add('layRoutine, 14 steps', fourteenSteps());
  await bench.run();
  const median = (name) => bench.getTask(name).result.latency.p50;
  return [
    {
      name: 'buildLadder, nine notes over two octaves',
      value: median('buildLadder, nine notes over two octaves'),
      unit: 'ms',
      target: 0.2,
      isCeiling: true,
    },
    {
      name: 'parsePattern',
      value: (TOKENS * 1000) / median('parsePattern'),
      unit: 'tokens/s',
      target: 200_000,
      isCeiling: false,
    },
    { name: 'resolveLimits', value: median('resolveLimits'), unit: 'ms', target: 0.1, isCeiling: true },
    { name: 'layRoutine, 14 steps', value: median('layRoutine, 14 steps'), unit: 'ms', target: 16, isCeiling: true },
  ];
}
