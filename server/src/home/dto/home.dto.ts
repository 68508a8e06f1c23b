import {
  lessonSoundSchema,
  LOCK_LEVELS,
  VOICE_TYPES,
  type HomeRoutine,
  type LessonSound,
  type LockLevel,
} from '@soft-lark/core';
import { ApiProperty, OmitType } from '@nestjs/swagger';
import { Id, Shape, Whole } from '../../common/index.ts';
import { SentRunDto } from '../../runs/index.ts';

/** House choice: a term and the holidays after it. */
const MOST_WEEKS = 26;

export class NewHomeLinkDto {
  @Id()
  id!: string;

  /** How long it opens. */
  @Whole(1, MOST_WEEKS)
  weeks!: number;
}

export class HomeLinkDto {
  @Id()
  id!: string;

  @ApiProperty({ type: String, format: 'date-time' })
  createdAt!: string;

  @ApiProperty({ type: String, format: 'date-time' })
  expiresAt!: string;

  /** When it was opened last; null where nobody has. */
  @ApiProperty({ type: String, format: 'date-time', nullable: true })
  openedAt!: string | null;

  /** Whether somebody listens by it just now, in a lesson over video. */
  @ApiProperty()
  isListening!: boolean;
}

/** A link just made, with what opens it; that is told once and kept nowhere. */
export class MadeHomeLinkDto extends HomeLinkDto {
  @ApiProperty()
  token!: string;
}

/** The same routine for a usual day, and for one on which the answers ask for less. */
export class HomeChoiceDto {
  @ApiProperty({ type: 'object', additionalProperties: true })
  usual!: HomeRoutine;

  @ApiProperty({ type: 'object', additionalProperties: true })
  gentle!: HomeRoutine;
}

/** All that a link opens: routines, and what the questions before them depend on. No name, no note, no figure of the voice. */
export class HomeDto {
  @ApiProperty({ type: HomeChoiceDto, isArray: true })
  routines!: HomeChoiceDto[];

  @ApiProperty({ enum: VOICE_TYPES })
  voiceType!: (typeof VOICE_TYPES)[number];

  /** A child reads fewer words. */
  @ApiProperty()
  isChild!: boolean;

  /** What stays locked until the teacher opens it. */
  @ApiProperty({ type: String, enum: LOCK_LEVELS, nullable: true })
  lock!: LockLevel | null;

  @ApiProperty({ type: String, format: 'date-time' })
  expiresAt!: string;
}

/** What is to sound at the student’s side, where the teacher conducts over video. */
export class NewLessonSoundDto {
  @Shape('LessonSound', lessonSoundSchema)
  sound!: LessonSound;
}

/** A run from home; whose it is the link says. */
export class SentHomeRunDto extends OmitType(SentRunDto, ['studentId'] as const) {}
