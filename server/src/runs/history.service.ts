import { Injectable } from '@nestjs/common';
import { historyOf, type Condition, type RoutineKind, type StepResult } from '@soft-lark/core';
import { pastOccasion } from './past-occasion.ts';
import { PastRunsService, type PastRow } from './past-runs.service.ts';
import type { ExerciseRunDto, HistoryDto, LastSungDto, RunsOfExerciseDto } from './dto/history.dto.ts';

/** House choice: what was not sung for twelve weeks is new again. */
const HISTORY_DAYS = 84;

interface Row extends PastRow {
  readonly date: string;
  readonly ease: number | null;
  readonly results: readonly StepResult[] | null;
  readonly conditions: Condition[];
  readonly at_home: boolean;
  /** What the routine was for; null where it is gone. */
  readonly kind: RoutineKind | null;
}

/** The runs of a student, the oldest first; `$1` the studio, `$2` the student, `$3` its zone, `$4` since when. */
const PAST_RUNS = `
  select to_char(run.started_at at time zone $3, 'YYYY-MM-DD') as date, run.ease, run.worked_on, run.results,
         run.conditions, run.at_home, routine.kind
    from run left join routine on routine.studio_id = run.studio_id and routine.id = run.routine_id
   where run.studio_id = $1 and run.student_id = $2 and run.started_at >= $4
   order by run.started_at`;

/** How far each exercise without pitch came when it was last done. */
function lastResults(rows: readonly Row[]): StepResult[] {
  const last = new Map<string, StepResult>();
  for (const { results } of rows)
    for (const result of results ?? []) if (result.outcome !== 'passed-over') last.set(result.exerciseId, result);
  return [...last.values()];
}

/** How far each sung exercise came when it was last sung. */
function lastSung(rows: readonly Row[]): LastSungDto[] {
  const last = new Map<string, LastSungDto>();
  for (const { worked_on: workedOn } of rows)
    for (const { exerciseId, keys, highest, tempo, manners = [] } of workedOn)
      if (highest !== null && tempo !== null)
        last.set(exerciseId, { exerciseId, keys, highest, tempo, manners: [...manners] });
  return [...last.values()];
}

/** House choice: advice never looks further back than so many runs of an exercise. */
const MOST_RUNS = 8;

/** The last runs of each exercise that was sung in keys. */
function runsOf(rows: readonly Row[]): RunsOfExerciseDto[] {
  const all = new Map<string, ExerciseRunDto[]>();
  for (const { date, ease, worked_on: workedOn, conditions, at_home: atHome, kind } of rows)
    for (const { exerciseId, highest, tempo, marks } of workedOn) {
      if (highest === null || tempo === null) continue;
      const occasion = pastOccasion(atHome, kind);
      const run = { date, highest, tempo, ...(ease !== null && { ease }), marks: [...marks], conditions, occasion };
      all.set(exerciseId, [...(all.get(exerciseId) ?? []), run].slice(-MOST_RUNS));
    }
  return [...all].map(([exerciseId, runs]) => ({ exerciseId, runs }));
}

/** What past runs say of a student, for the review and the draft of the next routine. */
@Injectable()
export class HistoryService {
  constructor(private readonly past: PastRunsService) {}

  async of(studioId: string, studentId: string): Promise<HistoryDto> {
    const { rows, shelf, today } = await this.past.read<Row>(studioId, studentId, PAST_RUNS, HISTORY_DAYS);
    const runs = rows.map(({ date, ease, worked_on: exercises }) => ({ date, ease, exercises }));
    const { ease, stuck, ...figures } = historyOf(runs, shelf, today);
    return {
      ...figures,
      stuck: [...(stuck ?? [])],
      ease: [...(ease ?? [])].map(([exerciseId, value]) => ({ exerciseId, ease: value })),
      results: lastResults(rows),
      lastSung: lastSung(rows),
      runsOf: runsOf(rows),
    };
  }
}
