import { LOCK_LEVELS, type LockLevel } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Id, Text } from '../../common/index.ts';

export class NewLockDto {
  @Id()
  id!: string;

  @Choice(LOCK_LEVELS)
  level!: LockLevel;
}

export class LiftDto {
  @Text({ max: 400 })
  reason!: string;
}

export class LockDto extends NewLockDto {
  @ApiProperty({ format: 'date' })
  since!: string;

  @ApiProperty({ type: String, format: 'date-time', nullable: true })
  liftedAt!: string | null;

  @ApiProperty({ type: String, nullable: true })
  liftedBy!: string | null;

  @ApiProperty({ type: String, nullable: true })
  reason!: string | null;
}
