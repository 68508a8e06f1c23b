import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { Clock, notFound } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import type { RemovedStudentDto, RowsOfTableDto, StudentFileDto } from './dto/student-rows.dto.ts';
import { Student } from './student.entity.ts';
import { COLUMNS_LEFT_OUT, STUDENT_TABLE_NAMES, STUDENT_TABLES } from './student-tables.data.ts';

/** Everything that is kept of one student: as a file of its own, and taken away. */
@Injectable()
export class StudentRowsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly clock: Clock,
  ) {}

  /** @throws Problem `NOT_FOUND` */
  async file(studioId: string, studentId: string): Promise<StudentFileDto> {
    return this.scope.transaction(async (manager) => {
      await this.demand(studioId, studentId, manager);
      const tables: Record<string, readonly unknown[]> = {};
      for (const table of STUDENT_TABLE_NAMES) {
        const rows = (await this.scope.query(
          studioId,
          `select to_jsonb(${table}) - $3::text[] as row from ${table}
            where studio_id = $1 and (${STUDENT_TABLES[table]})`,
          [studentId, [...COLUMNS_LEFT_OUT]],
          manager,
        )) as { row: unknown }[];
        tables[table] = rows.map(({ row }) => row);
      }
      return { kind: 'soft-lark-student', version: 1, writtenAt: this.clock.now().toISOString(), tables };
    });
  }

  /**
   * Deletes a student with all that hangs on it, and counts what went and what is left.
   *
   * @throws Problem `NOT_FOUND`
   */
  async remove(studioId: string, studentId: string): Promise<RemovedStudentDto> {
    return this.scope.transaction(async (manager) => {
      const { name } = await this.demand(studioId, studentId, manager);
      const gone = await this.count(studioId, studentId, manager);
      await this.scope.of(Student, studioId, manager).delete({ id: studentId });
      const left = await this.count(studioId, studentId, manager);
      return {
        name,
        at: this.clock.now().toISOString(),
        gone,
        left: left.reduce((sum, { count }) => sum + count, 0),
      };
    });
  }

  private async demand(studioId: string, id: string, manager: EntityManager): Promise<Student> {
    const student = await this.scope.of(Student, studioId, manager).findOneToChange({ id });
    if (!student) throw notFound('student');
    return student;
  }

  private async count(studioId: string, studentId: string, manager: EntityManager): Promise<RowsOfTableDto[]> {
    const counted: RowsOfTableDto[] = [];
    for (const table of STUDENT_TABLE_NAMES) {
      const [row] = (await this.scope.query(
        studioId,
        `select count(*)::int as count from ${table} where studio_id = $1 and (${STUDENT_TABLES[table]})`,
        [studentId],
        manager,
      )) as { count: number }[];
      if (row && row.count > 0) counted.push({ table, count: row.count });
    }
    return counted;
  }
}
