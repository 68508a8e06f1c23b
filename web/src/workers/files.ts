import type { Melody, WrittenStep } from '@soft-lark/core';
import { proxy, wrap } from 'comlink';
import type { FilesWorker } from './files.worker.ts';
import type { OpenedFile } from './read-files.ts';

export type { OpenedFile } from './read-files.ts';

function start(): Worker {
  return new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
}

/** A file that is being read; `stop` ends it at once, and `opened` is then null. */
export interface Opening {
  readonly opened: Promise<OpenedFile | 'too-slow' | null>;
  readonly stop: () => void;
}

/** House choice: what is not read by then is no tune and no shelf. */
const LONGEST_MS = 20_000;

/** Reads a file beside the page; whatever it holds, the page stays free. */
export function openFile(bytes: Uint8Array, onProgress: (share: number) => void): Opening {
  const worker = start();
  let end: (answer: 'too-slow' | null) => void = () => undefined;
  const ended = new Promise<'too-slow' | null>((resolve) => {
    end = resolve;
  });
  const timer = setTimeout(() => {
    end('too-slow');
  }, LONGEST_MS);
  const opened = Promise.race([wrap<FilesWorker>(worker).open(bytes, proxy(onProgress)), ended]).finally(() => {
    clearTimeout(timer);
    worker.terminate();
  });
  return {
    opened,
    stop: () => {
      end(null);
    },
  };
}

/** Writes a melody in an open format, beside the page. */
export async function writeMelody(format: 'musicxml' | 'abc' | 'midi', melody: Melody): Promise<string | Uint8Array> {
  const worker = start();
  try {
    return await wrap<FilesWorker>(worker).write(format, melody);
  } finally {
    worker.terminate();
  }
}

/** Writes a routine out in notes, beside the page. */
export async function writeBook(
  format: 'musicxml' | 'abc',
  title: string,
  steps: readonly WrittenStep[],
): Promise<string> {
  const worker = start();
  try {
    return await wrap<FilesWorker>(worker).book(format, title, steps);
  } finally {
    worker.terminate();
  }
}
