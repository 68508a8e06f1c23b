import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AdviceModule } from '../advice/index.ts';
import { ExercisesModule } from '../exercises/index.ts';
import { GateModule } from '../gate/index.ts';
import { RoutinesModule } from '../routines/index.ts';
import { RunsModule } from '../runs/index.ts';
import { StudentsModule } from '../students/index.ts';
import { StudiosModule } from '../studios/index.ts';
import { HomeLink } from './home-link.entity.ts';
import { HomeLinksService } from './home-links.service.ts';
import { HomeController, HomeLinksController, LessonSoundsController } from './home.controller.ts';
import { HomeService } from './home.service.ts';
import { LessonSoundsService } from './lesson-sounds.service.ts';

@Module({
  imports: [
    TypeOrmModule.forFeature([HomeLink]),
    StudentsModule,
    StudiosModule,
    RoutinesModule,
    ExercisesModule,
    GateModule,
    RunsModule,
    AdviceModule,
  ],
  controllers: [HomeLinksController, HomeController, LessonSoundsController],
  providers: [HomeLinksService, HomeService, LessonSoundsService],
})
export class HomeModule {}
