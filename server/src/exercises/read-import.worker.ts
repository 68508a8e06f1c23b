import { faultOf, readExercise } from '@soft-lark/core';
import { BodyReading } from '../common/body-reading.ts';
import { fieldProblem, type FieldProblem } from '../common/problem.ts';

/** An exercise that was read: its stored body is text already, so that nobody else has to write it. */
export interface ReadBody {
  readonly id: string;
  readonly name: string;
  readonly stored: string;
}

/** An import that was read, or the first thing that is wrong with it. */
export type ReadImport =
  | { readonly head: Readonly<Record<string, unknown>>; readonly exercises: readonly ReadBody[] }
  | { readonly fault: FieldProblem };

/** House choice: ten thousand exercises of two hundred values each. */
const MOST_VALUES = 2_000_000;

function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/**
 * Reads an import from its text. Runs in a thread of its own: a shelf of thousands takes seconds, in which nobody waits.
 *
 * @param most how many exercises there may be
 */
export default function readImport({ text, most }: { readonly text: string; readonly most: number }): ReadImport {
  const body = parsed(text);
  if (!isRecord(body)) return { fault: fieldProblem('body', faultOf('no-fields')) };
  const { exercises, ...head } = body;
  if (!Array.isArray(exercises)) return { fault: fieldProblem('exercises', faultOf('no-list')) };
  if (exercises.length > most) return { fault: fieldProblem('exercises', faultOf('too-many', { count: most })) };
  const fault = new BodyReading(MOST_VALUES).fault(exercises, 'exercises');
  if (fault) return { fault };
  const read = new Map<string, ReadBody>();
  for (const [index, item] of exercises.entries()) {
    const result = readExercise(item, index);
    if (!('exercise' in result))
      return { fault: { field: `exercise.${String(index)}`, message: result.line, ...result.reason } };
    const { exercise } = result;
    if (read.has(exercise.id)) continue;
    read.set(exercise.id, { id: exercise.id, name: exercise.name, stored: JSON.stringify({ schema: 1, exercise }) });
  }
  return { head, exercises: [...read.values()] };
}
