import { ApiProperty } from '@nestjs/swagger';
import { Id, Ids, Text, Whole } from '../../common/index.ts';

/** House choice: more voices than this are a choir, which warms up together in other ways. */
const MOST_SINGERS = 12;

export class ChangedGroupDto {
  /** Nought for a new one. */
  @Whole(0, 1_000_000_000)
  version!: number;

  @Text({ max: 120 })
  name!: string;

  /** Students, each once, in the order in which octaves are chosen. */
  @Ids(1, MOST_SINGERS)
  members!: string[];
}

export class GroupDto extends ChangedGroupDto {
  @Id()
  id!: string;

  @ApiProperty({ type: 'integer' })
  declare version: number;
}
