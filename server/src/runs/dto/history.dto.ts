import {
  CONDITIONS,
  MARKS,
  OCCASIONS,
  type Condition,
  type Mark,
  type Occasion,
  type StepResult,
} from '@soft-lark/core';
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

/** One run of an exercise that is sung in keys, as far as advice rests on it. */
export class ExerciseRunDto {
  @ApiProperty({ type: String, format: 'date' })
  date!: string;

  /** Highest note, MIDI. */
  @ApiProperty({ type: 'integer' })
  highest!: number;

  /** Beats per minute of the quickest key. */
  @ApiProperty()
  tempo!: number;

  /** How easy the run was, 1–5. */
  @ApiPropertyOptional({ type: 'integer' })
  ease?: number;

  @ApiProperty({ type: String, enum: MARKS, isArray: true })
  marks!: Mark[];

  @ApiProperty({ type: String, enum: CONDITIONS, isArray: true })
  conditions!: Condition[];

  @ApiProperty({ type: String, enum: OCCASIONS })
  occasion!: Occasion;
}

export class RunsOfExerciseDto {
  @ApiProperty()
  exerciseId!: string;

  /** The oldest first, no more than advice looks at. */
  @ApiProperty({ type: () => ExerciseRunDto, isArray: true })
  runs!: ExerciseRunDto[];
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

  @ApiProperty({ type: () => RunsOfExerciseDto, isArray: true })
  runsOf!: RunsOfExerciseDto[];
}
