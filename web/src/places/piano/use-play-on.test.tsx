import { act, renderHook } from '@testing-library/react';
import { useState } from 'react';
import { usePlayOn } from './use-play-on.ts';

/** Seconds of a key; a page that is busy draws what comes next so much too late. */
const KEY = 4;
const LATE_MS = 90;

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

const passed = (seconds: number): void => {
  act(() => {
    jest.advanceTimersByTime(seconds * 1000);
  });
};

/** A run of keys of the same length; tells when each one was asked for, in seconds. */
function playOn(first: { readonly isOn: boolean; readonly isGoing?: boolean; readonly lasts?: number | null }): {
  readonly asked: readonly number[];
  readonly set: (props: Partial<typeof first>) => void;
} {
  const asked: number[] = [];
  const began = performance.now();
  const { rerender } = renderHook(
    ({ isOn, isGoing = true, lasts = KEY }: typeof first) => {
      const [key, setKey] = useState(0);
      usePlayOn({
        moment: String(key),
        isGoing,
        events: [],
        lasts,
        isOn,
        goOn: () => {
          asked.push((performance.now() - began) / 1000);
          setTimeout(() => {
            setKey((last) => last + 1);
          }, LATE_MS);
        },
      });
    },
    { initialProps: first },
  );
  return {
    asked,
    set: (props) => {
      rerender({ ...first, ...props });
    },
  };
}

test('twenty keys follow one another without drifting, though the page is late at every one', () => {
  const { asked } = playOn({ isOn: true });
  for (let tick = 0; tick < 20 * KEY * 10; tick += 1) passed(0.1);
  expect(asked).toHaveLength(20);
  const off = asked.map((at, index) => (index + 1) * KEY - at);
  // Each is asked for the same moment before it is due, from the first to the last.
  expect(Math.max(...off) - Math.min(...off)).toBeLessThan(0.01);
  expect(Math.min(...off)).toBeGreaterThan(LATE_MS / 1000);
});

test.each<[string, Parameters<typeof playOn>[0]]>([
  ['it waits for the teacher', { isOn: false }],
  ['it is paused, or has not begun', { isOn: true, isGoing: false }],
  ['a note is held until it is let go', { isOn: true, lasts: null }],
])('nothing comes by itself while %s', (_, props) => {
  const { asked } = playOn(props);
  passed(60);
  expect(asked).toEqual([]);
});

test('handed over in the middle of a key it goes on when that key ends', () => {
  const { asked, set } = playOn({ isOn: false });
  passed(1);
  set({ isOn: true });
  passed(1);
  expect(asked).toEqual([]);
  passed(2);
  expect(asked).toHaveLength(1);
});
