import { markPattern, parsePattern, type Pattern } from '../pattern/index.ts';
import type { Exercise, PatternWork } from './exercise.schema.ts';

/**
 * The pattern of an exercise's work, with syllables and marks.
 *
 * @throws PatternError where the written text does not parse
 */
export function patternOfWork(work: PatternWork): Pattern {
  return markPattern(parsePattern(work.pattern, { mode: work.mode, syllables: work.syllables }), work.marks);
}

/** Whether an exercise is for a voice of this type. */
export function isForVoice(exercise: Pick<Exercise, 'voices'>, type: Exercise['voices'][number]): boolean {
  return exercise.voices.length === 0 || exercise.voices.includes(type);
}
