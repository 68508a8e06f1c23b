import { Module, type DynamicModule } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { Clock } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudioFileModule, StudioFileService } from '../studio-file/index.ts';
import { BackupFolder } from './backup-folder.ts';
import { BackupJobs } from './backup-jobs.ts';
import { BackupsController } from './backups.controller.ts';
import { BackupsService } from './backups.service.ts';

@Module({})
export class BackupsModule {
  /** @param folder where backups are kept; without it there are none */
  static at(databaseUrl: string, folder: string | undefined): DynamicModule {
    const kept = folder === undefined ? null : new BackupFolder(folder);
    return {
      module: BackupsModule,
      imports: [StudioFileModule],
      controllers: [BackupsController],
      providers: [
        {
          provide: BackupsService,
          inject: [StudioFileService, StudioScope, DataSource, Clock],
          useFactory: (files: StudioFileService, scope: StudioScope, source: DataSource, clock: Clock) =>
            new BackupsService(kept, files, scope, source, clock),
        },
        {
          provide: BackupJobs,
          inject: [BackupsService],
          useFactory: (backups: BackupsService) => new BackupJobs({ databaseUrl, isOn: kept !== null }, backups),
        },
      ],
    };
  }
}
