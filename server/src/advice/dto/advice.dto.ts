import { ADVICE_ANSWERS, ADVISED_KINDS, ANSWERED_VERDICTS, type AdviceAnswer } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Id, Text } from '../../common/index.ts';

/** What the teacher did with one piece of advice. */
export class NewAdviceAnswerDto {
  @Id()
  id!: string;

  @Text({ max: 80 })
  exerciseId!: string;

  @Choice(ADVISED_KINDS)
  kind!: AdviceAnswer['kind'];

  @Choice(ANSWERED_VERDICTS)
  verdict!: AdviceAnswer['verdict'];

  @Choice(ADVICE_ANSWERS)
  answer!: AdviceAnswer['answer'];
}

export class AdviceAnswerDto extends NewAdviceAnswerDto {
  /** Day in the studio’s zone. */
  @ApiProperty({ type: String, format: 'date' })
  date!: string;
}
