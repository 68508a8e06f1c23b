import { keptVoiceSchema, type VoiceFile } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Id, Shape, Text, Whole } from '../../common/index.ts';

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
