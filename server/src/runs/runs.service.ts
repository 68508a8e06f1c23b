import { Injectable } from '@nestjs/common';
import {
  beltEvidence,
  beltTopOf,
  changeRules,
  voiceOf,
  type BeltKey,
  type Condition,
  type Mark,
} from '@soft-lark/core';
import type { EntityManager } from 'typeorm';
import { notFound, Problem } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { ExercisesService } from '../exercises/index.ts';
import { RoutinesService } from '../routines/index.ts';
import { StudentsService } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type { BeltEvidenceDto, RunDto, RunPageDto, RunSummaryDto, SentRunDto, SungKeyDto } from './dto/runs.dto.ts';
import { RunKey } from './run-key.entity.ts';
import { Run } from './run.entity.ts';

interface SummaryRow {
  readonly id: string;
  readonly student_id: string;
  readonly student_name: string;
  readonly routine_id: string | null;
  readonly routine_name: string;
  readonly started_at: Date;
  readonly ended_at: Date | null;
  readonly conditions: Condition[];
  readonly ease: number | null;
  readonly note: string;
  readonly planned_keys: number;
  readonly sung_keys: number;
  readonly lowest: number | null;
  readonly highest: number | null;
  readonly marks: Mark[] | null;
}

/** One row a run, its keys summed up; `$1` is the studio. */
const SUMMARY = `
  select run.id, run.student_id, student.name as student_name, run.routine_id, run.routine_name, run.started_at, run.ended_at,
         run.conditions, run.ease, run.note,
         (select coalesce(sum(jsonb_array_length(step->'keys')), 0)::int from jsonb_array_elements(run.plan->'steps') step) as planned_keys,
         keys.sung_keys, keys.lowest, keys.highest, keys.marks
    from run
    join student on student.id = run.student_id
   cross join lateral (
         select count(*) filter (where key.outcome = 'sung')::int as sung_keys,
                min(key.low) filter (where key.outcome = 'sung') as lowest,
                max(key.high) filter (where key.outcome = 'sung') as highest,
                (select array_agg(distinct mark order by mark) from run_key marked, unnest(marked.marks) mark where marked.run_id = run.id) as marks
           from run_key key where key.run_id = run.id) keys
   where run.studio_id = $1`;

@Injectable()
export class RunsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly routines: RoutinesService,
    private readonly exercises: ExercisesService,
    private readonly studios: StudiosService,
  ) {}

  /** A page of the log, the latest run first. A run that is not there any more has nothing after it. */
  async list(studioId: string, { studentId, olderThan, most }: RunPageDto): Promise<RunSummaryDto[]> {
    return this.summaries(
      studioId,
      `and ($2::uuid is null or run.student_id = $2)
       and ($3::uuid is null or (run.started_at, run.id) <
            (select last.started_at, last.id from run last where last.studio_id = $1 and last.id = $3))
     order by run.started_at desc, run.id desc limit $4`,
      [studentId ?? null, olderThan ?? null, most],
    );
  }

  /** The last run of every student. */
  async lastOfEach(studioId: string, { ended = false } = {}): Promise<RunSummaryDto[]> {
    const last = `select distinct on (student_id) id from run where studio_id = $1 ${ended ? 'and ended_at is not null' : ''} order by student_id, started_at desc`;
    return this.summaries(studioId, `and run.id in (${last})`);
  }

  /** What the runs of a student say of the belt ceiling. */
  async beltEvidence(studioId: string, studentId: string): Promise<BeltEvidenceDto> {
    const { voice } = await this.students.get(studioId, studentId);
    const { timeZone, rules } = await this.studios.settings(studioId);
    const table = changeRules(voice.rules ?? {}, 'this student', changeRules(rules, 'the studio'));
    const ceiling = beltTopOf(voiceOf(voice), table)?.note ?? null;
    if (ceiling === null) return { ceiling, easyDays: [], hardDays: [], isEnough: false };
    const keys = (await this.scope.query(
      studioId,
      `select to_char(run.started_at at time zone $3, 'YYYY-MM-DD') as day, key.high, key.marks
         from run_key key join run on run.id = key.run_id
        where key.studio_id = $1 and run.student_id = $2 and key.outcome = 'sung' and key.exercise_id = any($4)`,
      [studentId, timeZone, await this.exercises.idsInRegister(studioId, 'heavy')],
    )) as BeltKey[];
    const { easyDays, hardDays, isEnough } = beltEvidence(keys, ceiling);
    return { ceiling, easyDays: [...easyDays], hardDays: [...hardDays], isEnough };
  }

  /** The last day on which each student was dizzy in a run, in the studio's zone. */
  async lastDizzy(studioId: string, timeZone: string): Promise<ReadonlyMap<string, string>> {
    const rows = (await this.scope.query(
      studioId,
      `select run.student_id, to_char(max(run.started_at at time zone $2), 'YYYY-MM-DD') as day
         from run
        where run.studio_id = $1 and run.stops @> '[{"mark":"dizzy"}]' group by run.student_id`,
      [timeZone],
    )) as { student_id: string; day: string }[];
    return new Map(rows.map(({ student_id, day }) => [student_id, day]));
  }

  async get(studioId: string, id: string): Promise<RunDto> {
    const [[summary], run, keys] = await Promise.all([
      this.summaries(studioId, 'and run.id = $2', [id]),
      this.scope.of(Run, studioId).findOne({ id }),
      this.scope.of(RunKey, studioId).find({ where: { runId: id }, order: { position: 'ASC' } }),
    ]);
    if (!summary || !run) throw notFound('run');
    const plan = run.plan.steps as RunDto['plan'];
    return { ...summary, plan, stops: run.stops, revision: run.revision, sung: keys.map((key) => this.keyView(key)) };
  }

  /**
   * Keeps a run as far as it has come. Sending it twice, late or out of order is the same as once and in order: keys are
   * only ever added or given their marks, and an older revision leaves the rest as it is.
   */
  async keep(studioId: string, id: string, sent: SentRunDto): Promise<RunDto> {
    await this.students.get(studioId, sent.studentId);
    const routineId = await this.knownRoutine(studioId, sent.routineId);
    await this.scope.transaction(async (manager) => {
      const runs = this.scope.of(Run, studioId, manager);
      const row = {
        ...this.changing(sent),
        id,
        studentId: sent.studentId,
        routineId,
        routineName: sent.routineName,
        startedAt: new Date(sent.startedAt),
        conditions: sent.conditions,
        plan: { schema: 1 as const, steps: JSON.parse(JSON.stringify(sent.plan)) as SentRunDto['plan'] },
      };
      const inserted = await runs.insertNew([row]);
      if (inserted === 0) await this.bringForward(studioId, manager, id, sent);
      await this.keepKeys(studioId, manager, id, sent.sung);
    });
    return this.get(studioId, id);
  }

  private changing(sent: SentRunDto): Pick<Run, 'endedAt' | 'ease' | 'note' | 'revision' | 'stops'> {
    const { endedAt, ease, note, revision } = sent;
    const stops = sent.stops.map(({ stepId, mark }) => ({ stepId, mark }));
    return { endedAt: endedAt === undefined ? null : new Date(endedAt), ease: ease ?? null, note, revision, stops };
  }

  private async bringForward(studioId: string, manager: EntityManager, id: string, sent: SentRunDto): Promise<void> {
    const runs = this.scope.of(Run, studioId, manager);
    const run = await runs.findOne({ id });
    if (!run) throw notFound('run');
    if (run.studentId !== sent.studentId) throw new Problem(409, 'OTHER_RUN', 'This run belongs to another student.');
    if (sent.revision > run.revision) await runs.update({ id }, this.changing(sent));
  }

  private async keepKeys(
    studioId: string,
    manager: EntityManager,
    runId: string,
    sung: readonly SungKeyDto[],
  ): Promise<void> {
    const keys = this.scope.of(RunKey, studioId, manager);
    await keys.insertNew(
      sung.map((key, position) => ({
        ...key,
        runId,
        position,
        help: key.help ?? null,
        manner: key.manner ?? null,
      })),
    );
  }

  /** A routine that was deleted while the run went on is no reason to lose the run. */
  private async knownRoutine(studioId: string, routineId: string | undefined): Promise<string | null> {
    if (routineId === undefined) return null;
    const routines = await this.routines.list(studioId);
    return routines.some(({ id }) => id === routineId) ? routineId : null;
  }

  private async summaries(
    studioId: string,
    tail: string,
    parameters: readonly unknown[] = [],
  ): Promise<RunSummaryDto[]> {
    const rows = (await this.scope.query(studioId, `${SUMMARY} ${tail}`, parameters)) as SummaryRow[];
    return rows.map((row) => ({
      id: row.id,
      studentId: row.student_id,
      studentName: row.student_name,
      routineId: row.routine_id,
      routineName: row.routine_name,
      startedAt: row.started_at.toISOString(),
      endedAt: row.ended_at?.toISOString() ?? null,
      conditions: row.conditions,
      ease: row.ease,
      note: row.note,
      plannedKeys: row.planned_keys,
      sungKeys: row.sung_keys,
      lowest: row.lowest,
      highest: row.highest,
      marks: row.marks ?? [],
    }));
  }

  private keyView({ help, manner, ...key }: RunKey): SungKeyDto {
    const { id, stepId, exerciseId, tonic, leg, low, high, tempo, outcome, marks } = key;
    const way = { ...(help && { help }), ...(manner !== null && { manner }) };
    return { id, stepId, exerciseId, tonic, leg, low, high, tempo, outcome, marks, ...way };
  }
}
