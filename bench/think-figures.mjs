// Figures of what the bench works out by itself: fit, draft, review.
import { draftRoutine, fitToBudget, reviewRoutine, shippedExercises } from '@soft-lark/core';
import highs from 'highs';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';

const SEED = 7;
const REPEATS = 15;

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

function timed(work) {
  const began = performance.now();
  const result = work();
  return { result, milliseconds: performance.now() - began };
}

function largeCase(random) {
  const whole = (low, high) => uniformInt(random, low, high);
  return Array.from({ length: 20 }, (_, index) => {
    let seconds = whole(50, 250) / 10;
    let worth = 0;
    const options = Array.from({ length: 24 }, () => {
      seconds += whole(10, 150) / 10;
      worth += whole(1, 3000) / 1000;
      return { seconds, worth };
    });
    return { id: `s${String(index)}`, options };
  });
}

function program(steps, budget) {
  const names = steps.flatMap(({ options }, row) => options.map((option, at) => [`x${row}_${at}`, option]));
  const terms = (of) => names.map(([name, option]) => `+ ${of(option)} ${name}`).join('\n ');
  const one = steps.map(({ options }, row) => `${options.map((_, at) => `x${row}_${at}`).join(' + ')} = 1`).join('\n ');
  const tenths = ({ seconds }) => Math.ceil(seconds * 10 - 1e-9);
  return `Maximize\n ${terms(({ worth }) => worth)}\nSubject To\n ${terms(tenths)} <= ${budget * 10}\n ${one}\nBinary\n ${names.map(([name]) => name).join('\n ')}\nEnd`;
}

const MEZZO = {
  type: 'mezzo-soprano',
  style: 'classical',
  goals: ['bridge', 'agility'],
  bridges: [{ low: 64, high: 65 }],
  avoid: [],
  measured: { low: 57, high: 76, reachLow: 55, reachHigh: 81, date: '2026-11-01' },
};

function contextOf(count, seed) {
  const shipped = shippedExercises();
  const shelf = Array.from({ length: count }, (_, index) => {
    const exercise = shipped[index % shipped.length];
    return index < shipped.length ? exercise : { ...exercise, id: `${exercise.id}-${index}` };
  });
  return {
    voice: MEZZO,
    conditions: [],
    occasion: 'lesson',
    exercises: new Map(shelf.map((exercise) => [exercise.id, exercise])),
    known: new Set(shelf.slice(0, 12).map(({ id }) => id)),
    minutes: 15,
    seed,
    now: '2026-11-25T10:00:00Z',
  };
}

function figure(name, value, target) {
  return { name, value, unit: 'ms', target, isCeiling: true };
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function thinkFigures() {
  const random = xoroshiro128plus(SEED);
  const cases = Array.from({ length: REPEATS }, () => largeCase(random));
  const solver = await highs();
  const fits = cases.map((steps) => timed(() => fitToBudget(steps, 3600)).milliseconds);
  const solved = cases.slice(0, 5).map((steps) => timed(() => solver.solve(program(steps, 3600))).milliseconds);
  const drafts = (count) =>
    Array.from({ length: REPEATS }, (_, seed) => {
      const context = contextOf(count, seed);
      return timed(() => draftRoutine(context)).milliseconds;
    });
  const shelf = shippedExercises();
  const steps = shelf.slice(0, 20).map(({ id }) => ({ id, exerciseId: id, settings: {} }));
  const reviewed = { ...contextOf(shelf.length, 1), steps };
  const reviews = Array.from({ length: REPEATS }, () => timed(() => reviewRoutine(reviewed)).milliseconds);
  return [
    figure('fitToBudget, 20 steps × 24 options × 60 min', median(fits), 30),
    {
      name: 'the same beside an integer-programming solver',
      value: median(solved) / median(fits),
      unit: 'times as fast',
      target: 1,
      isCeiling: false,
    },
    figure('draftRoutine, 300 exercises', median(drafts(300)), 100),
    figure('draftRoutine, 3,000 exercises', median(drafts(3000)), 600),
    figure('reviewRoutine, 20 steps', median(reviews), 5),
  ];
}
