import {
  CONDITIONS,
  correctedKeySchema,
  MARKS,
  plannedStepSchema,
  RUN_PLACES,
  stepResultSchema,
  stopSchema,
  sungKeySchema,
  type Condition,
  type CorrectedKey,
  type Mark,
  type PlannedStep,
  type RunPlace,
  type StepResult,
  type Stop,
  type SungKey,
} from '@soft-lark/core';
import { ApiProperty, ApiPropertyOptional, getSchemaPath } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { Choice, Choices, Id, Instant, Shapes, Text, Whole } from '../../common/index.ts';

/** House choice: what one sending may add; a page that was away sends the rest after it. */
const MOST_KEYS = 100;
/** House choice: ten hours of singing. */
const MOST_KEYS_OF_RUN = 5000;

/** A run as the page has it so far. Sent as often as it changes; keys are added, never taken away, those there need not come again. */
export class SentRunDto {
  @Id()
  studentId!: string;

  @Id({ optional: true })
  routineId?: string;

  @Text({ max: 120 })
  routineName!: string;

  @Instant()
  startedAt!: string;

  @Instant({ optional: true })
  endedAt?: string;

  @Choices(CONDITIONS)
  conditions!: Condition[];

  @Shapes('PlannedStep', plannedStepSchema, 60)
  plan!: PlannedStep[];

  @Shapes('SungKey', sungKeySchema, MOST_KEYS)
  sung!: SungKey[];

  /** How many keys came before these; none where it is left out. */
  @Whole(0, MOST_KEYS_OF_RUN, { optional: true })
  sungBefore?: number;

  @Shapes('Stop', stopSchema, 60)
  stops!: Stop[];

  /** What became of the steps without pitch. */
  @Shapes('StepResult', stepResultSchema, 60, { optional: true })
  results?: StepResult[];

  @Whole(1, 5, { optional: true })
  ease?: number;

  @Text({ min: 0, max: 2000, lines: true })
  note!: string;

  /** Grows with every change on the page; an older sending changes nothing. */
  @Whole(1, 1_000_000_000)
  revision!: number;
}

export class RunSummaryDto {
  @Id()
  id!: string;

  @Id()
  studentId!: string;

  @ApiProperty()
  studentName!: string;

  @ApiProperty({ type: String, format: 'uuid', nullable: true })
  routineId!: string | null;

  @ApiProperty()
  routineName!: string;

  @ApiProperty({ type: String, format: 'date-time' })
  startedAt!: string;

  @ApiProperty({ type: String, format: 'date-time', nullable: true })
  endedAt!: string | null;

  /** Sung by the student alone, on the link. */
  @ApiProperty()
  atHome!: boolean;

  @ApiProperty({ type: String, enum: CONDITIONS, isArray: true })
  conditions!: Condition[];

  @ApiProperty({ type: 'integer', nullable: true })
  ease!: number | null;

  @ApiProperty()
  note!: string;

  @ApiProperty({ type: 'integer' })
  plannedKeys!: number;

  @ApiProperty({ type: 'integer' })
  sungKeys!: number;

  /** Lowest and highest note really sung, MIDI; null where nothing was. */
  @ApiProperty({ type: 'integer', nullable: true })
  lowest!: number | null;

  @ApiProperty({ type: 'integer', nullable: true })
  highest!: number | null;

  @ApiProperty({ type: String, enum: MARKS, isArray: true })
  marks!: Mark[];
}

export class RunDto extends RunSummaryDto {
  @ApiProperty({ type: 'array', items: { $ref: getSchemaPath('PlannedStep') } })
  plan!: readonly PlannedStep[];

  @ApiProperty({ type: 'array', items: { $ref: getSchemaPath('SungKey') } })
  sung!: SungKey[];

  @ApiProperty({ type: 'array', items: { $ref: getSchemaPath('Stop') } })
  stops!: readonly Stop[];

  /** What became of the steps without pitch; null in runs from before that was kept. */
  @ApiProperty({ type: 'array', items: { $ref: getSchemaPath('StepResult') }, nullable: true })
  results!: readonly StepResult[] | null;

  @ApiProperty({ type: 'integer' })
  revision!: number;

  /** The latest first. */
  @ApiProperty({ type: () => [RunCorrectionDto] })
  corrections!: RunCorrectionDto[];
}

/** What a teacher corrects in a run that is over; what is left out stays. */
export class NewRunCorrectionDto {
  @Id()
  id!: string;

  @Whole(1, 5, { optional: true })
  ease?: number;

  @Text({ min: 0, max: 2000, lines: true, optional: true })
  note?: string;

  @Shapes('CorrectedKey', correctedKeySchema, MOST_KEYS_OF_RUN)
  keys!: CorrectedKey[];
}

/** A correction, with what stood there before it. */
export class RunCorrectionDto {
  @ApiProperty({ type: String, format: 'date-time' })
  madeAt!: string;

  @ApiPropertyOptional({ type: 'integer', nullable: true })
  ease?: number | null;

  @ApiPropertyOptional()
  note?: string;

  @ApiProperty({ type: 'array', items: { $ref: getSchemaPath('CorrectedKey') } })
  keys!: readonly CorrectedKey[];
}

/** Practice at home since the last lesson. */
export class PractisedDto {
  @ApiProperty({ type: 'integer' })
  times!: number;

  /** How easy the last time was, 1–5. */
  @ApiProperty({ type: 'integer', nullable: true })
  ease!: number | null;

  /** What the student wrote the last time. */
  @ApiProperty()
  note!: string;
}

/** What the runs say of a belt ceiling; whether to raise it is for the teacher to say. */
export class BeltEvidenceDto {
  /** MIDI; null for a voice that has none. */
  @ApiProperty({ type: 'integer', nullable: true })
  ceiling!: number | null;

  @ApiProperty({ type: String, format: 'date', isArray: true })
  easyDays!: string[];

  @ApiProperty({ type: String, format: 'date', isArray: true })
  hardDays!: string[];

  @ApiProperty()
  isEnough!: boolean;
}

/** What one page of the log shows. */
const MOST_RUNS = 200;

/** A page of the log: of all students or of one, the latest first. */
/** Which runs are listed, the latest first. */
export class RunPageDto {
  @Id({ optional: true })
  studentId?: string;

  /** The page goes on after this run; left out it begins with the latest. */
  @Id({ optional: true })
  olderThan?: string;

  /** Letters of the student’s or the routine’s name, or of what was noted; capitals count for nothing. */
  @Text({ max: 80, optional: true })
  words?: string;

  @Choice(MARKS, { optional: true })
  mark?: Mark;

  @Choice(RUN_PLACES, { optional: true })
  place?: RunPlace;

  @Type(() => Number)
  @Whole(1, MOST_RUNS, { optional: true })
  most: number = MOST_RUNS;
}
