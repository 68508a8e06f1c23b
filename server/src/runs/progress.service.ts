import { Injectable } from '@nestjs/common';
import { progressOf, type Condition, type RoutineKind, type StepResult } from '@soft-lark/core';
import { StudioScope } from '../database/index.ts';
import { pastOccasion } from './past-occasion.ts';
import { PastRunsService, type PastRow } from './past-runs.service.ts';
import type { NoteMarksDto, ProgressDto } from './dto/progress.dto.ts';

/** House choice: twelve weeks are a term, and few enough to be seen at once. */
const PROGRESS_DAYS = 84;

interface Row extends PastRow {
  readonly date: string;
  readonly ease: number | null;
  readonly conditions: Condition[];
  readonly at_home: boolean;
  readonly lowest: number | null;
  readonly highest: number | null;
  readonly planned: number | null;
  readonly kind: RoutineKind | null;
  readonly results: readonly StepResult[] | null;
}

/** The runs of a student with how high each was meant to go; `$1` the studio, `$2` the student, `$3` its zone, `$4` since when. */
const RUNS = `
  select to_char(run.started_at at time zone $3, 'YYYY-MM-DD') as date, run.ease, run.worked_on, run.conditions, run.results,
         run.at_home, run.lowest, run.highest, routine.kind,
         (select max((key ->> 'high')::int)
            from jsonb_array_elements(run.plan -> 'steps') step, jsonb_array_elements(step -> 'keys') key) as planned
    from run left join routine on routine.studio_id = run.studio_id and routine.id = run.routine_id
   where run.studio_id = $1 and run.student_id = $2 and run.started_at >= $4
   order by run.started_at`;

/** How keys went by their highest note. */
const NOTES = `
  select run_key.high as midi, count(*)::int as keys, count(*) filter (where not run_key.marks <@ '{easy}')::int as marked
    from run join run_key on run_key.studio_id = run.studio_id and run_key.run_id = run.id
   where run.studio_id = $1 and run.student_id = $2 and run.started_at >= $3 and run_key.outcome = 'sung'
   group by 1 order by 1`;

/** What the weeks say of a student, for the pictures of progress. */
@Injectable()
export class ProgressService {
  constructor(
    private readonly scope: StudioScope,
    private readonly past: PastRunsService,
  ) {}

  async of(studioId: string, studentId: string): Promise<ProgressDto> {
    const { rows, shelf, since, today } = await this.past.read<Row>(studioId, studentId, RUNS, PROGRESS_DAYS);
    const notes = (await this.scope.query(studioId, NOTES, [studentId, since])) as NoteMarksDto[];
    const runs = rows.map(({ date, ease, worked_on: exercises, conditions, lowest, highest, ...row }) => ({
      ...{ date, ease, exercises, conditions, lowest, highest },
      ...(row.results && { results: row.results }),
      plannedHighest: row.planned,
      occasion: pastOccasion(row.at_home, row.kind),
    }));
    const { ranges, weeks, stages, stoodStill, ease, courses } = progressOf(runs, shelf, today);
    return {
      ranges: [...ranges],
      weeks: [...weeks],
      stages: [...stages],
      stoodStill: [...stoodStill],
      ease: [...ease],
      courses: courses.map((course) => ({ ...course, points: [...course.points] })),
      notes,
    };
  }
}
