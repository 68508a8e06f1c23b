import { ADVICE_ANSWERS, ADVISED_KINDS, ANSWERED_VERDICTS, MOST_MOVED, type AdviceAnswer } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Id, Text, Whole } from '../../common/index.ts';

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

  /** Semitones the top of the exercise moves by from now on; left out, it was set at the step alone. */
  @Whole(-MOST_MOVED, MOST_MOVED, { optional: true })
  movesBy?: number;
}

export class AdviceAnswerDto extends NewAdviceAnswerDto {
  /** Day in the studio’s zone. */
  @ApiProperty({ type: String, format: 'date' })
  date!: string;
}

/** How far advice that was taken has moved the top of an exercise since the last range check. */
export class AdvisedDto {
  @ApiProperty()
  exerciseId!: string;

  @ApiProperty({ type: 'integer' })
  semitones!: number;
}
