import { OBSTACLES, STAGES, type Exercise, type Obstacle } from '@soft-lark/core';
import MiniSearch from 'minisearch';
import { goalText } from '../../text/say.ts';
import { SEARCH_WORDS, type SearchWords } from './search-words.data.ts';

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

/** What teachers call it besides its own words; what it is mainly for weighs by standing twice. */
function otherWords({ id, stage, goals, grit, voices, work }: Exercise): string {
  const means = (
    { stage: of, goals: any = [], isGrit, isYoung, named }: SearchWords,
    list: readonly string[],
  ): boolean =>
    of === stage ||
    any.some((goal) => list.includes(goal)) ||
    (isGrit === true && grit) ||
    (isYoung === true && voices.includes('treble')) ||
    (named !== undefined && id.includes(named));
  const all = SEARCH_WORDS.filter((one) => means(one, goals));
  const main = SEARCH_WORDS.filter((one) => means(one, goals.slice(0, 1)));
  const sungAs = work.kind === 'pattern' ? work.marks.map(({ kind }) => `${kind} ${kind}`) : [];
  return [...all.map(({ words }) => words), ...main.map(({ words }) => words), ...sungAs].join(' ');
}

function documentOf(exercise: Exercise): Readonly<Record<string, string>> {
  const { id, name, stage, goals, why, kit, cues, styles, work } = exercise;
  return {
    id,
    name,
    stage,
    why,
    goals: goals.map(goalText).join(' '),
    kit: kit.join(' '),
    styles: styles.join(' '),
    cues: cues.map(({ text }) => text).join(' '),
    sungOn: 'syllables' in work ? (work.syllables ?? '') : '',
    pattern: work.kind === 'pattern' ? work.pattern : '',
    also: otherWords(exercise),
  };
}

/** What a teacher who knows it well calls it by: its name, and what it is sung on. */
function namesOf({ name, work }: Exercise): readonly string[] {
  const sungOn = 'syllables' in work ? (work.syllables ?? '') : '';
  return [name, sungOn].map((words) => words.replace('*', '').toLocaleLowerCase());
}

/**
 * Makes a shelf searchable: names, syllables, goals, what it is good for; spelling is forgiven.
 *
 * @returns ids that fit some letters, best first; `null` where nothing is asked
 */
export function searchOver(exercises: readonly Exercise[]): (letters: string) => readonly string[] | null {
  const index = new MiniSearch({
    fields: ['name', 'sungOn', 'goals', 'stage', 'kit', 'styles', 'why', 'cues', 'pattern', 'also'],
    searchOptions: {
      boost: { name: 6, sungOn: 3, goals: 3, stage: 2, kit: 2, also: 2, why: 0.5, cues: 0.3 },
      prefix: true,
      // A word as it is named stands above one that is only spelt alike.
      weights: { fuzzy: 0.1, prefix: 0.5 },
      fuzzy: (term) => (term.length > 2 ? 0.25 : false),
      combineWith: 'AND',
    },
  });
  index.addAll(exercises.map(documentOf));
  const named = new Map(exercises.map((exercise) => [exercise.id, namesOf(exercise)]));
  return (letters) => {
    if (letters === '') return null;
    const found = index.search(letters).map(({ id }) => String(id));
    const asked = letters.toLocaleLowerCase();
    const isExact = (id: string): boolean => named.get(id)?.includes(asked) ?? false;
    return [...found.filter(isExact), ...found.filter((id) => !isExact(id))];
  };
}

/** The order of the shelf where nothing is asked: as the stages are sung. */
export function byStage<T extends Pick<Exercise, 'stage'>>(exercises: readonly T[]): readonly T[] {
  return [...exercises].sort((a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage));
}
