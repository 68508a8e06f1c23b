import { act, renderHook } from '@testing-library/react';
import { useRunClock } from './run-clock.ts';

let now = 1000;
/** The clock goes on by so many seconds, and the tab ticks once. */
function tick(seconds: number): void {
  now += seconds * 1000;
  act(() => {
    jest.advanceTimersByTime(250);
  });
}

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['performance'] });
  jest.spyOn(performance, 'now').mockImplementation(() => now);
});
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

const counting = () =>
  renderHook(
    ({ moment, isGoing }: { moment: string; isGoing: boolean }) =>
      useRunClock('2026-11-28T10:00:00Z', moment, isGoing).elapsed,
    {
      initialProps: { moment: 'first key', isGoing: true },
    },
  );

test('a tab that ticks once in ten seconds counts ten', () => {
  const { result } = counting();
  tick(0.25);
  tick(10);
  expect(result.current).toBeCloseTo(10.25);
});

test('a pause is not counted, and what was counted before it stays to the last bit', () => {
  const { result, rerender } = counting();
  tick(3);
  now += 100;
  rerender({ moment: 'first key', isGoing: false });
  tick(60);
  expect(result.current).toBeCloseTo(3.1);
  rerender({ moment: 'first key', isGoing: true });
  tick(2);
  expect(result.current).toBeCloseTo(5.1);
});

test('another key begins at nought', () => {
  const { result, rerender } = counting();
  tick(3);
  rerender({ moment: 'second key', isGoing: true });
  expect(result.current).toBe(0);
  tick(1);
  expect(result.current).toBeCloseTo(1);
});
