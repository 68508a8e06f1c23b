import type { Opening } from '../workers/files.ts';
import { openBytes, written, writtenBook } from '../workers/read-files.ts';

export type { OpenedFile } from '../workers/read-files.ts';

/** The worker for files, in the page. */
export function openFile(bytes: Uint8Array, onProgress: (share: number) => void): Opening {
  return { opened: openBytes(bytes, onProgress), stop: () => undefined };
}

/** Writes a melody, in the page. */
export function writeMelody(...given: Parameters<typeof written>): Promise<ReturnType<typeof written>> {
  return Promise.resolve(written(...given));
}

/** Writes a routine out in notes, in the page. */
export function writeBook(...given: Parameters<typeof writtenBook>): Promise<string> {
  return Promise.resolve(writtenBook(...given));
}
