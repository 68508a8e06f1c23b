import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { BackupsModule } from './backups/index.ts';
import { ClockModule, SessionGuard } from './common/index.ts';
import { AdviceModule } from './advice/index.ts';
import { DatabaseModule } from './database/index.ts';
import { DemoModule } from './demo/index.ts';
import { ExercisesModule } from './exercises/index.ts';
import { GateModule } from './gate/index.ts';
import { GroupsModule } from './groups/index.ts';
import { HealthModule } from './health/index.ts';
import { HomeModule } from './home/index.ts';
import { LessonsModule } from './lessons/index.ts';
import { MutesModule } from './mutes/index.ts';
import { RangeChecksModule } from './range-checks/index.ts';
import { RoutinesModule } from './routines/index.ts';
import { RunsModule } from './runs/index.ts';
import { SongsModule } from './songs/index.ts';
import { StudentsModule } from './students/index.ts';
import { StudioFileModule } from './studio-file/index.ts';
import { StudiosModule } from './studios/index.ts';
import { TemplatesModule } from './templates/index.ts';

@Module({})
export class AppModule {
  static at(databaseUrl: string, backupFolder?: string): DynamicModule {
    return {
      module: AppModule,
      imports: [
        ClockModule,
        DatabaseModule.at(databaseUrl),
        StudiosModule,
        StudioFileModule,
        BackupsModule.at(databaseUrl, backupFolder),
        StudentsModule,
        ExercisesModule,
        SongsModule,
        RoutinesModule,
        RunsModule,
        MutesModule,
        AdviceModule,
        TemplatesModule,
        GroupsModule,
        RangeChecksModule,
        GateModule,
        HomeModule,
        LessonsModule,
        DemoModule,
        HealthModule,
      ],
      providers: [{ provide: APP_GUARD, useClass: SessionGuard }],
    };
  }
}
