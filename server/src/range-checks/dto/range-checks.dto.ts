import { CHECK_WAYS, noteRangeSchema, type PitchRange } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Id, Pitch, Shapes, Whole } from '../../common/index.ts';

class CheckFindingsDto {
  @Pitch()
  low!: number;

  @Pitch()
  high!: number;

  @Pitch({ optional: true })
  reachLow?: number;

  @Pitch({ optional: true })
  reachHigh?: number;

  @Pitch({ optional: true })
  speakingNote?: number;

  /** Missing notes inside the range. */
  @Shapes('NoteRange', noteRangeSchema, 12)
  gaps!: PitchRange[];

  @Shapes('NoteRange', noteRangeSchema, 4)
  bridges!: PitchRange[];

  @Choice(CHECK_WAYS)
  way!: string;
}

/** A check the teacher has confirmed; it becomes the measured range of the voice file. */
export class ConfirmedCheckDto extends CheckFindingsDto {
  @Id()
  id!: string;

  /** Version of the student the check was made on. */
  @Whole(1, 1_000_000_000)
  version!: number;
}

export class RangeCheckDto extends CheckFindingsDto {
  @Id()
  id!: string;

  @ApiProperty({ format: 'date' })
  day!: string;
}
