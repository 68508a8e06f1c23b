import { ApiProperty } from '@nestjs/swagger';
import { STUDENT_TABLE_NAMES, type StudentTable } from '../student-tables.data.ts';

export class RowsOfTableDto {
  @ApiProperty({ type: String, enum: STUDENT_TABLE_NAMES })
  table!: StudentTable;

  @ApiProperty({ type: 'integer' })
  count!: number;
}

/** What went with a student, and that nothing is left. */
export class RemovedStudentDto {
  @ApiProperty({ type: String })
  name!: string;

  @ApiProperty({ type: String, format: 'date-time' })
  at!: string;

  /** Rows that went, by table; tables without any are left out. */
  @ApiProperty({ type: () => RowsOfTableDto, isArray: true })
  gone!: RowsOfTableDto[];

  /** Rows that were found by the same questions afterwards. */
  @ApiProperty({ type: 'integer' })
  left!: number;
}

/** All that a studio keeps of one student. */
export class StudentFileDto {
  @ApiProperty({ type: String, enum: ['soft-lark-student'] })
  kind!: 'soft-lark-student';

  @ApiProperty({ type: 'integer' })
  version!: 1;

  @ApiProperty({ type: String, format: 'date-time' })
  writtenAt!: string;

  /** Rows by table, as the database has them. */
  @ApiProperty({ type: 'object', additionalProperties: { type: 'array', items: { type: 'object' } } })
  tables!: Record<string, readonly unknown[]>;
}
