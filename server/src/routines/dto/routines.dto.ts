import { ROUTINE_KINDS, TRAVELS, type RoutineKind, type Travel } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Flag, Formed, Id, Part, Parts, Pitch, Pitches, Real, Text, Whole } from '../../common/index.ts';

export class StepSettingsDto {
  @Pitch({ optional: true })
  start?: number;

  @Whole(1, 12, { optional: true })
  step?: number;

  @Whole(1, 12, { optional: true })
  returnStep?: number;

  @Choice(TRAVELS, { optional: true })
  travel?: Travel;

  @Whole(1, 48, { optional: true })
  maxKeys?: number;

  @Whole(1, 8, { optional: true })
  timesPerKey?: number;

  @Flag({ optional: true })
  touchLimit?: boolean;

  @Real(30, 240, { optional: true })
  tempo?: number;

  @Pitch({ optional: true })
  floor?: number;

  @Pitch({ optional: true })
  ceiling?: number;

  /** Tonics left out by hand. */
  @Pitches(48, { optional: true })
  struck?: readonly number[];

  /** Tonics put in by hand. */
  @Pitches(48, { optional: true })
  added?: readonly number[];

  /** The tune is kept within so many semitones. */
  @Whole(2, 36, { optional: true })
  narrowTo?: number;

  @Whole(5, 900, { optional: true })
  withinSeconds?: number;

  @Whole(5, 900, { optional: true })
  seconds?: number;

  @Whole(1, 30, { optional: true })
  repeats?: number;

  @Formed(/^[a-z]+(-[a-z]+)*$/, 'is the id of an overlay', { optional: true })
  overlay?: string;

  /** It pulls against another step on purpose. */
  @Flag({ optional: true })
  contrast?: boolean;

  /** What the teacher says at the piano. */
  @Text({ max: 240, optional: true })
  cue?: string;

  /** A note for the teacher alone. */
  @Text({ max: 2000, optional: true, lines: true })
  note?: string;
}

export class RoutineStepDto {
  @Id()
  id!: string;

  @Formed(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'is the id of an exercise')
  exerciseId!: string;

  @Part(() => StepSettingsDto)
  settings!: StepSettingsDto;

  /** Stays as it is when the routine is drafted again or fitted. */
  @Flag({ optional: true })
  locked?: boolean;

  /** The block it belongs to. */
  @Text({ max: 60, optional: true })
  block?: string;
}

export class RoutineFieldsDto {
  @Text({ max: 120 })
  name!: string;

  @Choice(ROUTINE_KINDS)
  kind!: RoutineKind;

  @Whole(1, 120)
  minutes!: number;

  @Parts(() => RoutineStepDto, 60)
  steps!: RoutineStepDto[];
}

export class NewRoutineDto extends RoutineFieldsDto {
  @Id()
  id!: string;

  @Id()
  studentId!: string;
}

export class ChangedRoutineDto extends RoutineFieldsDto {
  @Whole(1, 1_000_000_000)
  version!: number;
}

export class RoutineDto extends NewRoutineDto {
  @ApiProperty({ type: 'integer' })
  version!: number;

  @ApiProperty({ type: String, format: 'date-time' })
  updatedAt!: string;
}

/** A routine as it stood after one sitting of changes. */
export class RoutineVersionDto extends RoutineFieldsDto {
  @ApiProperty({ type: 'integer' })
  version!: number;

  @ApiProperty({ type: String, format: 'date-time' })
  savedAt!: string;

  /** Who saved it, where it is known. */
  @ApiProperty({ type: String, nullable: true })
  savedBy!: string | null;
}
