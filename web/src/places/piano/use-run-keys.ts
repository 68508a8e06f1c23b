import { useHotkeys } from '@mantine/hooks';
import { currentKey, HELPS, type Help, type Mark, type RunState } from '@soft-lark/core';
import type { Running } from './use-run.ts';

type MarkKeys = readonly (readonly [Mark, string])[];

/** Every mark and the key that sets it. */
export const MARK_KEYS: MarkKeys = [
  ['strain', 's'],
  ['crack', 'c'],
  ['pitch', 'p'],
  ['breath', 'b'],
  ['tension', 't'],
  ['easy', 'e'],
  ['pain', '1'],
  ['tickle', '2'],
  ['cough', '3'],
  ['dizzy', '4'],
];

/** The marks where only ease is judged. */
export const EASE_MARKS: MarkKeys = MARK_KEYS.filter(([mark]) => mark !== 'pitch');

/** Keys for one, two and three more, then home. */
export const FEW_MORE_KEYS = ['7', '8', '9'] as const;

/** One tap says only that it is more than a warm-up may cost. */
export const OVER_LIMIT = 5;

/** Who sounds next time: one choice less help, and from the least round to the most. */
export function nextHelp(help: Help): Help {
  return HELPS[(HELPS.indexOf(help) + 1) % HELPS.length] ?? 'together';
}

const TYPING = ['INPUT', 'TEXTAREA', 'SELECT'];

/** The keyboard of the run-through; page down is the pedal of a page-turner. */
export function useRunKeys(
  { act, mark, help, effort, thenHome }: Running,
  state: RunState,
  marks: MarkKeys,
  isOn: boolean,
): void {
  const when = (work: () => void) => () => {
    if (isOn) work();
  };
  const next = when(() => {
    act('next');
  });
  const pause = when(() => {
    act(state.phase === 'paused' ? 'resume' : 'pause');
  });
  useHotkeys([
    ['ArrowRight', next],
    ['PageDown', next],
    [
      'r',
      when(() => {
        act('again');
      }),
    ],
    [
      'k',
      when(() => {
        act('skip');
      }),
    ],
    [
      'ArrowDown',
      when(() => {
        act('turn-back');
      }),
    ],
    [
      'h',
      when(() => {
        act('home');
      }),
    ],
    [
      'n',
      when(() => {
        act('next-step');
      }),
    ],
    [
      'g',
      when(() => {
        const key = currentKey(state);
        if (key?.help) help(nextHelp(key.help));
      }),
    ],
    [
      '5',
      when(() => {
        effort(OVER_LIMIT);
      }),
    ],
    ...FEW_MORE_KEYS.map((key, index): [string, () => void] => [
      key,
      when(() => {
        thenHome(index + 1);
      }),
    ]),
    ...marks.map(([name, key]): [string, () => void] => [
      key,
      when(() => {
        mark(name);
      }),
    ]),
  ]);
  // A focused button answers the space bar itself.
  useHotkeys([['space', pause]], [...TYPING, 'BUTTON']);
}
