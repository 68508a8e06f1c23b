import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AdviceModule } from '../advice/index.ts';
import { GateModule } from '../gate/index.ts';
import { RangeChecksModule } from '../range-checks/index.ts';
import { RoutinesModule } from '../routines/index.ts';
import { RunsModule } from '../runs/index.ts';
import { StudentsModule } from '../students/index.ts';
import { StudiosModule } from '../studios/index.ts';
import { DayCondition } from './day-condition.entity.ts';
import { Lesson } from './lesson.entity.ts';
import { LessonsController } from './lessons.controller.ts';
import { LessonsService } from './lessons.service.ts';

@Module({
  imports: [
    TypeOrmModule.forFeature([Lesson, DayCondition]),
    StudentsModule,
    RoutinesModule,
    RunsModule,
    StudiosModule,
    GateModule,
    RangeChecksModule,
    AdviceModule,
  ],
  controllers: [LessonsController],
  providers: [LessonsService],
  exports: [LessonsService],
})
export class LessonsModule {}
