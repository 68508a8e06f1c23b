import type { Statement } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';

/** A row that this version cannot read: written by a later one, or damaged. It is kept as it is; everything else stands. */
export class UnreadableDto {
  @ApiProperty()
  id!: string;

  @ApiProperty()
  name!: string;

  /** What stands in the way, by code. */
  @ApiProperty({
    type: 'object',
    properties: { code: { type: 'string' } },
    required: ['code'],
    selfRequired: true,
    additionalProperties: true,
  })
  reason!: Statement;
}
