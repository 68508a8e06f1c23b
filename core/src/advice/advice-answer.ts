import type { VoiceFile } from '../voice/index.ts';

/** Settings of a step that past runs advise on. */
export const ADVISED_KINDS = ['ceiling', 'tempo'] as const;
export type AdvisedKind = (typeof ADVISED_KINDS)[number];

/** What the teacher did with a piece of advice. */
export const ADVICE_ANSWERS = ['taken', 'refused'] as const;
/** Advice that can be taken or left; what holds a step is neither. */
export const ANSWERED_VERDICTS = ['raise', 'ease'] as const;

/** Semitones one piece of advice may move a top by; more is a slip of the hand. */
export const MOST_MOVED = 24;

/** Advice that was answered, and on which day. */
export interface AdviceAnswer {
  readonly exerciseId: string;
  readonly kind: AdvisedKind;
  readonly verdict: (typeof ANSWERED_VERDICTS)[number];
  readonly answer: (typeof ADVICE_ANSWERS)[number];
  /** Semitones the top of the exercise moves by once it is taken; nothing where it was set at the step alone. */
  readonly movesBy?: number;
  /** ISO day. */
  readonly date: string;
}

/**
 * Semitones by which advice that was taken has moved the top of each exercise since the voice was last measured: a range
 * check begins afresh.
 *
 * @returns nothing for exercises whose top stands where it stood
 */
export function takenAdvice(
  answers: readonly AdviceAnswer[],
  { measured }: Pick<VoiceFile, 'measured'>,
): ReadonlyMap<string, number> {
  const moved = new Map<string, number>();
  for (const { exerciseId, answer, movesBy = 0, date } of answers)
    if (answer === 'taken' && measured && date >= measured.date)
      moved.set(exerciseId, (moved.get(exerciseId) ?? 0) + movesBy);
  return new Map([...moved].filter(([, semitones]) => semitones !== 0));
}
