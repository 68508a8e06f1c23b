import type { StepResult } from '@soft-lark/core';
import { ApiProperty, ApiPropertyOptional, getSchemaPath } from '@nestjs/swagger';

/** How easily an exercise went lately, 1–5. */
export class ExerciseEaseDto {
  @ApiProperty()
  exerciseId!: string;

  @ApiProperty()
  ease!: number;
}

/** What past runs say of a student; figures the runs do not allow yet are left out. */
export class HistoryDto {
  /** Weighted minutes of the last seven days. */
  @ApiPropertyOptional()
  weekMinutes?: number;

  /** Weighted minutes of a week, the mean of the four before. */
  @ApiPropertyOptional()
  usualWeekMinutes?: number;

  @ApiPropertyOptional({ type: 'integer' })
  daysSinceAnythingNew?: number;

  @ApiPropertyOptional({ type: 'integer' })
  daysSinceGrit?: number;

  /** Exercises that were never done well at the setting they still have. */
  @ApiProperty({ type: String, isArray: true })
  stuck!: string[];

  @ApiProperty({ type: () => ExerciseEaseDto, isArray: true })
  ease!: ExerciseEaseDto[];

  /** How far each exercise without pitch came when it was last done. */
  @ApiProperty({ type: 'array', items: { $ref: getSchemaPath('StepResult') } })
  results!: StepResult[];
}
