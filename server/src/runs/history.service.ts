import { Injectable } from '@nestjs/common';
import { historyOf, type Mark, type PastRun } from '@soft-lark/core';
import { Clock } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { ExercisesService } from '../exercises/index.ts';
import { StudentsService } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type { HistoryDto } from './dto/history.dto.ts';

/** House choice: what was not sung for twelve weeks is new again. */
const HISTORY_DAYS = 84;

interface Row {
  readonly id: string;
  readonly date: string;
  readonly ease: number | null;
  readonly exercise_id: string;
  readonly planned_seconds: number;
  readonly keys: number;
  readonly beat_seconds: number;
  readonly tempo: number | null;
  readonly highest: number | null;
  readonly marks: Mark[];
  readonly was_stopped: boolean;
}

/** One row a step of a run that was really worked on; `$1` the studio, `$2` the student, `$3` its zone, `$4` since when. */
const WORKED_ON = `
  select run.id, to_char(run.started_at at time zone $3, 'YYYY-MM-DD') as date, run.ease,
         step->>'exerciseId' as exercise_id, (step->>'seconds')::float as planned_seconds,
         keys.keys, keys.beat_seconds, keys.tempo, keys.highest, stopped.was_stopped,
         array(select distinct mark from run_key marked, unnest(marked.marks) mark
                where marked.run_id = run.id and marked.step_id = (step->>'stepId')::uuid) as marks
    from run
   cross join jsonb_array_elements(run.plan->'steps') step
   cross join lateral (
         select count(*)::int as keys, coalesce(sum(60 / key.tempo), 0)::float as beat_seconds,
                max(key.tempo) as tempo, max(key.high) as highest
           from run_key key
          where key.run_id = run.id and key.step_id = (step->>'stepId')::uuid and key.outcome = 'sung') keys
   cross join lateral (
         select exists (select 1 from jsonb_array_elements(run.stops) stop
                         where stop->>'stepId' = step->>'stepId') as was_stopped) stopped
   where run.studio_id = $1 and run.student_id = $2 and run.started_at >= $4
     and (step->>'kind' not in ('pattern', 'siren') or keys.keys > 0 or stopped.was_stopped)
   order by run.started_at`;

/** What past runs say of a student, for the review and the draft of the next routine. */
@Injectable()
export class HistoryService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly exercises: ExercisesService,
    private readonly studios: StudiosService,
    private readonly clock: Clock,
  ) {}

  async of(studioId: string, studentId: string): Promise<HistoryDto> {
    await this.students.get(studioId, studentId);
    const { timeZone } = await this.studios.settings(studioId);
    const since = new Date(this.clock.now().getTime() - HISTORY_DAYS * 86_400_000);
    const rows = (await this.scope.query(studioId, WORKED_ON, [studentId, timeZone, since])) as Row[];
    const shelf = new Map((await this.exercises.list(studioId)).map((exercise) => [exercise.id, exercise]));
    const { ease, stuck, ...figures } = historyOf(this.runsOf(rows), shelf, this.clock.today(timeZone).date);
    return {
      ...figures,
      stuck: [...(stuck ?? [])],
      ease: [...(ease ?? [])].map(([exerciseId, value]) => ({ exerciseId, ease: value })),
    };
  }

  private runsOf(rows: readonly Row[]): readonly PastRun[] {
    const ids = [...new Set(rows.map(({ id }) => id))];
    return ids.flatMap((id) => {
      const own = rows.filter((row) => row.id === id);
      const [first] = own;
      if (!first) return [];
      const exercises = own.map((row) => ({
        exerciseId: row.exercise_id,
        keys: row.keys,
        beatSeconds: row.beat_seconds,
        plannedSeconds: row.planned_seconds,
        tempo: row.tempo,
        highest: row.highest,
        marks: row.marks,
        wasStopped: row.was_stopped,
      }));
      return [{ date: first.date, ease: first.ease, exercises }];
    });
  }
}
