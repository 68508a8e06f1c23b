import type { Melody } from '@soft-lark/core';
import { proxy, wrap } from 'comlink';
import type { FilesWorker, OpenedFile } from './files.worker.ts';

export type { OpenedFile } from './files.worker.ts';

function start(): Worker {
  return new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
}

/** A file that is being read; `stop` ends it at once. */
export interface Opening {
  readonly opened: Promise<OpenedFile>;
  readonly stop: () => void;
}

/** Reads a file beside the page; whatever it holds, the page stays free. */
export function openFile(bytes: Uint8Array, onProgress: (share: number) => void): Opening {
  const worker = start();
  const opened = wrap<FilesWorker>(worker)
    .open(bytes, proxy(onProgress))
    .finally(() => {
      worker.terminate();
    });
  return {
    opened,
    stop: () => {
      worker.terminate();
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
