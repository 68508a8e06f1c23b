import { STAGES } from '../limits/index.ts';
import type { Exercise } from './exercise.schema.ts';
import { patternOfWork } from './pattern-of.ts';

/** What an exercise that ships has at least; a teacher's own may have less. */
const LEAST = { cues: 3, watchFor: 2, relatives: 1 };

function problemsOf(exercise: Exercise, known: ReadonlySet<string>): string[] {
  const problems = [...exercise.relatives.map(({ id }) => id), ...exercise.needs]
    .filter((id) => !known.has(id) || id === exercise.id)
    .map((id) => `${exercise.id}: there is no other exercise “${id}”.`);
  const { work, cues, watchFor, relatives, why } = exercise;
  if (cues.length < LEAST.cues || watchFor.length < LEAST.watchFor || relatives.length < LEAST.relatives || why === '')
    problems.push(`${exercise.id}: what ships has three cues, two things to watch for, a relative and a reason why.`);
  if (work.kind === 'breath' && [work.counts, work.bursts, work.longest].filter(Boolean).length !== 1) {
    problems.push(`${exercise.id}: a breath exercise has counts, bursts or as long as it lasts, one of them.`);
  }
  if (work.kind !== 'pattern') return problems;
  try {
    patternOfWork(work);
    return problems;
  } catch (cause) {
    return [...problems, `${exercise.id}: ${String(cause)}`];
  }
}

/**
 * Looks for what the schema alone cannot see: patterns that do not parse, relatives that are not there, ids used twice,
 * stages without an exercise.
 *
 * @returns one sentence a problem; none for a sound shelf
 */
export function checkShelf(exercises: readonly Exercise[]): readonly string[] {
  const ids = exercises.map(({ id }) => id);
  const known = new Set(ids);
  const twice = ids.filter((id, index) => ids.indexOf(id) !== index).map((id) => `${id} stands twice.`);
  const missing = STAGES.filter((stage) => !exercises.some((exercise) => exercise.stage === stage)).map(
    (stage) => `No exercise serves the stage “${stage}”.`,
  );
  return [...twice, ...missing, ...exercises.flatMap((exercise) => problemsOf(exercise, known))];
}
