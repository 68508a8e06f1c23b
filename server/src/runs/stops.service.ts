import { Injectable } from '@nestjs/common';
import { StudioScope } from '../database/index.ts';

/** What stopped the last runs of students. */
@Injectable()
export class StopsService {
  constructor(private readonly scope: StudioScope) {}

  /** The last day on which each of these students was dizzy in a run, in the studio's zone. */
  async lastDizzy(
    studioId: string,
    students: readonly string[],
    timeZone: string,
  ): Promise<ReadonlyMap<string, string>> {
    const rows = (await this.scope.query(
      studioId,
      `select run.student_id, to_char(max(run.started_at at time zone $3), 'YYYY-MM-DD') as day
         from run
        where run.studio_id = $1 and run.student_id = any($2) and run.stops @> '[{"mark":"dizzy"}]'
        group by run.student_id`,
      [students, timeZone],
    )) as { student_id: string; day: string }[];
    return new Map(rows.map(({ student_id, day }) => [student_id, day]));
  }

  /** The day of the last run of each of these students whose last run was stopped for pain, in the studio's zone. */
  async lastPain(
    studioId: string,
    students: readonly string[],
    timeZone: string,
  ): Promise<ReadonlyMap<string, string>> {
    const rows = (await this.scope.query(
      studioId,
      `select student.id as student_id, last.stops @> '[{"mark":"pain"}]' as hurt,
              to_char(last.started_at at time zone $3, 'YYYY-MM-DD') as day
         from unnest($2::uuid[]) as student(id)
        cross join lateral (
              select stops, started_at from run
               where run.studio_id = $1 and run.student_id = student.id
               order by started_at desc, id desc limit 1) last`,
      [students, timeZone],
    )) as { student_id: string; hurt: boolean; day: string }[];
    return new Map(rows.filter(({ hurt }) => hurt).map(({ student_id, day }) => [student_id, day]));
  }
}
