import { z } from 'zod';
import { SoftLarkError, type ErrorCode } from '../errors.ts';
import { faultLine, firstFault, type FaultSentence } from '../faults.ts';
import { exerciseSchema, patternOfWork, syllablesFor, type Exercise } from '../shelf/index.ts';
import type { Statement } from '../statement.ts';
import { openOwnFile } from './own-file.ts';

const KIND = 'soft-lark-exercises';
/** Version of the file's schema; see docs/formats.md. */
const VERSION = 1;

const collection = z.strictObject({ name: z.string().min(1).max(80), exercises: z.array(z.string()) });
const envelope = z.object({
  kind: z.literal(KIND),
  version: z.int().min(1),
  exercises: z.array(z.unknown()).max(10_000),
  collections: z.array(collection).default([]),
});

export type ExerciseCollection = z.output<typeof collection>;

/** Why an exercise is not taken: a field is amiss, or its pattern cannot be read. */
export type ExerciseFault =
  FaultSentence | (Statement<'fault.pattern'> & { readonly values: { readonly why: Statement<`error.${ErrorCode}`> } });

/** One exercise of a file: read, or refused with the reason (and its English, for logs) and its place in the file. */
export type ReadExercise =
  | { readonly index: number; readonly exercise: Exercise }
  | { readonly index: number; readonly name: string; readonly reason: ExerciseFault; readonly line: string };

/** Exercises and collections as a file, in the order given. */
export function exerciseFileOf(
  exercises: readonly Exercise[],
  collections: readonly ExerciseCollection[] = [],
): string {
  return `${JSON.stringify({ kind: KIND, version: VERSION, exercises, collections }, null, 2)}\n`;
}

function nameIn(item: unknown): string {
  const name = typeof item === 'object' && item !== null && 'name' in item ? item.name : undefined;
  return typeof name === 'string' ? name.slice(0, 80) : 'without a name';
}

/**
 * Reads one exercise of a file.
 *
 * @param index its place in the file, 0 first
 */
export function readExercise(item: unknown, index: number): ReadExercise {
  const result = exerciseSchema.safeParse(item);
  if (!result.success) {
    const reason = firstFault(result.error);
    return { index, name: nameIn(item), reason, line: faultLine(reason) };
  }
  const { work } = result.data;
  if (work.kind !== 'pattern') return { index, exercise: result.data };
  try {
    patternOfWork(work);
    for (const zone of ['low', 'bridge', 'above'] as const) syllablesFor(work, zone);
    return { index, exercise: result.data };
  } catch (cause) {
    if (!(cause instanceof SoftLarkError)) throw cause;
    const { code, values, message } = cause;
    const reason = { code: 'fault.pattern', values: { why: { code: `error.${code}`, values } } } as const;
    return { index, name: result.data.name, reason, line: `The pattern: ${message}` };
  }
}

/**
 * The raw exercises of a file, to be read one after the other.
 *
 * @throws FormatError `EMPTY_FILE`, `TOO_LARGE`, `WRONG_ENCODING`, `BROKEN_FILE`, `WRONG_KIND`, `NEWER_FILE`
 */
export function openExerciseFile(text: string): {
  readonly items: readonly unknown[];
  readonly collections: readonly ExerciseCollection[];
} {
  const { exercises, collections } = openOwnFile(text, envelope, VERSION, 'exercises');
  return { items: exercises, collections };
}
