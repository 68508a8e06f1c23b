import { markPattern, parsePattern, type Pattern } from '../pattern/index.ts';
import type { Exercise } from './exercise.schema.ts';
import type { PatternWork } from './work.schema.ts';
import { NOISES } from './noises.data.ts';

/**
 * The pattern of an exercise's work, with syllables and marks.
 *
 * @throws PatternError where the written text does not parse
 */
export function patternOfWork(work: PatternWork): Pattern {
  const known = READ.get(work);
  if (known) return known;
  const pattern = markPattern(parsePattern(work.pattern, { mode: work.mode, syllables: work.syllables }), work.marks);
  READ.set(work, pattern);
  return pattern;
}

/** What was read already: a fit asks for the same patterns hundreds of times, and neither works nor patterns change. */
const READ = new WeakMap<PatternWork, Pattern>();

/** How far the pattern of an exercise reaches, semitones; `null` for what has no pattern. */
export function spanOf({ work }: Pick<Exercise, 'work'>): number | null {
  if (work.kind !== 'pattern') return null;
  const { low, high } = patternOfWork(work);
  return high - low;
}

/** Whether an exercise is no louder than a noise. */
export function isNoLouder({ noise, work }: Pick<Exercise, 'noise' | 'work'>, than: Exercise['noise']): boolean {
  const isLoudAtTimes = work.kind === 'pattern' && work.marks.some(({ kind }) => kind === 'loud');
  return NOISES.indexOf(isLoudAtTimes ? 'loud' : noise) <= NOISES.indexOf(than);
}

/** The syllables of a pattern as they begin, those that go on left out. */
export function sungSyllables({ events }: Pick<Pattern, 'events'>): readonly string[] {
  return events.flatMap(({ syllable, continues }) => (syllable === undefined || continues ? [] : syllable));
}

/**
 * The syllables a pattern is sung on in a key: its own, or those of the key's height where it has some.
 *
 * @returns one for each sounding token, those that go on left out
 */
export function syllablesFor(work: PatternWork, zone: 'low' | 'bridge' | 'above'): readonly string[] {
  const syllables = work.syllablesAt[zone] ?? work.syllables;
  return sungSyllables(parsePattern(work.pattern, { mode: work.mode, syllables }));
}

/** Whether an exercise is for a voice of this type. */
export function isForVoice(exercise: Pick<Exercise, 'voices'>, type: Exercise['voices'][number]): boolean {
  return exercise.voices.length === 0 || exercise.voices.includes(type);
}

/** Whether an exercise is sung in keys or glides; all else has time and no pitch. */
export function isSungWork({ work }: Pick<Exercise, 'work'>): boolean {
  return work.kind === 'pattern' || work.kind === 'siren';
}
