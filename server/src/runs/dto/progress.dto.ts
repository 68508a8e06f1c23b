import { COURSE_FIGURES, LOAD_MARKS, STAGES, type LoadMark, type Stage } from '@soft-lark/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';

export class RangePointDto {
  @ApiProperty({ type: String, format: 'date' })
  date!: string;

  /** MIDI. */
  @ApiProperty({ type: 'integer' })
  lowest!: number;

  @ApiProperty({ type: 'integer' })
  highest!: number;

  @ApiProperty({ type: 'integer', nullable: true })
  plannedHighest!: number | null;

  /** Neither a performance nor a day of recovering. */
  @ApiProperty()
  isOrdinary!: boolean;
}

export class WeekLoadDto {
  /** A Monday. */
  @ApiProperty({ type: String, format: 'date' })
  from!: string;

  /** Weighted minutes. */
  @ApiProperty()
  minutes!: number;

  /** The mean of the four weeks before; left out where they were not all known. */
  @ApiPropertyOptional()
  usual?: number;

  @ApiProperty({ enum: Object.keys(LOAD_MARKS), type: String, nullable: true })
  mark!: LoadMark | null;
}

export class StageMinutesDto {
  @ApiProperty({ enum: STAGES })
  stage!: Stage;

  @ApiProperty()
  minutes!: number;
}

export class StoodStillDto {
  @ApiProperty()
  exerciseId!: string;

  @ApiProperty({ type: String, format: 'date' })
  since!: string;

  @ApiProperty({ type: 'integer' })
  runs!: number;
}

/** How keys went whose highest note this was. */
export class NoteMarksDto {
  @ApiProperty({ type: 'integer' })
  midi!: number;

  @ApiProperty({ type: 'integer' })
  keys!: number;

  /** Those with a mark that is not *easy*. */
  @ApiProperty({ type: 'integer' })
  marked!: number;
}

export class EasePointDto {
  @ApiProperty({ type: String, format: 'date' })
  date!: string;

  /** 1–5. */
  @ApiProperty({ type: 'integer' })
  ease!: number;

  /** Neither a performance nor a day of recovering. */
  @ApiProperty()
  isOrdinary!: boolean;
}

export class CoursePointDto {
  @ApiProperty({ type: String, format: 'date' })
  date!: string;

  @ApiProperty()
  value!: number;
}

/** One figure of one exercise over the weeks. */
export class ExerciseCourseDto {
  @ApiProperty()
  exerciseId!: string;

  /** Beats a minute; or counts of one way out, seconds of the longest breath. */
  @ApiProperty({ enum: COURSE_FIGURES })
  figure!: (typeof COURSE_FIGURES)[number];

  @ApiProperty({ type: [CoursePointDto] })
  points!: CoursePointDto[];
}

/** What the last twelve weeks say of a student. */
export class ProgressDto {
  @ApiProperty({ type: [RangePointDto] })
  ranges!: RangePointDto[];

  @ApiProperty({ type: [WeekLoadDto] })
  weeks!: WeekLoadDto[];

  @ApiProperty({ type: [StageMinutesDto] })
  stages!: StageMinutesDto[];

  @ApiProperty({ type: [StoodStillDto] })
  stoodStill!: StoodStillDto[];

  @ApiProperty({ type: [NoteMarksDto] })
  notes!: NoteMarksDto[];

  @ApiProperty({ type: [EasePointDto] })
  ease!: EasePointDto[];

  @ApiProperty({ type: [ExerciseCourseDto] })
  courses!: ExerciseCourseDto[];
}
