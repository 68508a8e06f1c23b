import { keptVoiceSchema, type VoiceFile } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Id, Ids, Parts, Shape, Text, Whole } from '../../common/index.ts';

export class StudentFieldsDto {
  @Text({ max: 120 })
  name!: string;

  @Text({ min: 0, max: 4000, lines: true })
  note!: string;

  @Shape('VoiceFile', keptVoiceSchema)
  voice!: VoiceFile;
}

export class NewStudentDto extends StudentFieldsDto {
  @Id()
  id!: string;
}

/** A house choice: ten times the studio with the most. */
export const MOST_STUDENTS = 600;

/** Students of a table, taken in together or not at all. */
export class SeveralStudentsDto {
  @Parts(() => NewStudentDto, MOST_STUDENTS)
  students!: NewStudentDto[];
}

export class StudentIdsDto {
  @Ids(1, MOST_STUDENTS)
  ids!: string[];
}

export class TakenBackDto {
  /** How many were removed; who was changed or sang since stays. */
  @ApiProperty({ type: 'integer' })
  count!: number;
}

export class ChangedStudentDto extends StudentFieldsDto {
  @Whole(1, 1_000_000_000)
  version!: number;
}

export class StudentDto extends NewStudentDto {
  @ApiProperty({ type: 'integer' })
  version!: number;

  /** Exercises done in the last 60 days, which need no long explanation. */
  @ApiProperty({ type: String, isArray: true })
  known!: string[];
}
