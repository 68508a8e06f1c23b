import { ApiProperty } from '@nestjs/swagger';
import { Formed, Text } from '../../common/index.ts';

const EMAIL = /^[^\s@]{1,64}@[^\s@]{1,180}\.[^\s@]{2,24}$/;

export class SignInDto {
  @Formed(EMAIL, 'is an e-mail address', { example: 'name@example.org' })
  email!: string;

  @Text({ max: 200 })
  password!: string;
}

export class SignUpDto {
  @Text({ max: 120 })
  studioName!: string;

  @Text({ max: 120 })
  name!: string;

  @Formed(EMAIL, 'is an e-mail address', { example: 'name@example.org' })
  email!: string;

  @Text({ min: 10, max: 200 })
  password!: string;

  @Text({ max: 64 })
  timeZone!: string;
}

/** Who is signed in, and the studio. */
export class SessionDto {
  @ApiProperty()
  name!: string;

  @ApiProperty()
  studioName!: string;

  @ApiProperty()
  timeZone!: string;

  @ApiProperty()
  isDemo!: boolean;

  @ApiProperty({ type: Object, additionalProperties: { type: 'string' } })
  approach!: Record<string, string>;

  /** The instant that stands in for now, where one was fixed. */
  @ApiProperty({ type: String, format: 'date-time', nullable: true })
  fixedNow!: string | null;

  /** Today in the studio's time zone. */
  @ApiProperty({ format: 'date' })
  today!: string;
}
