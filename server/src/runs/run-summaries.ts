import type { Condition, Mark } from '@soft-lark/core';
import type { RunSummaryDto } from './dto/runs.dto.ts';

/** A run as the database sums it up. */
export interface SummaryRow {
  readonly id: string;
  readonly student_id: string;
  readonly student_name: string;
  readonly routine_id: string | null;
  readonly routine_name: string;
  readonly started_at: Date;
  readonly ended_at: Date | null;
  readonly at_home: boolean;
  readonly conditions: Condition[];
  readonly ease: number | null;
  readonly note: string;
  readonly planned_keys: number;
  readonly sung_keys: number;
  readonly lowest: number | null;
  readonly highest: number | null;
  readonly marks: Mark[];
}

/** The columns of a `SummaryRow`. */
const SUMMED_UP = `
         run.id, run.student_id, student.name as student_name, run.routine_id, run.routine_name, run.started_at,
         run.ended_at, run.at_home, run.conditions, run.ease, run.note, run.planned_keys, run.sung_keys, run.lowest, run.highest, run.marks`;

/** One row a run; `$1` is the studio. */
export const SUMMARY = `
  select ${SUMMED_UP}
    from run join student on student.studio_id = run.studio_id and student.id = run.student_id
   where run.studio_id = $1`;

/** The last run of each student in a lesson; `$1` is the studio, `$2` these students or null for all, `$3` only runs that ended. */
export const LAST_OF_EACH = `
  select ${SUMMED_UP}
    from student
   cross join lateral (
         select * from run
          where run.studio_id = student.studio_id and run.student_id = student.id and not run.at_home and (not $3 or run.ended_at is not null)
          order by run.started_at desc, run.id desc limit 1) run
   where student.studio_id = $1 and ($2::uuid[] is null or student.id = any($2))`;

export function summaryView(row: SummaryRow): RunSummaryDto {
  return {
    id: row.id,
    studentId: row.student_id,
    studentName: row.student_name,
    routineId: row.routine_id,
    routineName: row.routine_name,
    startedAt: row.started_at.toISOString(),
    endedAt: row.ended_at?.toISOString() ?? null,
    atHome: row.at_home,
    conditions: row.conditions,
    ease: row.ease,
    note: row.note,
    plannedKeys: row.planned_keys,
    sungKeys: row.sung_keys,
    lowest: row.lowest,
    highest: row.highest,
    marks: row.marks,
  };
}
