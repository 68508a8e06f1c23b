import { AdvisedDto } from '../../advice/index.ts';
import { CONDITIONS, type Condition } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choices, Day, Formed, Id, Whole } from '../../common/index.ts';
import { LockDto } from '../../gate/index.ts';
import { RoutineDto } from '../../routines/index.ts';
import { PractisedDto, RunSummaryDto } from '../../runs/index.ts';
import { StudentDto } from '../../students/index.ts';

export class LessonDto {
  @Id()
  id!: string;

  @Id()
  studentId!: string;

  /** Monday is 1. */
  @Whole(1, 7)
  weekday!: number;

  @Formed(/^([01]\d|2[0-3]):[0-5]\d$/, 'no-time', { example: '15:30' })
  startsAt!: string;

  @Whole(5, 240)
  minutes!: number;
}

export class DayConditionDto {
  @Day()
  day!: string;

  @Choices(CONDITIONS)
  conditions!: Condition[];
}

export class DayRoutineDto {
  @Day()
  day!: string;

  @Id()
  routineId!: string;
}

/** A student with all that today needs. */
export class StudentTodayDto {
  @ApiProperty({ type: () => StudentDto })
  student!: StudentDto;

  @ApiProperty({ type: String, enum: CONDITIONS, isArray: true })
  conditions!: Condition[];

  /** The routine that is ready: the one chosen for the day, else the one changed last. */
  @ApiProperty({ type: () => RoutineDto, nullable: true })
  routine!: RoutineDto | null;

  @ApiProperty({ type: () => RunSummaryDto, nullable: true })
  lastRun!: RunSummaryDto | null;

  /** Null where nothing was practised since the last lesson. */
  @ApiProperty({ type: () => PractisedDto, nullable: true })
  practised!: PractisedDto | null;

  /** What the gate has locked, and nobody has lifted yet. */
  @ApiProperty({ type: () => LockDto, nullable: true })
  lock!: LockDto | null;

  /** Dizziness ended breath work for today. */
  @ApiProperty()
  breathOff!: boolean;

  /** The day of the last run, where it was stopped for pain. */
  @ApiProperty({ type: String, format: 'date', nullable: true })
  painOn!: string | null;

  /** Breath holds stay off until the teacher turns them on again. */
  @ApiProperty()
  holdsOff!: boolean;

  /** How far advice that was taken has moved the tops of exercises. */
  @ApiProperty({ type: () => AdvisedDto, isArray: true })
  advised!: AdvisedDto[];

  /** The earlier of the two range checks that say the voice is changing. */
  @ApiProperty({ type: String, format: 'date', nullable: true })
  changeSince!: string | null;

  /** Negative where the next range check is overdue; null where nothing was measured. */
  @ApiProperty({ type: 'integer', nullable: true })
  checkDueInDays!: number | null;
}

export class LessonTodayDto extends StudentTodayDto {
  @ApiProperty({ type: () => LessonDto })
  lesson!: LessonDto;
}

export class TodayDto {
  @ApiProperty({ format: 'date' })
  day!: string;

  @ApiProperty({ type: () => LessonTodayDto, isArray: true })
  lessons!: LessonTodayDto[];
}
