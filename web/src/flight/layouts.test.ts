import {
  courseOf,
  layRoutine,
  referenceOf,
  resolveLimits,
  shippedExercises,
  voiceOf,
  type RoutineContext,
  type VoiceFile,
} from '@soft-lark/core';
import { apart, layRuler } from '../places/students/range-ruler.layout.ts';
import { layContour } from './contour.layout.ts';
import { layCourse } from './course.layout.ts';
import { fitText, layFlight } from './flight.layout.ts';
import { layRunStones, layStones } from './stones.layout.ts';

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
const VOICE: VoiceFile = {
  type: 'mezzo-soprano',
  style: 'theatre',
  goals: [],
  speakingNote: 59,
  bridges: [{ low: 64, high: 65 }],
  avoid: [{ low: 63, high: 63, kind: 'never-sounded' }],
  measured: { low: 57, high: 76, reachLow: 55, reachHigh: 79, date: '2026-11-03' },
};
const context: RoutineContext = {
  voice: VOICE,
  conditions: ['tired'],
  occasion: 'lesson',
  exercises,
  known: new Set(exercises.keys()),
  now: '',
};
const lay = (...steps: [string, object?][]) =>
  layRoutine(
    steps.map(([exerciseId, settings = {}]) => ({ id: exerciseId, exerciseId, settings })),
    context,
  );

describe('flight', () => {
  const routine = lay(['standing-check'], ['lip-trill-glides'], ['hum-on-the-chord'], ['thirds'], ['falling-hum']);
  const shapes = layFlight({ routine, voice: VOICE, budgetSeconds: 720, width: 1224, height: 286 });

  test('steps without pitch are pebbles, the others ribbons with a tune for each key', () => {
    expect(shapes.labels.filter(({ isPebble }) => isPebble).map(({ stepId }) => stepId)).toEqual(['standing-check']);
    expect(shapes.ribbons.map(({ stepId }) => stepId)).toEqual([
      'lip-trill-glides',
      'hum-on-the-chord',
      'thirds',
      'falling-hum',
    ]);
    const thirds = routine.steps[3]?.laid;
    expect(shapes.ribbons[2]?.tunes).toHaveLength(thirds?.kind === 'pattern' ? thirds.ladder.rungs.length : -1);
  });

  test('what the review marks stands over its step, a pebble’s over the ground, nothing over the others', () => {
    const marked = new Map([
      ['standing-check', 'note'],
      ['thirds', 'stop'],
      ['gone', 'warn'],
    ] as const);
    const { marks, labels, ground } = layFlight({
      routine,
      voice: VOICE,
      budgetSeconds: 720,
      marked,
      width: 1224,
      height: 286,
    });
    expect(marks.map(({ stepId, severity }) => [stepId, severity])).toEqual([
      ['standing-check', 'note'],
      ['thirds', 'stop'],
    ]);
    for (const { stepId, x } of marks) expect(x).toBeCloseTo(labels.find((label) => label.stepId === stepId)?.x ?? 0);
    const [pebble, ribbon] = marks.map(({ y }) => y);
    expect([(ribbon ?? 0) > 0, (ribbon ?? 0) < (pebble ?? 0), (pebble ?? 0) < ground]).toEqual([true, true, true]);
    expect(shapes.marks).toEqual([]);
  });

  test('time runs to the right, inside the picture; pitch runs upwards', () => {
    const xs = shapes.labels.map(({ x }) => x);
    expect([...xs].sort((a, b) => a - b)).toEqual(xs);
    expect(shapes.end.x).toBeLessThan(shapes.right);
    expect(shapes.comfortable.top).toBeLessThan(shapes.comfortable.bottom);
    expect(shapes.stretches.some(({ side }) => side === 'over')).toBe(true);
  });

  test('only notes that mean something are written, and none touches another', () => {
    const ys = shapes.pitchLabels.map(({ y }) => y).sort((a, b) => a - b);
    expect(ys.every((y, index) => index === 0 || y - (ys[index - 1] ?? 0) >= 13)).toBe(true);
    expect(shapes.pitchLabels.filter(({ isLimit }) => isLimit).map(({ text }) => text)).toEqual(['D♭5', 'B♭3']);
  });

  test('an empty routine has a picture too', () => {
    const empty = layFlight({ routine: lay(), voice: VOICE, budgetSeconds: 600, width: 600, height: 286 });
    expect([empty.ribbons.length, empty.ticks.at(-1)?.minutes]).toEqual([0, 10]);
  });

  test.each([
    ['Stand', 60, 'Stand'],
    ['Quiet shoulders', 50, 'Quiet s…'],
    ['Stand', 10, ''],
  ])('%p in %p px is written %p', (text, width, expected) => {
    expect(fitText(text, width)).toBe(expected);
  });
});

describe('stones', () => {
  const step = lay(['hum-glides'], ['hum-on-the-chord'], ['down-from-five', { travel: 'fall', start: 66 }]).steps[2];
  if (step?.laid?.kind !== 'pattern') throw new Error('the step has no ladder');
  const { ladder, pattern } = step.laid;

  test('every key of the travel is there in its order, left-out keys struck in their places', () => {
    const { stones } = layStones(ladder, pattern.high, 560, 176);
    expect(ladder.skipped.length).toBeGreaterThan(0);
    const tonics = stones.map(({ tonic }) => tonic);
    expect(tonics).toEqual(Array.from({ length: tonics.length }, (_, index) => 66 - index));
    expect(stones.filter(({ isStruck }) => isStruck).map(({ tonic }) => tonic)).toEqual(
      ladder.skipped.map(({ tonic }) => tonic),
    );
  });

  test.each([1, 2, 9, 15, 31])('%p keys stay inside the picture and do not overlap', (count) => {
    const keys = Array.from({ length: count }, (_, index) => ({
      tonic: 60 + Math.min(index, count - 1 - index),
      leg: 'up' as const,
      low: 60,
      high: 67,
      tempo: 90,
      zone: 'low' as const,
      seconds: 8,
      cueSeconds: 2,
    }));
    const { stones, radius } = layRunStones(keys, 560, 220);
    expect(stones.every(({ x, y }) => x >= radius && x <= 560 && y >= radius && y <= 220)).toBe(true);
    const gaps = stones.slice(1).map(({ x }, index) => x - (stones[index]?.x ?? 0));
    expect(gaps.every((gap) => gap > radius)).toBe(true);
  });
});

test('the ruler puts reach around comfortable around today, and its words apart', () => {
  const limits = resolveLimits({
    voice: voiceOf(VOICE),
    style: 'theatre',
    exercise: { stage: 'middle', register: 'any' },
    sungSteps: 2,
    conditions: ['tired'],
    occasion: 'lesson',
    now: '',
  });
  const { reach, comfortable, today, wordYs } = layRuler(VOICE, referenceOf(VOICE), limits, 520);
  expect(reach.top < comfortable.top && comfortable.top < today.top).toBe(true);
  expect(reach.bottom > comfortable.bottom && comfortable.bottom > today.bottom).toBe(true);
  const sorted = [...wordYs].sort((a, b) => a - b);
  expect(sorted.every((y, index) => index === 0 || y - (sorted[index - 1] ?? 0) >= 17)).toBe(true);
  expect(apart([10, 12, 40], 17)).toEqual([10, 27, 44]);
});

test('every exercise with a pitch has a contour', () => {
  for (const exercise of shelf) {
    const hasPitch = exercise.work.kind === 'pattern' || exercise.work.kind === 'siren';
    expect([exercise.id, layContour(exercise, 116, 38) !== null]).toEqual([exercise.id, hasPitch]);
  }
});

describe('a course of work without pitch', () => {
  const still = shelf.flatMap(({ work }) => (work.kind === 'pattern' || work.kind === 'siren' ? [] : [courseOf(work)]));
  const [first] = still;

  test.each([320, 900])('every part has its room in %i px, one beside the other', (width) => {
    for (const course of still) {
      const { shapes, before, after } = layCourse(course, 0, width, 140);
      expect(before + shapes.length + after).toBe(course.parts.length);
      for (const [index, { x, width: wide, path }] of shapes.entries()) {
        const last = shapes[index - 1];
        expect(x).toBeGreaterThan(last ? last.x + last.width : -1);
        expect(x + wide).toBeLessThanOrEqual(width + 0.01);
        expect(path).not.toContain('NaN');
      }
    }
  });

  test('where not all have room, those round the one that is on are shown', () => {
    const long = {
      ...first,
      parts: Array.from({ length: 60 }, (_, index) => ({
        act: 'go' as const,
        startsAt: index,
        seconds: 1,
        round: index + 1,
      })),
      rounds: 60,
      seconds: 60,
    };
    const at = (now: number) => layCourse(long, now, 320, 140).shapes.map(({ part }) => part.round);
    expect(at(0)[0]).toBe(1);
    expect(at(30)).toContain(31);
    expect(at(30)).toContain(30);
    expect(at(59).at(-1)).toBe(60);
  });

  test('a long rest leaves the goes their room', () => {
    const goes = courseOf({ kind: 'breath', bursts: { repeats: 2, secondsEach: 2, restSeconds: 120 } });
    const [go, rest] = layCourse(goes, 0, 600, 140).shapes;
    expect(rest?.width ?? 0).toBeLessThan((go?.width ?? 0) * 4);
  });
});
