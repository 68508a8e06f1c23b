import { ApiProperty } from '@nestjs/swagger';
import { Choice, Id, Text } from '../../common/index.ts';
import type { LockLevel } from '../voice-lock.entity.ts';

const LEVELS = ['urgent', 'not-today', 'see-someone'];

export class NewLockDto {
  @Id()
  id!: string;

  @Choice(LEVELS)
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
