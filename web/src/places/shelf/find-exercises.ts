import { OBSTACLES, STAGES, type Exercise, type Obstacle } from '@soft-lark/core';
import MiniSearch from 'minisearch';

/** What a teacher writes when something stands in the way. */
const OBSTACLE_WORDS: Readonly<Record<Obstacle, RegExp>> = {
  'cannot-trill': /\b(cannot|can't|no) (lip )?trills?\b/i,
  'no-straw': /\bno straws?\b/i,
  'thin-walls': /\b(thin walls?|quiet(ly)?|neighbours?)\b/i,
  seated: /\b(seated|sitting)\b/i,
  'video-call': /\bvideo( call)?\b/i,
  'in-the-car': /\b(in the )?car\b/i,
  'sore-lip': /\bsore lips?\b/i,
};

/** A question to the shelf: the letters left to look for, and what stands in the way. */
export interface Question {
  readonly letters: string;
  readonly obstacles: readonly Obstacle[];
}

/** Reads a question as it is typed: “hum, no straw” looks for a hum that needs none. */
export function readQuestion(text: string): Question {
  const obstacles = OBSTACLES.filter((obstacle) => OBSTACLE_WORDS[obstacle].test(text));
  const letters = obstacles.reduce((left, obstacle) => left.replace(OBSTACLE_WORDS[obstacle], ' '), text);
  return { letters: letters.replaceAll(/[,;]/g, ' ').trim(), obstacles };
}

function documentOf(exercise: Exercise): Readonly<Record<string, string>> {
  const { id, name, stage, goals, why, kit, cues, styles, work } = exercise;
  return {
    id,
    name,
    stage,
    why,
    goals: goals.join(' ').replaceAll('-', ' '),
    kit: kit.join(' '),
    styles: styles.join(' '),
    cues: cues.map(({ text }) => text).join(' '),
    sungOn: 'syllables' in work ? (work.syllables ?? '') : '',
    pattern: work.kind === 'pattern' ? work.pattern : '',
  };
}

/**
 * Makes a shelf searchable: names, syllables, goals, what it is good for; spelling is forgiven.
 *
 * @returns ids that fit some letters, best first; `null` where nothing is asked
 */
export function searchOver(exercises: readonly Exercise[]): (letters: string) => readonly string[] | null {
  const index = new MiniSearch({
    fields: ['name', 'sungOn', 'goals', 'stage', 'kit', 'styles', 'why', 'cues', 'pattern'],
    searchOptions: {
      boost: { name: 6, sungOn: 3, goals: 3, stage: 2, kit: 2 },
      prefix: true,
      fuzzy: (term) => (term.length > 2 ? 0.25 : false),
      combineWith: 'AND',
    },
  });
  index.addAll(exercises.map(documentOf));
  return (letters) => (letters === '' ? null : index.search(letters).map(({ id }) => String(id)));
}

/** The order of the shelf where nothing is asked: as the stages are sung. */
export function byStage<T extends Pick<Exercise, 'stage'>>(exercises: readonly T[]): readonly T[] {
  return [...exercises].sort((a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage));
}
