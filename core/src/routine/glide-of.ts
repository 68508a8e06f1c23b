import type { SirenInput } from '../ladder/index.ts';
import type { GlideEnd, SirenWork } from '../shelf/index.ts';

/** The glides of an exercise between a floor and a ceiling, MIDI. */
export function glideOf(work: SirenWork, floor: number, ceiling: number): SirenInput {
  const noteOf = (end: GlideEnd): number => (end.from === 'note' ? end.note : floor + end.semitones);
  const { lowShare, highShare, lowEnd, highEnd, shape, mirrored, repeats, secondsEach, restSeconds } = work;
  return {
    floor,
    ceiling,
    lowShare,
    highShare,
    ...(lowEnd && { low: noteOf(lowEnd) }),
    ...(highEnd && { high: noteOf(highEnd) }),
    shape,
    ...(mirrored && { mirrored }),
    repeats,
    secondsEach,
    restSeconds,
  };
}
