import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ExercisesModule } from '../exercises/index.ts';
import { StudentsModule } from '../students/index.ts';
import { Routine } from './routine.entity.ts';
import { RoutineVersion } from './routine-version.entity.ts';
import { RoutineVersionsService } from './routine-versions.service.ts';
import { RoutinesController } from './routines.controller.ts';
import { RoutinesService } from './routines.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([Routine, RoutineVersion]), StudentsModule, ExercisesModule],
  controllers: [RoutinesController],
  providers: [RoutinesService, RoutineVersionsService],
  exports: [RoutinesService],
})
export class RoutinesModule {}
