import { ownMarks, type Exercise, type Mark } from '@soft-lark/core';
import { text } from './i18n.ts';

/** A mark in a word; one that an exercise has of its own in the words of the exercise, where it is known. */
export function markText(mark: Mark, exercise?: Pick<Exercise, 'watchFor'>): string {
  const own = exercise && ownMarks(exercise).find((one) => one.mark === mark);
  return own ? own.seen : text.t(`piano.marks.${mark}`);
}
