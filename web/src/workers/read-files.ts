import {
  abcBook,
  abcOf,
  checkKind,
  isZip,
  midiFileOf,
  musicXmlBook,
  musicXmlOf,
  openExerciseFile,
  readAbc,
  readExercise,
  readMidiFile,
  readMusicXml,
  SoftLarkError,
  unpackMusicXml,
  type ExerciseCollection,
  type Melody,
  type ReadExercise,
  type WrittenStep,
} from '@soft-lark/core';
import type { Refused } from '../text/say.ts';

/** What a file turned out to hold, or why it cannot be read. */
export type OpenedFile =
  | { readonly kind: 'melody'; readonly melody: Melody }
  | {
      readonly kind: 'exercises';
      readonly items: readonly ReadExercise[];
      readonly collections: readonly ExerciseCollection[];
    }
  | ({ readonly kind: 'refused' } & Refused);

const TOLD_EVERY = 50;

async function openAny(bytes: Uint8Array, onProgress: (share: number) => void): Promise<OpenedFile> {
  checkKind(bytes);
  if (isZip(bytes)) return { kind: 'melody', melody: readMusicXml(unpackMusicXml(bytes)) };
  if (bytes[0] === 0x4d && bytes[1] === 0x54) return { kind: 'melody', melody: readMidiFile(bytes) };
  const text = new TextDecoder().decode(bytes);
  if (text.trimStart().startsWith('<')) return { kind: 'melody', melody: readMusicXml(text) };
  if (!/^[\s\uFEFF]*[{[]/.test(text)) return { kind: 'melody', melody: await readAbc(text) };
  const { items, collections } = openExerciseFile(text);
  const read = items.map((item, index) => {
    if (index % TOLD_EVERY === 0) onProgress(index / items.length);
    return readExercise(item, index);
  });
  return { kind: 'exercises', items: read, collections };
}

/** Reads a file of any kind there is; what it is, its first bytes say. */
export async function openBytes(bytes: Uint8Array, onProgress: (share: number) => void): Promise<OpenedFile> {
  try {
    return await openAny(bytes, onProgress);
  } catch (error) {
    if (!(error instanceof SoftLarkError)) throw error;
    // Only plain data goes from a worker to the page.
    const { code, values, message, remedy } = error;
    return { kind: 'refused', code, values, message, remedy };
  }
}

/** A melody in an open format. */
export function written(format: 'musicxml' | 'abc' | 'midi', melody: Melody): string | Uint8Array {
  if (format === 'midi') return midiFileOf(melody);
  return format === 'abc' ? abcOf(melody) : musicXmlOf(melody);
}

/** A routine written out in notes. */
export function writtenBook(format: 'musicxml' | 'abc', title: string, steps: readonly WrittenStep[]): string {
  return format === 'abc' ? abcBook(steps) : musicXmlBook(title, steps);
}
