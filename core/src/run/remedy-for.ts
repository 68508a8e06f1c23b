import { answersCracks } from '../day/index.ts';
import type { Approach, Exercise } from '../shelf/index.ts';
import type { Mark } from '../past/index.ts';
import { watchedBy } from './own-marks.ts';
import type { SungKey } from './run.schema.ts';

/** Source: house choice; keys a remedy is given before the next is offered. */
const KEYS_A_REMEDY = 2;

/** What a mark stands for and what to try, in the words of the exercise. */
export interface Offered {
  readonly seen: string;
  readonly text: string;
}

function since(mark: Mark, keys: readonly Pick<SungKey, 'marks'>[]): number {
  const clean = [...keys].reverse().findIndex(({ marks }) => !marks.includes(mark));
  return clean < 0 ? keys.length : clean;
}

/**
 * The remedy to offer for the marks on a key: the first of what the exercise says to watch for; if two keys do not
 * improve, the next, and after the last one the last.
 *
 * @param sung keys of this step so far, in order; the marked one may be the last of them
 * @param marks marks on the key being sung
 * @param approach some schools welcome a crack, and have no remedy for it
 * @returns `null` where nothing is marked, or the exercise has no word for it
 */
export function remedyFor(
  exercise: Pick<Exercise, 'watchFor' | 'cues'>,
  sung: readonly Pick<SungKey, 'marks'>[],
  marks: readonly Mark[],
  approach?: Approach,
): Offered | null {
  const now = marks.length > 0 ? [...sung, { marks }] : sung;
  const marked = now.at(-1)?.marks ?? [];
  const mark = [...marked]
    .reverse()
    .find((name) => watchedBy(name, exercise).length > 0 && (name !== 'crack' || answersCracks(exercise, approach)));
  if (!mark) return null;
  const offers = watchedBy(mark, exercise).flatMap(({ seen, remedies }) =>
    remedies.map(({ text }) => ({ seen, text })),
  );
  const tried = Math.floor((since(mark, now) - 1) / KEYS_A_REMEDY);
  return offers[Math.min(tried, offers.length - 1)] ?? null;
}
