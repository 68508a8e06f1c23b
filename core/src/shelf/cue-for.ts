import { APPROACH_CHOICES } from './approach.data.ts';
import type { Cue, Exercise } from './exercise.schema.ts';
import { SCHOOL_CUES } from './school-cues.data.ts';

/** A studio's answers to the questions on which schools differ; what is left out takes the default. */
export type Approach = Readonly<Record<string, string>>;

/** Where in its ladder a key stands. */
export interface CuePlace {
  readonly zone: 'low' | 'bridge' | 'above';
  readonly isTop: boolean;
  readonly isLast: boolean;
  /** Number of the key in the step, 0 first; it turns the general cues over. */
  readonly index: number;
}

/**
 * The answer to a question on which schools differ, or its default.
 *
 * @example answerTo({}, 'travel') // 'rise-and-home'
 */
export function answerTo(approach: Approach | undefined, question: string): string | undefined {
  return approach?.[question] ?? APPROACH_CHOICES[question]?.[0];
}

function agrees(cue: Cue, approach: Approach): boolean {
  if (cue.approach === undefined) return true;
  const [question = '', choice] = cue.approach.split('=');
  return answerTo(approach, question) === choice;
}

/** The cues of an exercise that agree with an approach; two that contradict each other never come together. */
export function cuesOf(exercise: Pick<Exercise, 'cues'>, approach: Approach = {}): readonly Cue[] {
  return exercise.cues.filter((cue) => agrees(cue, approach));
}

/** What the chosen school says at a stage, whatever the exercise. */
export function schoolCues({ stage }: Pick<Exercise, 'stage'>, approach: Approach = {}): readonly Cue[] {
  return SCHOOL_CUES.filter((cue) => cue.stages.has(stage) && agrees(cue, approach));
}

/**
 * What to say in this key: the cue for its place, else for its height, else a general one in turn; the exercise’s own
 * before the school’s.
 *
 * @returns an empty text where no cue fits
 */
export function cueFor(exercise: Pick<Exercise, 'cues' | 'stage'>, place: CuePlace, approach: Approach = {}): string {
  const cues = [...cuesOf(exercise, approach), ...schoolCues(exercise, approach)];
  const at = (wanted: Cue['at']): Cue | undefined => cues.find((cue) => cue.at === wanted);
  const general = cues.filter((cue) => cue.at === 'always');
  const placed = (place.isLast ? at('last') : undefined) ?? (place.isTop ? at('top') : undefined) ?? at(place.zone);
  return (placed ?? general[place.index % Math.max(1, general.length)])?.text ?? '';
}
