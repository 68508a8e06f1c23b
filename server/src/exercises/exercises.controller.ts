import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put, Req } from '@nestjs/common';
import {
  ApiBody,
  ApiCreatedResponse,
  ApiExtraModels,
  ApiNoContentResponse,
  ApiOkResponse,
  ApiTags,
  getSchemaPath,
} from '@nestjs/swagger';
import type { Request } from 'express';
import { exerciseSchema } from '@soft-lark/core';
import { openApiOf, UnreadableDto, Who, type SignedIn } from '../common/index.ts';
import { CollectionsService } from './collections.service.ts';
import {
  ArchiveDto,
  ChangedCollectionDto,
  ChangedExerciseDto,
  CollectionDto,
  ImportDto,
  OwnMarkDto,
  ShelfImportDto,
  type ExerciseVersionView,
  type ShelfExercise,
} from './dto/exercises.dto.ts';
import { ExercisesService } from './exercises.service.ts';
import { ImportsService } from './imports.service.ts';

const SHELF_EXERCISE = openApiOf(exerciseSchema, { own: { $ref: getSchemaPath(OwnMarkDto) } });
const EXERCISE_VERSION = {
  type: 'object',
  required: ['version', 'savedAt', 'exercise'],
  properties: {
    version: { type: 'integer' },
    savedAt: { type: 'string', format: 'date-time' },
    exercise: openApiOf(exerciseSchema, {}),
  },
};

@ApiTags('exercises')
@ApiExtraModels(OwnMarkDto)
@Controller('exercises')
export class ExercisesController {
  constructor(
    private readonly exercises: ExercisesService,
    private readonly imports: ImportsService,
  ) {}

  @Get()
  @ApiOkResponse({ schema: { type: 'array', items: SHELF_EXERCISE } })
  list(@Who() { studioId }: SignedIn): Promise<ShelfExercise[]> {
    return this.exercises.list(studioId);
  }

  @Get('unreadable')
  @ApiOkResponse({ type: [UnreadableDto] })
  unreadable(@Who() { studioId }: SignedIn): Promise<UnreadableDto[]> {
    return this.exercises.unreadable(studioId);
  }

  @Get('imports')
  @ApiOkResponse({ type: [ShelfImportDto] })
  importsSoFar(@Who() { studioId }: SignedIn): Promise<ShelfImportDto[]> {
    return this.imports.list(studioId);
  }

  @Post('imports')
  @ApiBody({ type: ImportDto })
  @ApiCreatedResponse({ type: ShelfImportDto })
  take(@Who() { studioId }: SignedIn, @Req() { body }: Request): Promise<ShelfImportDto> {
    return this.imports.take(studioId, typeof body === 'string' ? body : '');
  }

  @Delete('imports/:importId')
  @ApiOkResponse({ type: ShelfImportDto })
  undo(@Who() { studioId }: SignedIn, @Param('importId', ParseUUIDPipe) id: string): Promise<ShelfImportDto> {
    return this.imports.undo(studioId, id);
  }

  @Get(':exerciseId/versions')
  @ApiOkResponse({ schema: { type: 'array', items: EXERCISE_VERSION } })
  versions(@Who() { studioId }: SignedIn, @Param('exerciseId') id: string): Promise<ExerciseVersionView[]> {
    return this.exercises.versions(studioId, id);
  }

  @Put(':exerciseId')
  @ApiOkResponse({ schema: SHELF_EXERCISE })
  change(
    @Who() { studioId }: SignedIn,
    @Param('exerciseId') id: string,
    @Body() change: ChangedExerciseDto,
  ): Promise<ShelfExercise> {
    return this.exercises.change(studioId, id, change);
  }

  @Put(':exerciseId/archive')
  @ApiOkResponse({ schema: SHELF_EXERCISE })
  archive(
    @Who() { studioId }: SignedIn,
    @Param('exerciseId') id: string,
    @Body() { isArchived }: ArchiveDto,
  ): Promise<ShelfExercise> {
    return this.exercises.archive(studioId, id, isArchived);
  }
}

@ApiTags('exercises')
@Controller('collections')
export class CollectionsController {
  constructor(private readonly collections: CollectionsService) {}

  @Get()
  @ApiOkResponse({ type: [CollectionDto] })
  list(@Who() { studioId }: SignedIn): Promise<CollectionDto[]> {
    return this.collections.list(studioId);
  }

  @Put(':collectionId')
  @ApiOkResponse({ type: CollectionDto })
  change(
    @Who() { studioId }: SignedIn,
    @Param('collectionId', ParseUUIDPipe) id: string,
    @Body() change: ChangedCollectionDto,
  ): Promise<CollectionDto> {
    return this.collections.change(studioId, id, change);
  }

  @Delete(':collectionId')
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Who() { studioId }: SignedIn, @Param('collectionId', ParseUUIDPipe) id: string): Promise<void> {
    return this.collections.remove(studioId, id);
  }
}
