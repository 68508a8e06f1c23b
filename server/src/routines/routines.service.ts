import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { faultOf, type RoutineStep } from '@soft-lark/core';
import { Clock, fieldProblem, notFound, Problem, written, type UnreadableDto } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { ExercisesService } from '../exercises/index.ts';
import { StudentsService } from '../students/index.ts';
import type { ChangedRoutineDto, NewRoutineDto, RoutineDto, RoutineFieldsDto } from './dto/routines.dto.ts';
import { RoutineVersionsService } from './routine-versions.service.ts';
import { Routine, type StoredSteps } from './routine.entity.ts';
import { demandSteps, readSteps, unreadableRoutine } from './steps.upgrade.ts';

function stored(steps: RoutineFieldsDto['steps']): StoredSteps {
  return { schema: 1, list: JSON.parse(JSON.stringify(steps)) as RoutineFieldsDto['steps'] };
}

@Injectable()
export class RoutinesService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly exercises: ExercisesService,
    private readonly clock: Clock,
    private readonly versions: RoutineVersionsService,
  ) {}

  /** Routines of one student, or of all, the last changed first. */
  async list(studioId: string, studentId?: string): Promise<RoutineDto[]> {
    const routines = await this.scope.of(Routine, studioId).find({
      ...(studentId !== undefined && { where: { studentId } }),
      order: { updatedAt: 'DESC' },
    });
    return routines.flatMap((routine) => this.readable(routine) ?? []);
  }

  /** Routines whose steps this version cannot read; they are kept, and nothing else is broken by them. */
  async unreadable(studioId: string): Promise<UnreadableDto[]> {
    const routines = await this.scope.of(Routine, studioId).find({ order: { updatedAt: 'DESC' } });
    return routines.flatMap((routine) => unreadableRoutine(routine) ?? []);
  }

  /** Of each of these students the routine that was chosen, else of their own the one changed last. */
  async readyOf(
    studioId: string,
    students: readonly string[],
    chosen: readonly string[],
  ): Promise<ReadonlyMap<string, RoutineDto>> {
    const latest = (await this.scope.query(
      studioId,
      `select distinct on (student_id) id from routine
        where studio_id = $1 and student_id = any($2) and (group_id is null or id = any($3))
        order by student_id, (id = any($3)) desc, updated_at desc`,
      [students, chosen],
    )) as { id: string }[];
    const rows = await this.scope.of(Routine, studioId).find({ where: { id: In(latest.map(({ id }) => id)) } });
    const views = rows.flatMap((routine) => this.readable(routine) ?? []);
    return new Map(views.map((routine) => [routine.studentId, routine]));
  }

  exists(studioId: string, id: string): Promise<boolean> {
    return this.scope.of(Routine, studioId).exists({ id });
  }

  async get(studioId: string, id: string): Promise<RoutineDto> {
    const routine = await this.scope.of(Routine, studioId).findOne({ id });
    if (!routine) throw notFound('routine');
    return this.view(routine, demandSteps(routine.steps));
  }

  async create(studioId: string, wanted: NewRoutineDto, accountId: string | null = null): Promise<RoutineDto> {
    await this.students.demand(studioId, wanted.studentId);
    await this.checkSteps(studioId, wanted.steps);
    const { id, studentId, groupId = null, name, kind, minutes } = wanted;
    const row = {
      id,
      studentId,
      groupId,
      name,
      kind,
      minutes,
      steps: stored(wanted.steps),
      version: 1,
      updatedAt: this.clock.now(),
    };
    await this.scope.transaction(async (manager) => {
      if ((await this.scope.of(Routine, studioId, manager).insertNew([row])) === 0) return;
      const body = { name, kind, minutes, steps: row.steps };
      await this.versions.keep(studioId, { routineId: id, version: 1, body }, accountId, manager);
    });
    return this.get(studioId, id);
  }

  async change(
    studioId: string,
    id: string,
    { version, name, kind, minutes, steps }: ChangedRoutineDto,
    accountId: string | null = null,
  ): Promise<RoutineDto> {
    await this.checkSteps(studioId, steps);
    const change = { name, kind, minutes, steps: stored(steps) };
    const next = { ...change, version: version + 1, updatedAt: this.clock.now() };
    const isWritten = await this.scope.transaction(async (manager) => {
      const isChanged = await this.scope.of(Routine, studioId, manager).update({ id, version }, next);
      if (isChanged)
        await this.versions.keep(studioId, { routineId: id, version: version + 1, body: change }, accountId, manager);
      return isChanged;
    });
    return written('routine', isWritten, await this.get(studioId, id), change, (now) => ({
      name: now.name,
      kind: now.kind,
      minutes: now.minutes,
      steps: stored(now.steps),
    }));
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Routine, studioId).delete({ id }))) throw notFound('routine');
  }

  /** Refuses steps whose exercise is not on the shelf, with the step. */
  async checkSteps(studioId: string, steps: RoutineFieldsDto['steps']): Promise<void> {
    if (steps.every(({ exerciseId }) => this.exercises.isShipped(exerciseId))) return;
    const shelf = new Set((await this.exercises.list(studioId)).map((exercise) => exercise.id));
    const index = steps.findIndex(({ exerciseId }) => !shelf.has(exerciseId));
    if (index < 0) return;
    throw new Problem(422, 'INVALID', `There is no exercise “${steps[index]?.exerciseId ?? ''}” on the shelf.`, {
      errors: [fieldProblem(`steps.${String(index)}.exerciseId`, faultOf('not-on-the-shelf'))],
      values: { context: 'no-exercise', id: steps[index]?.exerciseId ?? '' },
    });
  }

  /** A routine whose steps can be read; null otherwise. */
  private readable(routine: Routine): RoutineDto | null {
    const steps = readSteps(routine.steps);
    return steps && this.view(routine, steps);
  }

  private view(routine: Routine, steps: RoutineStep[]): RoutineDto {
    const { id, studentId, groupId, name, kind, minutes, version, updatedAt } = routine;
    const whose = { id, studentId, ...(groupId !== null && { groupId }) };
    return { ...whose, name, kind, minutes, steps, version, updatedAt: updatedAt.toISOString() };
  }
}
