import { Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import PgBoss from 'pg-boss';
import { BackupsService } from './backups.service.ts';

const BACKUP = 'backup';
const NIGHTLY = 'nightly-backups';
/** Every hour: whoever was switched off at night is looked at when it is on again. */
const HOURLY = '7 * * * *';
/** A job whose server was killed is taken up again after so long. */
const EXPIRE_IN_MINUTES = 5;
const RETRIES = 3;

interface BackupJob {
  readonly studioId: string;
}

/** Where jobs are kept, and whether this server does any. */
export interface JobSettings {
  readonly databaseUrl: string;
  readonly isOn: boolean;
}

/** Jobs of backups, on a queue in the same database: they outlive a server that is killed, and several servers share them. */
@Injectable()
export class BackupJobs implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly log = new Logger('backups');
  private boss: PgBoss | null = null;

  constructor(
    private readonly settings: JobSettings,
    private readonly backups: BackupsService,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    const { databaseUrl: connectionString, isOn } = this.settings;
    if (!isOn) return;
    const boss = new PgBoss({ connectionString, schema: 'jobs', max: 2, application_name: 'soft-lark-jobs' });
    boss.on('error', ({ message }) => {
      this.log.warn(message);
    });
    await boss.start();
    await boss.createQueue(BACKUP, {
      name: BACKUP,
      policy: 'stately',
      retryLimit: RETRIES,
      retryBackoff: true,
      expireInMinutes: EXPIRE_IN_MINUTES,
    });
    await boss.createQueue(NIGHTLY, { name: NIGHTLY, policy: 'short' });
    await boss.work<BackupJob>(BACKUP, async (jobs) => {
      for (const { data } of jobs) await this.backups.make(data.studioId);
    });
    await boss.work(NIGHTLY, async () => {
      for (const studioId of await this.backups.due()) await this.ask(studioId);
    });
    await boss.schedule(NIGHTLY, HOURLY);
    this.boss = boss;
    await boss.send(NIGHTLY, {});
  }

  async onApplicationShutdown(): Promise<void> {
    await this.boss?.stop({ graceful: true, timeout: 2000 });
  }

  /** Asks for a backup of a studio; one that is waiting or being made is enough. */
  async ask(studioId: string): Promise<void> {
    await this.boss?.send(BACKUP, { studioId } satisfies BackupJob, { singletonKey: studioId });
  }

  /** Calls off a backup that is waiting or being made; whichever server makes it notices within a second. */
  async callOff(studioId: string): Promise<void> {
    const id = await this.backups.jobUnderWay(studioId);
    if (id !== null) await this.boss?.cancel(BACKUP, id);
  }
}
