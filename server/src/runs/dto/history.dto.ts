import type { StepResult } from '@soft-lark/core';
import { ApiProperty, ApiPropertyOptional, getSchemaPath } from '@nestjs/swagger';

/** How easily an exercise went lately, 1–5. */
export class ExerciseEaseDto {
  @ApiProperty()
  exerciseId!: string;

  @ApiProperty()
  ease!: number;
}

/** How far an exercise that is sung in keys or glides came when it was last sung. */
export class LastSungDto {
  @ApiProperty()
  exerciseId!: string;

  @ApiProperty({ type: 'integer' })
  keys!: number;

  /** Highest note, MIDI. */
  @ApiProperty({ type: 'integer' })
  highest!: number;

  /** Beats per minute of the quickest key. */
  @ApiProperty()
  tempo!: number;

  /** Manners in which a key came without a mark. */
  @ApiProperty({ type: String, isArray: true })
  manners!: string[];
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

  /** How far each sung exercise came when it was last sung. */
  @ApiProperty({ type: () => LastSungDto, isArray: true })
  lastSung!: LastSungDto[];
}
