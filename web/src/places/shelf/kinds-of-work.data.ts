import type { Work } from '@soft-lark/core';

/** What a new exercise can be. */
export const WORK_FORMS = ['tune', 'glide', 'counts', 'goes', 'longest', 'clock', 'spoken', 'calls'] as const;
export type WorkForm = (typeof WORK_FORMS)[number];

interface Beginning {
  readonly stage: 'middle' | 'occluded' | 'breath' | 'settle' | 'words' | 'style';
  readonly load: number;
  readonly work: object;
}

/** House choice: what each begins with, short and mild. */
export const BEGINNINGS: Readonly<Record<WorkForm, Beginning>> = {
  tune: { stage: 'middle', load: 2, work: { kind: 'pattern', pattern: '1 2 3 2 1:2', syllables: 'ah' } },
  glide: {
    stage: 'occluded',
    load: 1,
    work: {
      kind: 'siren',
      lowShare: 0.1,
      highShare: 0.7,
      shape: 'up-down',
      repeats: 4,
      secondsEach: 5,
      syllables: 'ng',
    },
  },
  counts: {
    stage: 'breath',
    load: 0,
    work: {
      kind: 'breath',
      counts: { inCounts: 4, holdCounts: 0, outCounts: 6, restCounts: 2, cycles: 4, countTempo: 60 },
    },
  },
  goes: { stage: 'breath', load: 1, work: { kind: 'breath', bursts: { repeats: 2, secondsEach: 8, restSeconds: 30 } } },
  longest: {
    stage: 'breath',
    load: 1,
    work: { kind: 'breath', longest: { rounds: 3, mostSeconds: 20, restSeconds: 20 }, syllables: 's' },
  },
  clock: { stage: 'settle', load: 0, work: { kind: 'timed', seconds: 30, prompts: ['Stand tall, knees soft.'] } },
  spoken: {
    stage: 'words',
    load: 0,
    work: { kind: 'spoken', repeats: 4, beats: 4, tempo: 96, text: 'A line of your own, as if told to somebody.' },
  },
  calls: {
    stage: 'style',
    load: 2,
    work: {
      kind: 'spoken',
      repeats: 6,
      beats: 4,
      tempo: 60,
      restSeconds: 4,
      text: 'Calls as they come.',
      lines: ['Hey!', 'Over here!', 'Wait!'],
      order: 'drawn',
    },
  },
};

/** Which of them a piece of work is. */
export function formOf(work: Work): WorkForm {
  switch (work.kind) {
    case 'pattern':
      return 'tune';
    case 'siren':
      return 'glide';
    case 'breath':
      return work.bursts ? 'goes' : work.longest ? 'longest' : 'counts';
    case 'timed':
      return 'clock';
    case 'spoken':
      return work.lines.length > 0 ? 'calls' : 'spoken';
  }
}
