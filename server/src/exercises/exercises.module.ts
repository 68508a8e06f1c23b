import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudentsModule } from '../students/index.ts';
import { Collection } from './collection.entity.ts';
import { CollectionsService } from './collections.service.ts';
import { CollectionsController, ExercisesController } from './exercises.controller.ts';
import { ExercisesService } from './exercises.service.ts';
import { ImportReader } from './import-reader.ts';
import { ImportsService } from './imports.service.ts';
import { ExerciseVersion } from './exercise-version.entity.ts';
import { OwnExercise } from './own-exercise.entity.ts';
import { ShelfImport } from './shelf-import.entity.ts';

@Module({
  imports: [TypeOrmModule.forFeature([OwnExercise, ExerciseVersion, Collection, ShelfImport]), StudentsModule],
  controllers: [ExercisesController, CollectionsController],
  providers: [ExercisesService, CollectionsService, ImportsService, ImportReader],
  exports: [ExercisesService],
})
export class ExercisesModule {}
