import { APPROACH_CHOICES } from './approach.data.ts';
import { answerTo, type Approach } from './cue-for.ts';
import type { Exercise } from './exercise.schema.ts';

type Pulling = Pick<Exercise, 'pulls'>;

/** Question and choice of a tag. */
function partsOf(pull: string): readonly [string, string] {
  const [question = '', choice = ''] = pull.split('=');
  return [question, choice];
}

/**
 * The question on which two exercises pull opposite ways.
 *
 * @returns `null` where they agree
 * @example opposedOn({ pulls: ['loudness=louder'] }, { pulls: ['loudness=softer'] }) // 'loudness'
 */
export function opposedOn(one: Pulling, other: Pulling): string | null {
  const choices = new Map(other.pulls.map(partsOf));
  const opposed = one.pulls.map(partsOf).find(([question, choice]) => (choices.get(question) ?? choice) !== choice);
  return opposed?.[0] ?? null;
}

/** The question on which an exercise pulls against the school that was chosen; `null` where there is none. */
export function againstSchool({ pulls }: Pulling, approach: Approach | undefined): string | null {
  const against = pulls
    .map(partsOf)
    .find(([question, choice]) => APPROACH_CHOICES[question] !== undefined && answerTo(approach, question) !== choice);
  return against?.[0] ?? null;
}
