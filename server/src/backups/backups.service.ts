import { Injectable } from '@nestjs/common';
import type { ReadStream } from 'node:fs';
import { DataSource } from 'typeorm';
import { Clock, notFound } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudioFileService, type StudioFileDto } from '../studio-file/index.ts';
import { BackupFolder } from './backup-folder.ts';
import type { BackupsDto } from './dto/backups.dto.ts';

/** House choice: the hour of the studio's own night at which a backup is due. */
const NIGHT_HOUR = 3;

/** The last job for a backup of the studio `$1`; what is done or was never asked for is no row. */
const LAST_JOB = `
  select state::text as state, output ->> 'message' as trouble from jobs.job
   where name = 'backup' and singleton_key = $1::text order by created_on desc limit 1`;

interface JobRow {
  readonly state: string;
  readonly trouble: string | null;
}

/** Backups of studios on this machine. */
@Injectable()
export class BackupsService {
  constructor(
    private readonly folder: BackupFolder | null,
    private readonly files: StudioFileService,
    private readonly scope: StudioScope,
    private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  async list(studioId: string): Promise<BackupsDto> {
    if (!this.folder) return { isOn: false, isBeingMade: false, trouble: null, backups: [] };
    const [job] = (await this.scope.query(studioId, LAST_JOB, [])) as JobRow[];
    const backups = await this.folder.list(studioId);
    return {
      isOn: true,
      isBeingMade: job !== undefined && ['created', 'retry', 'active'].includes(job.state),
      trouble: job?.state === 'failed' ? (job.trouble ?? '') : null,
      backups: backups.map(({ name, madeAt, bytes }) => ({ name, bytes, madeAt: madeAt.toISOString() })),
    };
  }

  /** Studios whose last backup is from before their last night; the demo studio is made anew anyway. */
  async due(): Promise<readonly string[]> {
    const studios = await this.source.query<{ id: string; time_zone: string }[]>(
      'select id, time_zone from studio where backups_kept > 0 and not is_demo',
    );
    const due: string[] = [];
    for (const { id, time_zone: timeZone } of studios) {
      const now = this.clock.inZone(timeZone);
      const tonight = now.startOf('day').hour(NIGHT_HOUR);
      const night = tonight.isAfter(now) ? tonight.subtract(1, 'day') : tonight;
      const [last] = (await this.folder?.list(id)) ?? [];
      if (!last || night.isAfter(last.madeAt)) due.push(id);
    }
    return due;
  }

  /** Makes a backup now, and lets go of those that are more than are kept. */
  async make(studioId: string): Promise<void> {
    if (!this.folder) return;
    const [studio] = await this.source.query<{ backups_kept: number }[]>(
      'select backups_kept from studio where id = $1',
      [studioId],
    );
    if (!studio) return;
    await this.write(this.folder, studioId);
    await this.folder.keep(studioId, Math.max(1, studio.backups_kept));
  }

  /** @throws Problem `NOT_FOUND` */
  async open(studioId: string, name: string): Promise<ReadStream> {
    const file = await this.folder?.open(studioId, name);
    if (!file) throw notFound('backup');
    return file;
  }

  async compare(studioId: string, name: string): Promise<StudioFileDto> {
    return this.files.compare(studioId, await this.open(studioId, name));
  }

  /** Puts a backup in place of what is here, which is backed up first. */
  async restore(studioId: string, name: string): Promise<StudioFileDto> {
    const file = await this.open(studioId, name);
    if (this.folder) await this.write(this.folder, studioId);
    return this.files.restore(studioId, file);
  }

  private write(folder: BackupFolder, studioId: string): Promise<string> {
    return folder.write(studioId, this.clock.now(), (out) => this.files.write(studioId, out));
  }
}
