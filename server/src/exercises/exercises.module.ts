import { Module } from '@nestjs/common';
import { ExercisesController } from './exercises.controller.ts';
import { ExercisesService } from './exercises.service.ts';

@Module({ controllers: [ExercisesController], providers: [ExercisesService], exports: [ExercisesService] })
export class ExercisesModule {}
