import { createReadStream, type ReadStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';

/** One backup of a studio. */
export interface Backup {
  readonly name: string;
  readonly madeAt: Date;
  readonly bytes: number;
}

const NAME = /^(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})Z\.softlark\.gz$/;
const UNFINISHED = '.part';

function nameAt(now: Date): string {
  return `${now.toISOString().slice(0, 19).replaceAll(':', '-')}Z.softlark.gz`;
}

function madeAtOf(name: string): Date | null {
  const parts = NAME.exec(name);
  if (!parts) return null;
  const [, day = '', hours = '', minutes = '', seconds = ''] = parts;
  return new Date(`${day}T${hours}:${minutes}:${seconds}Z`);
}

/** Backups on this machine, a folder a studio. A file has its name only once it is whole. */
export class BackupFolder {
  constructor(private readonly root: string) {}

  /** The backups of a studio, the newest first. */
  async list(studioId: string): Promise<readonly Backup[]> {
    const names = await readdir(this.of(studioId)).catch(() => []);
    const backups = await Promise.all(
      names.map(async (name): Promise<readonly Backup[]> => {
        const madeAt = madeAtOf(name);
        return madeAt ? [{ name, madeAt, bytes: (await stat(join(this.of(studioId), name))).size }] : [];
      }),
    );
    return backups.flat().sort((a, b) => b.madeAt.getTime() - a.madeAt.getTime());
  }

  /**
   * Writes a backup and gives it its name when it is whole; what was begun and broke off is removed.
   *
   * @throws what the writing threw, such as `ENOSPC`
   */
  async write(studioId: string, now: Date, write: (out: Writable) => Promise<void>): Promise<string> {
    const folder = this.of(studioId);
    await mkdir(folder, { recursive: true });
    const name = nameAt(now);
    const unfinished = join(folder, `${name}${UNFINISHED}`);
    // Opened before anything is written: a file that is still being opened would come after its own removal.
    const file = await open(unfinished, 'w');
    try {
      await write(file.createWriteStream({ flush: true }));
      await rename(unfinished, join(folder, name));
    } catch (error) {
      await rm(unfinished, { force: true });
      throw error;
    }
    return name;
  }

  /** Removes all but the newest, and what another time broke off. */
  async keep(studioId: string, count: number): Promise<void> {
    const folder = this.of(studioId);
    const backups = await this.list(studioId);
    const broken = (await readdir(folder).catch(() => [])).filter((name) => name.endsWith(UNFINISHED));
    for (const name of [...backups.slice(count).map((backup) => backup.name), ...broken])
      await rm(join(folder, name), { force: true });
  }

  /** A backup to read; nothing where there is none of that name. */
  async open(studioId: string, name: string): Promise<ReadStream | null> {
    const found = (await this.list(studioId)).find((backup) => backup.name === name);
    return found ? createReadStream(join(this.of(studioId), found.name)) : null;
  }

  private of(studioId: string): string {
    return join(this.root, studioId);
  }
}
