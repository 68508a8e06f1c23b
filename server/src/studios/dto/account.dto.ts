import { ApiProperty } from '@nestjs/swagger';
import { Formed, Text } from '../../common/index.ts';
import { EMAIL, Password } from './studios.dto.ts';

export class NewPasswordDto {
  @Text({ max: 200 })
  current!: string;

  @Password()
  next!: string;
}

export class RecoveryDto {
  @Formed(EMAIL, 'no-email', { example: 'name@example.org' })
  email!: string;

  @Text({ max: 40 })
  code!: string;

  @Password()
  password!: string;
}

export class NewEmailDto {
  @Formed(EMAIL, 'no-email', { example: 'name@example.org' })
  email!: string;

  @Text({ max: 200 })
  password!: string;
}

export class PasswordDto {
  @Text({ max: 200 })
  password!: string;
}

/** Codes that each open the account once, shown this one time. */
export class RecoveryCodesDto {
  @ApiProperty({ type: String, isArray: true })
  codes!: string[];
}

/** A session of the account that is open somewhere. */
export class OpenSessionDto {
  @ApiProperty()
  id!: string;

  /** Null for sessions opened before this was kept. */
  @ApiProperty({ type: String, format: 'date-time', nullable: true })
  openedAt!: string | null;

  @ApiProperty({ type: String, format: 'date-time', nullable: true })
  seenAt!: string | null;

  /** Program and system, such as Firefox, Linux. */
  @ApiProperty()
  device!: string;

  /** The one that asks. */
  @ApiProperty()
  isThis!: boolean;
}
