import type { Exercise } from '../shelf/index.ts';
import { EFFORT, EFFORT_LOADS, LOAD_MARKS } from './load.data.ts';

/**
 * What a minute of voice with an exercise weighs.
 *
 * @example effortOf(a hum, occluded, load 1) // 0.3
 */
function effortOf({
  grit,
  register,
  work,
  stage,
  quiet,
  load,
}: Pick<Exercise, 'grit' | 'register' | 'work' | 'stage' | 'quiet' | 'load'>): number {
  if (grit) return EFFORT.grit;
  if (register === 'heavy') return EFFORT.belt;
  if (work.kind === 'spoken') return EFFORT.speech;
  if (load >= EFFORT_LOADS.loud) return EFFORT.loud;
  return stage === 'occluded' || quiet || load <= EFFORT_LOADS.gentle ? EFFORT.gentle : EFFORT.ordinary;
}

/** Weighted minutes of steps: their minutes of voice, each by its effort. */
export function weightedMinutes(
  steps: readonly { readonly exercise: Exercise; readonly voicedSeconds: number }[],
): number {
  return steps.reduce((sum, { exercise, voicedSeconds }) => sum + (voicedSeconds / 60) * effortOf(exercise), 0);
}

export type LoadMark = keyof typeof LOAD_MARKS;

/**
 * A week's load held against the usual one, both in weighted minutes.
 *
 * @param usual mean of the four weeks before, over 0
 * @example loadAgainst(70, 50) // { share: 1.4, mark: 'much' }
 */
export function loadAgainst(week: number, usual: number): { readonly share: number; readonly mark: LoadMark | null } {
  const share = week / usual;
  return { share, mark: share > LOAD_MARKS['light-day'] ? 'light-day' : share > LOAD_MARKS.much ? 'much' : null };
}
