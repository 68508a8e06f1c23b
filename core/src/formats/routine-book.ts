import type { LaidRoutine } from '../routine/index.ts';
import type { Melody } from '../song/index.ts';
import { abcOf } from './abc-write.ts';
import { melodyOf } from './melody.ts';
import { musicXmlOfBars } from './musicxml-write.ts';

/** A step with its tune written out in each of its keys, in the order they are sung. */
export interface WrittenStep {
  readonly name: string;
  readonly keys: readonly Melody[];
}

/** Beats between two keys on paper. */
const REST_BEATS = 2;

/** The steps of a routine that have notes; breath, timed and spoken work, glides and steps with a problem have none. */
export function writtenSteps({ steps }: LaidRoutine): readonly WrittenStep[] {
  return steps.flatMap(({ exercise, laid, problem }) =>
    problem === undefined && laid?.kind === 'pattern' && laid.ladder.rungs.length > 0
      ? [
          {
            name: exercise.name,
            keys: laid.ladder.rungs.map(({ tonic, tempo }) => melodyOf(laid.pattern, tonic, exercise.name, tempo)),
          },
        ]
      : [],
  );
}

/** The keys of a step as one tune, with rests between. */
function inOne({ name, keys }: WrittenStep): Melody {
  const [first] = keys;
  return {
    ...(first ?? { dropped: [] }),
    title: name,
    events: keys.flatMap(({ events }, index) => (index === 0 ? events : [{ beats: REST_BEATS }, ...events])),
  };
}

/** A routine as a book of ABC tunes, one a step. */
export function abcBook(steps: readonly WrittenStep[]): string {
  return steps.map((step, index) => abcOf(inOne(step), index + 1)).join('\n');
}

/** A routine as MusicXML: a bar for each key, the name of a step over its first. */
export function musicXmlBook(title: string, steps: readonly WrittenStep[]): string {
  return musicXmlOfBars(
    title,
    steps.flatMap(({ name, keys }) => keys.map((melody, index) => ({ melody, ...(index === 0 && { words: name }) }))),
  );
}
