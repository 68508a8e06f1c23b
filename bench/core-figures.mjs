// Figures of the core, medians of repeats.
import {
  buildLadder,
  frameMaker,
  frequencyOf,
  layRoutine,
  parsePattern,
  resolveLimits,
  scoreRung,
  shippedExercises,
  SINGERS,
  singTune,
  wantedNotes,
} from '@soft-lark/core';
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

const RATE = 44_100;

/** A steady tone with harmonics, noise 20 dB below it. */
function noisyTone(hz, seconds) {
  return Float32Array.from({ length: seconds * RATE }, (_, index) => {
    const phase = (2 * Math.PI * hz * index) / RATE;
    const sound = 0.2 * (Math.sin(phase) + Math.sin(2 * phase) / 2 + Math.sin(3 * phase) / 3);
    return sound + (Math.random() - 0.5) * 0.2 * 0.1 * Math.sqrt(12) * 0.82;
  });
}

/** Cents off, and the share of one core that listening takes, over tones from 65 to 1,000 Hz. */
function listening() {
  const off = [];
  let busy = 0;
  let heard = 0;
  for (let midi = 36; frequencyOf(midi) <= 1000; midi += 1) {
    const samples = noisyTone(frequencyOf(midi), 1);
    const maker = frameMaker(RATE);
    const began = performance.now();
    for (let at = 0; at < samples.length; at += 512) {
      for (const { hz } of maker.add(samples.subarray(at, at + 512)))
        off.push(Math.abs(1200 * Math.log2(hz / frequencyOf(midi))));
    }
    busy += performance.now() - began;
    heard += 1000;
  }
  off.sort((a, b) => a - b);
  return {
    median: off[Math.floor(off.length / 2)],
    p95: off[Math.floor(off.length * 0.95)],
    core: (100 * busy) / heard,
  };
}

/** A key of nine notes, and a singer who comes in late. */
function nineNotesHeard() {
  const wanted = wantedNotes(parsePattern('1 2 3 4 5 4 3 2 1:2'), 60, 60);
  const frames = singTune(SINGERS.steady, wanted, 1).map((frame) => ({ ...frame, t: frame.t + 0.7 }));
  return () => scoreRung(frames, wanted);
}

function figure(name, value, unit, target) {
  return { name, value, unit, target, isCeiling: true };
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function coreFigures() {
  const text = Array.from({ length: TOKENS }, (_, index) => `${(index % 8) + 1}:1/2`).join(' ');
  const bench = new Bench({ time: 800, warmupTime: 200 });
  bench
    .add('buildLadder, nine notes over two octaves', twoOctaves())
    .add('parsePattern', () => parsePattern(text))
    .add('resolveLimits', limits())
    .add('layRoutine, 14 steps', fourteenSteps())
    .add('scoreRung', nineNotesHeard());
  await bench.run();
  const ear = listening();
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
    figure('layRoutine, all limits and keys of 14 steps', median('layRoutine, 14 steps'), 'ms', 3),
    figure('pitch 65–1,000 Hz, noise 20 dB below: median off', ear.median, 'cents', 5),
    figure('the same, 95th percentile', ear.p95, 'cents', 20),
    figure('listening, share of one core', ear.core, '%', 15),
    // A tenth of the time between two looks at what came in.
    figure('scoreRung, nine notes as they were sung', median('scoreRung'), 'ms', 10),
  ];
}
