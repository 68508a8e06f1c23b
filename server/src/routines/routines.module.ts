import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ExercisesModule } from '../exercises/index.ts';
import { StudentsModule } from '../students/index.ts';
import { Routine } from './routine.entity.ts';
import { RoutinesController } from './routines.controller.ts';
import { RoutinesService } from './routines.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([Routine]), StudentsModule, ExercisesModule],
  controllers: [RoutinesController],
  providers: [RoutinesService],
  exports: [RoutinesService],
})
export class RoutinesModule {}
