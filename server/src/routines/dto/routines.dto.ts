import { ROUTINE_KINDS, routineStepSchema, type RoutineKind, type RoutineStep } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Id, Shapes, Text, Whole } from '../../common/index.ts';

export class RoutineFieldsDto {
  @Text({ max: 120 })
  name!: string;

  @Choice(ROUTINE_KINDS)
  kind!: RoutineKind;

  @Whole(1, 120)
  minutes!: number;

  @Shapes('RoutineStep', routineStepSchema, 60)
  steps!: readonly RoutineStep[];
}

export class NewRoutineDto extends RoutineFieldsDto {
  @Id()
  id!: string;

  @Id()
  studentId!: string;

  /** The group it is sung with, led by the student; left out where it is the student's own. */
  @Id({ optional: true })
  groupId?: string;
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
