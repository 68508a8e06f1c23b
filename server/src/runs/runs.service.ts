import { Injectable } from '@nestjs/common';
import { beltEvidence, beltTopOf, changeRules, voiceOf, type BeltKey } from '@soft-lark/core';
import type { EntityManager } from 'typeorm';
import { notFound, Problem } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { ExercisesService } from '../exercises/index.ts';
import { RoutinesService } from '../routines/index.ts';
import { StudentsService } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type {
  BeltEvidenceDto,
  PractisedDto,
  RunCorrectionDto,
  RunDto,
  RunPageDto,
  RunSummaryDto,
  SentRunDto,
} from './dto/runs.dto.ts';
import { digestColumns, keyView } from './key-view.ts';
import { RunCorrection } from './run-correction.entity.ts';
import { RunKey } from './run-key.entity.ts';
import { LAST_OF_EACH, SUMMARY, summaryView, type SummaryRow } from './run-summaries.ts';
import { Run } from './run.entity.ts';

/** What was practised at home since the last lesson; `$1` is the studio, `$2` the students. */
const AT_HOME = `
  select student.id as student_id, home.times, home.ease, home.note
    from unnest($2::uuid[]) as student(id)
   cross join lateral (
         select max(started_at) as at from (
                select started_at from run
                 where run.studio_id = $1 and run.student_id = student.id and not run.at_home
                 order by started_at desc limit 1) last) lesson
   cross join lateral (
         select count(*)::integer as times, (array_agg(ease order by started_at desc))[1] as ease,
                (array_agg(note order by started_at desc))[1] as note
           from run
          where run.studio_id = $1 and run.student_id = student.id and run.at_home
            and run.started_at > coalesce(lesson.at, '-infinity')) home
   where home.times > 0`;

/**
 * Keys come as one JSON list; `$1` is the studio, `$2` the run, `$4` whether they are newer than what is there: then marks
 * that were taken back are gone.
 */
const KEEP_KEYS = `
  insert into run_key (id, studio_id, run_id, position, step_id, exercise_id, tonic, leg, low, high, tempo, outcome, marks, help, manner)
  select distinct on (sung.id) sung.id, $1, $2, sung.position, sung."stepId", sung."exerciseId", sung.tonic, sung.leg, sung.low, sung.high,
         sung.tempo, sung.outcome, sung.marks, sung.help, sung.manner
    from jsonb_to_recordset($3::jsonb) sung (
         id uuid, position integer, "stepId" uuid, "exerciseId" text, tonic smallint, leg text, low smallint, high smallint,
         tempo real, outcome text, marks text[], help text, manner text)
   order by sung.id, sung.position
  on conflict (id) do update set marks = excluded.marks
   where $4 and run_key.studio_id = $1::uuid and run_key.run_id = $2::uuid`;

/** What a later sending may change. */
type Changing = Pick<Run, 'endedAt' | 'ease' | 'note' | 'revision' | 'stops' | 'results'>;

function correctionView({ madeAt, was: { ease, note, keys } }: RunCorrection): RunCorrectionDto {
  return {
    madeAt: madeAt.toISOString(),
    ...(ease !== undefined && { ease }),
    ...(note !== undefined && { note }),
    keys,
  };
}

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
  async list(
    studioId: string,
    { studentId, olderThan, words, mark, place, most }: RunPageDto,
  ): Promise<RunSummaryDto[]> {
    return this.summaries(
      studioId,
      `and ($2::uuid is null or run.student_id = $2)
       and ($3::uuid is null or (run.started_at, run.id) <
            (select last.started_at, last.id from run last where last.studio_id = $1 and last.id = $3))
       and ($5::text is null
            or run.student_id = any($6) or lower(run.routine_name || chr(10) || run.note) like lower($5))
       and ($7::text is null or $7 = any(run.marks))
       and ($8::boolean is null or run.at_home = $8)
     order by run.started_at desc, run.id desc limit $4`,
      [
        ...[studentId ?? null, olderThan ?? null, most],
        ...(words === undefined ? [null, null] : await this.whereWordsStand(studioId, words)),
        ...[mark ?? null, place === undefined ? null : place === 'home'],
      ],
    );
  }

  /** What a run’s own words are like, and the students whose names hold them: each has an index of its own. */
  private async whereWordsStand(studioId: string, words: string): Promise<[string, readonly string[]]> {
    const pattern = `%${words.replaceAll(/[\\%_]/g, '\\$&')}%`;
    const students = (await this.scope.query(
      studioId,
      'select id from student where studio_id = $1 and lower(name) like lower($2)',
      [pattern],
    )) as { id: string }[];
    return [pattern, students.map(({ id }) => id)];
  }

  /** The last run of each of these students, or of all. */
  async lastOfEach(
    studioId: string,
    { students, ended = false }: { readonly students?: readonly string[]; readonly ended?: boolean } = {},
  ): Promise<RunSummaryDto[]> {
    const rows = (await this.scope.query(studioId, LAST_OF_EACH, [students ?? null, ended])) as SummaryRow[];
    return rows.map(summaryView);
  }

  /** How often each of these students practised at home since the last lesson, and what was said of it last. */
  async atHome(studioId: string, students: readonly string[]): Promise<ReadonlyMap<string, PractisedDto>> {
    const rows = (await this.scope.query(studioId, AT_HOME, [students])) as (PractisedDto & { student_id: string })[];
    return new Map(rows.map(({ student_id, times, ease, note }) => [student_id, { times, ease, note }]));
  }

  /** What the runs of a student say of the belt ceiling. */
  async beltEvidence(studioId: string, studentId: string): Promise<BeltEvidenceDto> {
    const { voice } = await this.students.get(studioId, studentId);
    const { timeZone, rules } = await this.studios.settings(studioId);
    const table = changeRules(voice.rules ?? {}, 'student', changeRules(rules, 'studio'));
    const ceiling = beltTopOf(voiceOf(voice), table)?.note ?? null;
    if (ceiling === null) return { ceiling, easyDays: [], hardDays: [], isEnough: false };
    const keys = (await this.scope.query(
      studioId,
      `select to_char(run.started_at at time zone $3, 'YYYY-MM-DD') as day, key.high, key.marks
         from run join run_key key on key.studio_id = run.studio_id and key.run_id = run.id
        where run.studio_id = $1 and run.student_id = $2 and run.exercises && $4::text[]
          and key.outcome = 'sung' and key.exercise_id = any($4)`,
      [studentId, timeZone, await this.exercises.idsInRegister(studioId, 'heavy')],
    )) as BeltKey[];
    const { easyDays, hardDays, isEnough } = beltEvidence(keys, ceiling);
    return { ceiling, easyDays: [...easyDays], hardDays: [...hardDays], isEnough };
  }

  async get(studioId: string, id: string): Promise<RunDto> {
    const [[summary], run, keys, corrections] = await Promise.all([
      this.summaries(studioId, 'and run.id = $2', [id]),
      this.scope.of(Run, studioId).findOne({ id }),
      this.scope.of(RunKey, studioId).find({ where: { runId: id }, order: { position: 'ASC' } }),
      this.scope.of(RunCorrection, studioId).find({ where: { runId: id }, order: { madeAt: 'DESC', id: 'DESC' } }),
    ]);
    if (!summary || !run) throw notFound('run');
    return {
      ...summary,
      plan: run.plan.steps,
      stops: run.stops,
      results: run.results,
      revision: run.revision,
      sung: keys.map(keyView),
      corrections: corrections.map(correctionView),
    };
  }

  /**
   * Keeps a run as far as it has come. Sending it twice, late or out of order is the same as once and in order: keys are
   * only ever added or given other marks, and an older revision leaves the rest as it is.
   *
   * @param atHome sung by the student alone
   */
  async keep(studioId: string, id: string, sent: SentRunDto, atHome = false): Promise<RunDto> {
    await this.students.demand(studioId, sent.studentId);
    await this.scope.transaction(async (manager) => {
      const runs = this.scope.of(Run, studioId, manager);
      await runs.insertNew([{ ...(await this.firstOf(studioId, sent)), ...this.changing(sent), atHome, id }]);
      // Held from here on, so that sendings that cross are kept one after the other.
      const run = await runs.findOneToChange({ id });
      if (!run) throw notFound('run');
      if (run.studentId !== sent.studentId)
        throw new Problem(409, 'OTHER_RUN', 'This run belongs to another student.', {
          remedy: 'Begin a new run for this student.',
        });
      // What a teacher corrected stands over whatever the page still sends.
      const isNewer = sent.revision > run.revision && run.correctedAt === null;
      const keys = await this.keepKeys(studioId, manager, id, sent, isNewer);
      const { stops, results } = isNewer ? this.changing(sent) : run;
      const digest = digestColumns({ plan: run.plan, stops, results }, keys.map(keyView));
      await runs.update({ id }, { ...(isNewer && this.changing(sent)), ...digest });
    });
    return this.get(studioId, id);
  }

  /** What a run is given when it is first kept, and never again. */
  private async firstOf(
    studioId: string,
    sent: SentRunDto,
  ): Promise<Omit<Run, 'id' | 'studioId' | 'atHome' | keyof Changing>> {
    const { studentId, routineId, routineName, startedAt, conditions, plan } = sent;
    // A routine that was deleted while the run went on is no reason to lose the run.
    const isKnown = routineId !== undefined && (await this.routines.exists(studioId, routineId));
    return {
      studentId,
      routineId: isKnown ? routineId : null,
      routineName,
      startedAt: new Date(startedAt),
      conditions,
      plan: { schema: 1, steps: JSON.parse(JSON.stringify(plan)) as SentRunDto['plan'] },
      correctedAt: null,
      ...{ plannedKeys: 0, sungKeys: 0, lowest: null, highest: null, marks: [], workedOn: [], exercises: [] },
    };
  }

  private changing(sent: SentRunDto): Changing {
    const { endedAt, ease, note, revision, results = null } = sent;
    const stops = sent.stops.map(({ stepId, mark }) => ({ stepId, mark }));
    const ended = endedAt === undefined ? null : new Date(endedAt);
    return { endedAt: ended, ease: ease ?? null, note, revision, stops, results };
  }

  /**
   * Throws a run away, keys and all.
   *
   * @throws {Problem} 409 where it was stopped: what is allowed next rests on it
   */
  async throwAway(studioId: string, id: string): Promise<void> {
    const run = await this.scope.of(Run, studioId).findOne({ id });
    if (!run) throw notFound('run');
    if (run.stops.length > 0)
      throw new Problem(409, 'STOPPED_RUN', 'This run was stopped, and what is allowed next rests on that.', {
        remedy: 'It stays in the log.',
      });
    await this.scope.of(Run, studioId).delete({ id });
  }

  /** Adds the keys that are not there yet. @returns every key of the run */
  private async keepKeys(
    studioId: string,
    manager: EntityManager,
    runId: string,
    { sung, sungBefore = 0 }: SentRunDto,
    isNewer: boolean,
  ): Promise<readonly RunKey[]> {
    const keys = JSON.stringify(sung.map((key, index) => ({ ...key, position: sungBefore + index })));
    await this.scope.query(studioId, KEEP_KEYS, [runId, keys, isNewer], manager);
    return this.scope.of(RunKey, studioId, manager).find({ where: { runId } });
  }

  private async summaries(
    studioId: string,
    tail: string,
    parameters: readonly unknown[] = [],
  ): Promise<RunSummaryDto[]> {
    const rows = (await this.scope.query(studioId, `${SUMMARY} ${tail}`, parameters)) as SummaryRow[];
    return rows.map(summaryView);
  }
}
