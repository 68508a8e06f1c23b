import { act, renderHook } from '@testing-library/react';
import { courseOf, type BreathWork } from '@soft-lark/core';
import type { EarSource } from '../../listening/ear.ts';
import { useBreathEar, type BreathByEar } from './use-breath-ear.ts';
import { useOpenEar } from './use-open-ear.ts';

const COUNTS = { inCounts: 2, holdCounts: 0, outCounts: 12, restCounts: 2, cycles: 2, countTempo: 60, growsBy: 0 };
const HISS: BreathWork = { kind: 'breath', counts: COUNTS };
/** Until a breath out can be told: it is listened to for two seconds more, and looked at now and then. */
const FIRST = 2 + 12 + 2.4;
const CYCLE = 16;

interface Opened {
  readonly breaths: () => readonly BreathByEar[];
  readonly goOn: (seconds: number) => Promise<void>;
  readonly show: (change: { readonly id?: string | null; readonly elapsed?: number }) => void;
}

async function open(source: EarSource | null): Promise<Opened> {
  const course = courseOf(HISS);
  let now: { readonly id: string | null; readonly elapsed: number } = { id: 'hiss', elapsed: 0 };
  const { result, rerender } = renderHook(
    ({ id, elapsed }: typeof now) =>
      useBreathEar({ open: useOpenEar(source), going: id === null ? null : { id, elapsed }, course }),
    { initialProps: now },
  );
  const goOn = (seconds: number): Promise<void> => act(() => jest.advanceTimersByTimeAsync(seconds * 1000));
  await goOn(0.01);
  return {
    breaths: () => result.current,
    goOn,
    show: (change) => {
      now = { ...now, ...change };
      rerender(now);
    },
  };
}

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

test('each breath out is told once it is over, in its round', async () => {
  const { breaths, goOn } = await open('steady');
  await goOn(FIRST - 1);
  expect(breaths()).toEqual([]);
  await goOn(1);
  expect(breaths()).toMatchObject([{ round: 1, counts: 12, arrival: 'on-count' }]);
  expect(Math.abs((breaths()[0]?.seconds ?? 0) - 12)).toBeLessThan(0.5);
  await goOn(CYCLE);
  expect(breaths().map(({ round }) => round)).toEqual([1, 2]);
});

test('who runs out of breath is over early; nobody is heard where nobody listens', async () => {
  const breathy = await open('breathy');
  await breathy.goOn(FIRST);
  expect(breathy.breaths()).toMatchObject([{ arrival: 'early' }]);
  const nobody = await open(null);
  await nobody.goOn(FIRST);
  expect(nobody.breaths()).toEqual([]);
});

test('a breath that a pause fell into is not told; the next one is', async () => {
  const { breaths, goOn, show } = await open('steady');
  await goOn(6);
  show({ id: null });
  await goOn(20);
  show({ id: 'hiss', elapsed: 6 });
  await goOn(FIRST - 6);
  expect(breaths()).toEqual([]);
  await goOn(CYCLE);
  expect(breaths()).toMatchObject([{ round: 2, arrival: 'on-count' }]);
});
