import { Controller, Get, Header } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { exerciseSchema, type Exercise } from '@soft-lark/core';
import { exerciseOpenApi } from './exercise.openapi.ts';
import { ExercisesService } from './exercises.service.ts';

@ApiTags('exercises')
@Controller('exercises')
export class ExercisesController {
  constructor(private readonly exercises: ExercisesService) {}

  @Get()
  @Header('Cache-Control', 'private, max-age=300')
  @ApiOkResponse({ schema: { type: 'array', items: exerciseOpenApi(exerciseSchema) } })
  list(): readonly Exercise[] {
    return this.exercises.list();
  }
}
