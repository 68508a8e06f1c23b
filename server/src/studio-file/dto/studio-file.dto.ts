import { ApiProperty } from '@nestjs/swagger';
import { STUDIO_TABLES, type StudioTable } from '../studio-tables.data.ts';

/** How many of one kind are in a file, and how many are here. */
export class StudioFileCountDto {
  @ApiProperty({ enum: STUDIO_TABLES })
  table!: StudioTable;

  @ApiProperty({ type: 'integer' })
  inFile!: number;

  @ApiProperty({ type: 'integer' })
  here!: number;
}

/** What a file of a studio holds, against what is here; or what was here before it was restored. */
export class StudioFileDto {
  @ApiProperty()
  studioName!: string;

  @ApiProperty({ type: String, format: 'date-time' })
  madeAt!: string;

  /** Whether it was taken from this very studio. */
  @ApiProperty()
  isSame!: boolean;

  @ApiProperty({ type: [StudioFileCountDto] })
  counts!: StudioFileCountDto[];
}
