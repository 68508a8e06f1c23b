import type { Mark } from './marks.ts';

/** What one run did with one exercise. */
export interface PastExercise {
  readonly exerciseId: string;
  /** Keys or glides that were really sung. */
  readonly keys: number;
  /** Seconds one beat lasted, summed over these keys. */
  readonly beatSeconds: number;
  /** Seconds the step was planned to take. */
  readonly plannedSeconds: number;
  /** Beats per minute and highest note, MIDI; null where no key was sung. */
  readonly tempo: number | null;
  readonly highest: number | null;
  /** Manners in which a key came without a mark; none in runs from before they were kept. */
  readonly manners?: readonly string[];
  readonly marks: readonly Mark[];
  readonly wasStopped: boolean;
}

export interface PastRun {
  /** Calendar day in the studio's zone. */
  readonly date: string;
  /** 1–5, where it was asked. */
  readonly ease: number | null;
  readonly exercises: readonly PastExercise[];
}
