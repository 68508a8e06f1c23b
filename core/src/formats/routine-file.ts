import { z } from 'zod';
import { ROUTINE_KINDS } from '../day/index.ts';
import { routineStepsSchema, type RoutineStep } from '../routine/index.ts';
import type { Exercise } from '../shelf/index.ts';
import { openOwnFile } from './own-file.ts';

const KIND = 'soft-lark-routine';
/** Version of the file's schema; see docs/formats.md. */
const VERSION = 1;

const envelope = z.object({
  kind: z.literal(KIND),
  version: z.int().min(1),
  name: z.string().trim().min(1).max(120),
  for: z.enum(ROUTINE_KINDS),
  minutes: z.int().min(1).max(120),
  steps: routineStepsSchema,
  exercises: z.array(z.unknown()).max(60).default([]),
});

/** A routine without the student it was made for. */
export interface RoutineFile {
  readonly name: string;
  readonly kind: (typeof ROUTINE_KINDS)[number];
  readonly minutes: number;
  readonly steps: readonly RoutineStep[];
}

/**
 * A routine as a file: its steps as they were set, and the exercises in it that do not ship. No student is named in it.
 *
 * @param own exercises the studio made
 */
export function routineFileOf({ kind, ...routine }: RoutineFile, own: readonly Exercise[]): string {
  return `${JSON.stringify({ kind: KIND, version: VERSION, ...routine, for: kind, exercises: own }, null, 2)}\n`;
}

/**
 * Reads a routine; its exercises are raw, to be read one by one as those of a shelf.
 *
 * @throws FormatError `EMPTY_FILE`, `TOO_LARGE`, `WRONG_ENCODING`, `BROKEN_FILE`, `WRONG_KIND`, `NEWER_FILE`
 */
export function openRoutineFile(text: string): RoutineFile & { readonly exercises: readonly unknown[] } {
  const { name, for: kind, minutes, steps, exercises } = openOwnFile(text, envelope, VERSION, 'a routine');
  return { name, kind, minutes, steps, exercises };
}
