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

/**
 * The syllables a pattern is sung on in a key: its own, or those of the key's height where it has some.
 *
 * @returns one for each sounding token, those that go on left out
 */
export function syllablesFor(work: PatternWork, zone: 'low' | 'bridge' | 'above'): readonly string[] {
  const { events } = parsePattern(work.pattern, {
    mode: work.mode,
    syllables: work.syllablesAt[zone] ?? work.syllables,
  });
  return events.flatMap(({ syllable, continues }) => (syllable === undefined || continues ? [] : syllable));
}

/** Whether an exercise is for a voice of this type. */
export function isForVoice(exercise: Pick<Exercise, 'voices'>, type: Exercise['voices'][number]): boolean {
  return exercise.voices.length === 0 || exercise.voices.includes(type);
}
