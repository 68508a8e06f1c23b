import { CHECK_WAYS } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { NoteRangeDto } from '../../students/index.ts';
import { Choice, Id, Parts, Pitch, Whole } from '../../common/index.ts';

class CheckFindingsDto extends NoteRangeDto {
  @Pitch({ optional: true })
  reachLow?: number;

  @Pitch({ optional: true })
  reachHigh?: number;

  @Pitch({ optional: true })
  speakingNote?: number;

  /** Missing notes inside the range. */
  @Parts(() => NoteRangeDto, 12)
  gaps!: NoteRangeDto[];

  @Parts(() => NoteRangeDto, 4)
  bridges!: NoteRangeDto[];

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
