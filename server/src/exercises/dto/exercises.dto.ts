import type { Exercise } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { ArrayMaxSize, IsArray, IsObject } from 'class-validator';
import { Flag, Formed, Id, Parts, refusedBy, Text, Whole } from '../../common/index.ts';

const EXERCISE_ID = /^[a-z0-9]+(-[a-z0-9]+)*$/;
/** House choice, as many as the largest shelf known has, ten times over. */
export const MOST_ITEMS = 10_000;

/** What belongs to a studio's own exercise besides the exercise itself. */
export class OwnMarkDto {
  @ApiProperty({ type: 'integer' })
  version!: number;

  @ApiProperty({ type: Boolean })
  isArchived!: boolean;

  @ApiProperty({ type: String, format: 'uuid', nullable: true })
  studentId!: string | null;
}

export class ChangedExerciseDto {
  /** Nought for a new one. */
  @Whole(0, 1_000_000_000)
  version!: number;

  /** The exercise; its schema is that of the shelf. */
  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject(refusedBy('no-fields'))
  exercise!: object;

  @Id({ optional: true })
  studentId?: string;
}

export class ArchiveDto {
  @Flag()
  isArchived!: boolean;
}

export class CollectionFieldsDto {
  @Text({ max: 80 })
  name!: string;

  @IsArray(refusedBy('no-list'))
  @ArrayMaxSize(MOST_ITEMS, refusedBy('too-many', { count: MOST_ITEMS }))
  @Formed(EXERCISE_ID, 'no-id', { each: true })
  exercises!: string[];
}

export class ChangedCollectionDto extends CollectionFieldsDto {
  @Whole(0, 1_000_000_000)
  version!: number;
}

export class CollectionDto extends CollectionFieldsDto {
  @Id()
  id!: string;

  @ApiProperty({ type: 'integer' })
  version!: number;
}

/** An import but for its exercises, which are read in a thread of their own. */
export class ImportHeadDto {
  @Id()
  id!: string;

  @Text({ max: 200 })
  name!: string;

  @Parts(() => CollectionFieldsDto, 200)
  collections!: CollectionFieldsDto[];
}

export class ImportDto extends ImportHeadDto {
  @ApiProperty({ type: 'array', items: { type: 'object', additionalProperties: true }, maxItems: MOST_ITEMS })
  exercises!: object[];
}

export class ShelfImportDto {
  @ApiProperty({ type: String, format: 'uuid' })
  id!: string;

  @ApiProperty({ type: String })
  name!: string;

  @ApiProperty({ type: 'integer' })
  items!: number;

  @ApiProperty({ type: String, format: 'date-time' })
  createdAt!: string;

  @ApiProperty({ type: Boolean })
  isUndone!: boolean;
}

/** An exercise of the studio's own as it stood once. */
export interface ExerciseVersionView {
  readonly version: number;
  readonly savedAt: string;
  readonly exercise: Exercise;
}

/** An exercise on the shelf of a studio: one that ships, or with the mark of its own. */
export type ShelfExercise = Exercise & { readonly own?: OwnMarkDto };
