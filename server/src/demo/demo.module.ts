import { Module } from '@nestjs/common';
import { ExercisesModule } from '../exercises/index.ts';
import { GroupsModule } from '../groups/index.ts';
import { LessonsModule } from '../lessons/index.ts';
import { RangeChecksModule } from '../range-checks/index.ts';
import { RoutinesModule } from '../routines/index.ts';
import { RunsModule } from '../runs/index.ts';
import { SongsModule } from '../songs/index.ts';
import { StudentsModule } from '../students/index.ts';
import { StudiosModule } from '../studios/index.ts';
import { DemoController } from './demo.controller.ts';
import { DemoService } from './demo.service.ts';

@Module({
  imports: [
    StudiosModule,
    StudentsModule,
    LessonsModule,
    RangeChecksModule,
    RoutinesModule,
    RunsModule,
    ExercisesModule,
    SongsModule,
    GroupsModule,
  ],
  controllers: [DemoController],
  providers: [DemoService],
})
export class DemoModule {}
