import {
  currentKey,
  currentStep,
  HELPS,
  LIVE_TEMPO,
  type Help,
  type Mark,
  type OWN_MARKS,
  type RunState,
} from '@soft-lark/core';
import type { KeyName } from '../../ui/keys.data.ts';
import { useKeys } from '../../ui/use-keys.ts';
import { usePedals } from './use-pedals.ts';
import type { Running } from './use-run.ts';

/** Every mark that all exercises share, in the order they are shown; each has the key of its name. */
export const MARKS_ASKED = [
  'strain',
  'crack',
  'pitch',
  'breath',
  'tension',
  'easy',
  'breathy',
  'rough',
  'creak',
  'pain',
  'tickle',
  'cough',
  'dizzy',
] as const satisfies readonly (Mark & KeyName<'piano'>)[];

export type AskedMark = (typeof MARKS_ASKED)[number] | (typeof OWN_MARKS)[number];

/** The marks where only ease is judged. */
export const EASE_MARKS: readonly AskedMark[] = MARKS_ASKED.filter((mark) => mark !== 'pitch');

/** Vowels to try instead, from the closed to the open and back, as they are written under notes. */
const VOWELS = ['oo', 'oh', 'ah', 'eh', 'ee'] as const;

/** Marks of the sound, told less often: they stand behind a press, and have their keys all the same. */
export const SOUND_MARKS: readonly AskedMark[] = ['breathy', 'rough', 'creak'];

/** Keys for one, two and three more, then home. */
export const FEW_MORE = ['oneMore', 'twoMore', 'threeMore'] as const;

/** One tap says only that it is more than a warm-up may cost. */
export const OVER_LIMIT = 5;

/** Who sounds next time: one choice less help, and from the least round to the most. */
export function nextHelp(help: Help): Help {
  return HELPS[(HELPS.indexOf(help) + 1) % HELPS.length] ?? 'together';
}

/** The vowel after this one; after the last it is as planned again. */
export function nextVowel(vowel: string | null | undefined): string | null {
  const at = VOWELS.findIndex((other) => other === vowel);
  return VOWELS[at + 1] ?? null;
}

/** The keyboard of the run-through, and the pedals of a page-turner. */
export function useRunKeys(
  running: Running,
  state: RunState,
  marks: readonly AskedMark[],
  isOn: boolean,
  handOver: () => void,
): void {
  const { act, does, mark, effort, thenHome } = running;
  const doing = (what: Parameters<Running['act']>[0]) => (): void => {
    act(what);
  };
  const pedals = usePedals({ onward: doing('next'), onceMore: doing('again') });
  const marking = marks.map((name): [string, () => void] => [
    name,
    () => {
      mark(name);
    },
  ]);
  const ending = FEW_MORE.map((name, index): [string, () => void] => [
    name,
    () => {
      thenHome(index + 1);
    },
  ]);
  const single = {
    half: () => {
      does({ type: 'half-tempo' });
    },
    vowel: () => {
      does({ type: 'vowel', vowel: nextVowel(currentStep(state)?.vowel) });
    },
    again: doing('again'),
    skip: doing('skip'),
    home: doing('home'),
    nextStep: doing('next-step'),
    playOn: handOver,
    slower: () => {
      does({ type: 'tempo', by: -LIVE_TEMPO.step });
    },
    faster: () => {
      does({ type: 'tempo', by: LIVE_TEMPO.step });
    },
    help: () => {
      const key = currentKey(state);
      if (key?.help) does({ type: 'help', help: nextHelp(key.help) });
    },
    effort: () => {
      effort(OVER_LIMIT);
    },
    ...Object.fromEntries([...marking, ...ending]),
  };
  const other = {
    ArrowRight: doing('next'),
    ArrowDown: running.turn,
    ArrowUp: doing('previous-step'),
    ' ': doing(state.phase === 'paused' ? 'resume' : 'pause'),
    // A pedal that sends one of these has it: the teacher has said so.
    ...pedals,
  };
  useKeys({ place: 'piano', ...(isOn && { single, other }), ownsSpace: true });
}
