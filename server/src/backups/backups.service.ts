import { Injectable } from '@nestjs/common';
import type { ReadStream } from 'node:fs';
import { DataSource } from 'typeorm';
import { Clock, notFound } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudioFileService, type StudioFileDto, type Watch } from '../studio-file/index.ts';
import { BackupFolder } from './backup-folder.ts';
import type { BackupsDto } from './dto/backups.dto.ts';

/** House choice: the hour of the studio's own night at which a backup is due. */
const NIGHT_HOUR = 3;

/** So often a backup that is being made says how far it is, and asks whether it is still wanted. */
const TELL_EACH_MS = 1000;

/** The last job for a backup of the studio `$1`; what is done or was never asked for is no row. */
const LAST_JOB = `
  select id, state::text as state, output ->> 'message' as trouble, (output ->> 'share')::float8 as share from jobs.job
   where name = 'backup' and singleton_key = $1::text order by created_on desc limit 1`;

/** Says how far the job of a backup is; no row where it was called off meanwhile. */
const TELL_SHARE = `
  with told as (
       update jobs.job set output = jsonb_build_object('share', $2::float8)
        where name = 'backup' and singleton_key = $1::text and state = 'active' returning id)
  select id from told`;

interface JobRow {
  readonly id: string;
  readonly state: string;
  readonly trouble: string | null;
  readonly share: number | null;
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
    if (!this.folder) return { isOn: false, isBeingMade: false, share: 0, trouble: null, backups: [] };
    const job = await this.lastJob(studioId);
    const backups = await this.folder.list(studioId);
    return {
      isOn: true,
      isBeingMade: job?.isUnderWay ?? false,
      share: (job?.isUnderWay && job.share) || 0,
      trouble: job?.state === 'failed' ? (job.trouble ?? '') : null,
      backups: backups.map(({ name, madeAt, bytes }) => ({ name, bytes, madeAt: madeAt.toISOString() })),
    };
  }

  /** The job of a backup that is waiting or being made; nothing where there is none. */
  async jobUnderWay(studioId: string): Promise<string | null> {
    const job = await this.lastJob(studioId);
    return job?.isUnderWay ? job.id : null;
  }

  private async lastJob(studioId: string): Promise<(JobRow & { readonly isUnderWay: boolean }) | undefined> {
    const [job] = (await this.scope.query(studioId, LAST_JOB, [])) as JobRow[];
    return job && { ...job, isUnderWay: ['created', 'retry', 'active'].includes(job.state) };
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

  /** Makes a backup now unless its job is called off, and lets go of those that are more than are kept. */
  async make(studioId: string): Promise<void> {
    const { folder } = this;
    if (!folder) return;
    const [studio] = await this.source.query<{ backups_kept: number }[]>(
      'select backups_kept from studio where id = $1',
      [studioId],
    );
    if (!studio) return;
    await this.watched(studioId, (watch) => this.write(folder, studioId, watch));
    await folder.keep(studioId, Math.max(1, studio.backups_kept));
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

  /** Does work whose job is told how far it is, and breaks it off when the job was called off, on whichever server. */
  private async watched(studioId: string, work: (watch: Watch) => Promise<unknown>): Promise<void> {
    const calledOff = new AbortController();
    let share = 0;
    const tell = async (): Promise<void> => {
      const told = (await this.scope.query(studioId, TELL_SHARE, [share])) as readonly unknown[];
      if (told.length === 0) calledOff.abort();
    };
    // A moment without the database is no reason to give up: the writing itself will say so.
    const telling = setInterval(() => void tell().catch(() => undefined), TELL_EACH_MS);
    try {
      await work({ signal: calledOff.signal, onShare: (written) => (share = written) });
    } finally {
      clearInterval(telling);
    }
  }

  private write(folder: BackupFolder, studioId: string, watch?: Watch): Promise<string> {
    return folder.write(studioId, this.clock.now(), (out) => this.files.write(studioId, out, watch));
  }
}
