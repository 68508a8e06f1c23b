import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ExercisesModule } from '../exercises/index.ts';
import { RoutinesModule } from '../routines/index.ts';
import { StudentsModule } from '../students/index.ts';
import { StudiosModule } from '../studios/index.ts';
import { CorrectionsService } from './corrections.service.ts';
import { HistoryService } from './history.service.ts';
import { PastRunsService } from './past-runs.service.ts';
import { ProgressService } from './progress.service.ts';
import { RunCorrection } from './run-correction.entity.ts';
import { RunKey } from './run-key.entity.ts';
import { Run } from './run.entity.ts';
import { RunsController } from './runs.controller.ts';
import { RunsService } from './runs.service.ts';
import { StopsService } from './stops.service.ts';

@Module({
  imports: [
    TypeOrmModule.forFeature([Run, RunKey, RunCorrection]),
    StudentsModule,
    RoutinesModule,
    ExercisesModule,
    StudiosModule,
  ],
  controllers: [RunsController],
  providers: [RunsService, CorrectionsService, PastRunsService, HistoryService, ProgressService, StopsService],
  exports: [RunsService, StopsService],
})
export class RunsModule {}
