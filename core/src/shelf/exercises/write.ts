import type { WrittenExercise } from '../exercise.schema.ts';

type WrittenCue = NonNullable<WrittenExercise['cues']>[number];
type WrittenWatch = NonNullable<WrittenExercise['watchFor']>[number];
type WrittenRemedy = WrittenWatch['remedies'][number];

/** Short forms for the data files: a general cue is its text alone. */
export function say(...cues: readonly (string | WrittenCue)[]): WrittenCue[] {
  return cues.map((cue) => (typeof cue === 'string' ? { text: cue } : cue));
}

/** Something to watch for, its likely causes parted by semicolons, and the remedies in their order. */
export function watch(seen: string, causes: string, ...remedies: readonly WrittenRemedy[]): WrittenWatch {
  return { seen, causes: causes.split('; '), remedies: [...remedies] };
}

/** Something to watch for that a mark at the piano stands for: pressing the mark offers its remedies. */
export function on(mark: NonNullable<WrittenWatch['mark']>, written: WrittenWatch): WrittenWatch {
  return { ...written, mark };
}

const remedy =
  (kind: WrittenRemedy['kind']) =>
  (text: string): WrittenRemedy => ({ kind, text });

export const tell = remedy('cue');
export const tempo = remedy('tempo');
export const take = remedy('relative');
export const lower = remedy('lower-key');
export const rest = remedy('rest');
