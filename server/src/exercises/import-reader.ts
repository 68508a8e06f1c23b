import { fileURLToPath } from 'node:url';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { Problem } from '../common/index.ts';
import { MOST_ITEMS } from './dto/exercises.dto.ts';
import type { ReadImport } from './read-import.worker.ts';

/** The built worker: the tests, too, run what is built. */
const WORKER = fileURLToPath(new URL('../../dist/exercises/read-import.worker.js', import.meta.url));
const IDLE_MS = 30_000;
const LONGEST_MS = 30_000;
const MOST_WAITING = 16;

/** Reads imports beside the server, one at a time; whoever asks for anything else does not wait for them. */
@Injectable()
export class ImportReader implements OnApplicationShutdown {
  private readonly pool = new Piscina<{ text: string; most: number }, ReadImport>({
    filename: WORKER,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: 512 },
  });

  /** @throws Problem `TOO_LARGE` where the reading takes too long, `BUSY` where too many wait */
  async read(text: string): Promise<ReadImport> {
    if (this.pool.queueSize >= MOST_WAITING)
      throw new Problem(503, 'BUSY', 'Too many imports are being read just now.', { remedy: 'It is tried again.' });
    try {
      return await this.pool.run({ text, most: MOST_ITEMS }, { signal: AbortSignal.timeout(LONGEST_MS) });
    } catch (error) {
      if (!(error instanceof Error && error.name === 'AbortError')) throw error;
      throw new Problem(413, 'TOO_LARGE', 'This import takes too long to be read.', {
        remedy: 'Send less at a time.',
        values: { context: 'import' },
      });
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool.destroy();
  }
}
