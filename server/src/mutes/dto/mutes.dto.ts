import { MUTABLE_RULES } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Id, Text } from '../../common/index.ts';

export class NewMuteDto {
  @Id()
  id!: string;

  /** A rule of the review; those that stop are never muted. */
  @Choice(MUTABLE_RULES)
  rule!: string;

  @Text({ max: 400 })
  reason!: string;

  @Id({ optional: true })
  studentId?: string;

  @Id({ optional: true })
  routineId?: string;
}

export class MuteDto {
  @ApiProperty({ type: String, format: 'uuid' })
  id!: string;

  @ApiProperty({ type: String })
  rule!: string;

  @ApiProperty({ type: String })
  reason!: string;

  @ApiProperty({ type: String, format: 'uuid', nullable: true })
  studentId!: string | null;

  @ApiProperty({ type: String, format: 'uuid', nullable: true })
  routineId!: string | null;

  @ApiProperty({ type: String, format: 'date-time' })
  mutedAt!: string;
}
