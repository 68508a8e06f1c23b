import {
  approachSchema,
  CLOCK_HOURS,
  type ClockHours,
  MOST_OWN_OVERLAYS,
  ownOverlaySchema,
  type OwnOverlay,
  KEY_SPELLINGS,
  MOST_READY_QUESTIONS,
  NOTE_SCHEMES,
  ruleChangesSchema,
  type KeySpelling,
  type NoteScheme,
  type RuleChanges,
} from '@soft-lark/core';
import { applyDecorators } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { ValidateBy } from 'class-validator';
import { Choice, Formed, Part, Parts, refusedBy, Shape, Shapes, Text, Whole } from '../../common/index.ts';
import { isCommonPassword } from '../common-passwords.ts';

export const EMAIL = /^[^\s@]{1,64}@[^\s@]{1,180}\.[^\s@]{2,24}$/;

/** A new password: long enough, and not one that is tried first. */
export const Password = (): PropertyDecorator =>
  applyDecorators(
    Text({ min: 10, max: 200 }),
    ValidateBy(
      {
        name: 'uncommon',
        validator: { validate: (word: unknown) => !(typeof word === 'string' && isCommonPassword(word)) },
      },
      refusedBy('common-password'),
    ),
  );

export class SignInDto {
  @Formed(EMAIL, 'no-email', { example: 'name@example.org' })
  email!: string;

  @Text({ max: 200 })
  password!: string;
}

export class SignUpDto {
  @Text({ max: 120 })
  studioName!: string;

  @Text({ max: 120 })
  name!: string;

  @Formed(EMAIL, 'no-email', { example: 'name@example.org' })
  email!: string;

  @Password()
  password!: string;

  @Text({ max: 64 })
  timeZone!: string;
}

/** How the studio names notes. */
class NoteNamingDto {
  @Choice(NOTE_SCHEMES)
  scheme!: NoteScheme;

  @Choice(KEY_SPELLINGS)
  spelling!: KeySpelling;

  /** The number of middle C in fixed-do: three or four. */
  @Whole(3, 4)
  middleDo!: number;
}

/** A question asked before the cool-down, and what a no asks for. */
class ReadyQuestionDto {
  @Text({ max: 120 })
  text!: string;

  @Formed(/^[a-z]+(-[a-z]+)*$/, 'not-on-the-shelf')
  goal!: string;
}

/** What a studio has settled for every page. */
class StudioAnswersDto {
  @Text({ max: 64 })
  timeZone!: string;

  @Shape('Approach', approachSchema)
  approach!: Record<string, string>;

  @Shape('RuleChanges', ruleChangesSchema)
  rules!: RuleChanges;

  @Part(() => NoteNamingDto)
  noteNaming!: NoteNamingDto;

  @Parts(() => ReadyQuestionDto, MOST_READY_QUESTIONS)
  readyQuestions!: ReadyQuestionDto[];

  @Shapes('OwnOverlay', ownOverlaySchema, MOST_OWN_OVERLAYS)
  ownOverlays!: OwnOverlay[];

  @Choice(CLOCK_HOURS)
  clock!: ClockHours;

  /** Minutes of a warm-up where nothing else is said. */
  @Whole(3, 60)
  usualMinutes!: number;

  /** Nightly backups that are kept on the server’s machine; 0 makes none. */
  @Whole(0, 60)
  backupsKept!: number;
}

/** The studio's own settings. */
export class StudioDto extends StudioAnswersDto {
  @Text({ max: 120 })
  name!: string;

  @Whole(1, 1_000_000_000)
  version!: number;
}

/** Who is signed in, and the studio. */
export class SessionDto extends StudioAnswersDto {
  @ApiProperty({ type: String, format: 'uuid' })
  studioId!: string;

  /** Of whoever is signed in. */
  @ApiProperty()
  name!: string;

  @ApiProperty()
  email!: string;

  @ApiProperty()
  studioName!: string;

  @ApiProperty()
  isDemo!: boolean;

  /** The instant that stands in for now, where one was fixed. */
  @ApiProperty({ type: String, format: 'date-time', nullable: true })
  fixedNow!: string | null;

  /** Today in the studio's time zone. */
  @ApiProperty({ format: 'date' })
  today!: string;
}

/** Who is signed in, with codes that each open the account once, shown this one time. */
export class SessionWithCodesDto extends SessionDto {
  @ApiProperty({ type: String, isArray: true })
  codes!: string[];
}
