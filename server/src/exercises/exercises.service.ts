import { Injectable } from '@nestjs/common';
import { readExercise, shippedExercises, type Exercise } from '@soft-lark/core';
import { In, type EntityManager } from 'typeorm';
import { Clock, demandRoom, notFound, Problem, written, type UnreadableDto } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudentsService } from '../students/index.ts';
import {
  MOST_ITEMS,
  type ChangedExerciseDto,
  type ExerciseVersionView,
  type ShelfExercise,
} from './dto/exercises.dto.ts';
import { readExerciseBody, unreadableExercise } from './exercise.upgrade.ts';
import { ExerciseVersion } from './exercise-version.entity.ts';
import { OwnExercise, type StoredExercise } from './own-exercise.entity.ts';

/** An exercise as it is written down. */
function storedExercise(exercise: Exercise): StoredExercise {
  return { schema: 1, exercise };
}

/**
 * An exercise sent by a page, checked with the schema of the shelf.
 *
 * @throws Problem `INVALID`, with the field
 */
function checkedExercise(body: object): Exercise {
  const read = readExercise(body, 0);
  if ('exercise' in read) return read.exercise;
  throw new Problem(422, 'INVALID', `The exercise cannot be kept: ${read.line}.`, {
    errors: [{ field: 'exercise', message: read.line, ...read.reason }],
    values: { context: 'exercise', why: read.reason },
  });
}

@Injectable()
export class ExercisesService {
  private readonly ships: readonly Exercise[] = shippedExercises();
  private readonly shippedIds = new Set(this.ships.map(({ id }) => id));

  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly clock: Clock,
  ) {}

  /** The exercises that ship, the same for every studio. */
  shipped(): readonly Exercise[] {
    return this.ships;
  }

  isShipped(id: string): boolean {
    return this.shippedIds.has(id);
  }

  /** The whole shelf of a studio: what ships, and its own, archived ones too. */
  async list(studioId: string): Promise<ShelfExercise[]> {
    const own = await this.scope.of(OwnExercise, studioId).find({ order: { updatedAt: 'DESC' } });
    return [...own.flatMap((row) => this.view(row) ?? []), ...this.ships];
  }

  /** Exercises of the studio's own that this version cannot read; they are kept, and nothing else is broken by them. */
  async unreadable(studioId: string): Promise<UnreadableDto[]> {
    const own = await this.scope.of(OwnExercise, studioId).find({ order: { updatedAt: 'DESC' } });
    return own.flatMap(({ id, body }) => unreadableExercise(id, body) ?? []);
  }

  /** The exercises of these ids, those that are there. */
  async byId(studioId: string, ids: readonly string[]): Promise<ReadonlyMap<string, Exercise>> {
    const wanted = new Set(ids);
    const own = [...wanted].filter((id) => !this.isShipped(id));
    const rows = own.length === 0 ? [] : await this.scope.of(OwnExercise, studioId).find({ where: { id: In(own) } });
    const found = [
      ...rows.flatMap(({ body }) => readExerciseBody(body) ?? []),
      ...this.ships.filter(({ id }) => wanted.has(id)),
    ];
    return new Map(found.map((exercise) => [exercise.id, exercise]));
  }

  /** Ids of the exercises in one register. */
  async idsInRegister(studioId: string, register: Exercise['register']): Promise<string[]> {
    return (await this.list(studioId)).filter((exercise) => exercise.register === register).map(({ id }) => id);
  }

  async change(studioId: string, id: string, wanted: ChangedExerciseDto): Promise<ShelfExercise> {
    const { version, studentId } = wanted;
    const exercise = checkedExercise(wanted.exercise);
    if (exercise.id !== id || this.isShipped(id))
      throw new Problem(422, 'INVALID', 'What ships with Soft Lark is not written over.', {
        remedy: 'Make a copy of it and change that.',
        values: { context: 'shipped' },
      });
    if (studentId !== undefined) await this.students.demand(studioId, studentId);
    if (version === 0) demandRoom('exercises', await this.scope.of(OwnExercise, studioId).count(), MOST_ITEMS);
    const body = storedExercise(exercise);
    const change = { body, updatedAt: this.clock.now() };
    const first = { studentId: studentId ?? null, archivedAt: null, importId: null, beforeImport: null };
    const { isWritten, current } = await this.scope.transaction(async (manager) => {
      const rows = this.scope.of(OwnExercise, studioId, manager);
      const isWritten = await rows.write({ id, version }, change, first);
      if (isWritten) await this.keepVersions(studioId, [{ id, version: version + 1, ...change }], manager);
      return { isWritten, current: await rows.findOne({ id }) };
    });
    return written(
      'exercise',
      isWritten,
      current && this.view(current),
      exercise,
      () => current && readExerciseBody(current.body),
    );
  }

  /** How an exercise of the studio's own stood after each change, the latest first. */
  async versions(studioId: string, id: string): Promise<ExerciseVersionView[]> {
    const rows = this.scope.of(ExerciseVersion, studioId);
    const found = await rows.find({ where: { exerciseId: id }, order: { version: 'DESC' } });
    if (found.length === 0) throw notFound('exercise');
    return found.flatMap(({ version, savedAt, body }) => {
      const exercise = readExerciseBody(body);
      return exercise ? [{ version, savedAt: savedAt.toISOString(), exercise }] : [];
    });
  }

  /** Writes down how exercises stand after a change, within its transaction. */
  async keepVersions(
    studioId: string,
    changed: readonly Pick<OwnExercise, 'id' | 'body' | 'version' | 'updatedAt'>[],
    manager: EntityManager,
  ): Promise<void> {
    const rows = changed.map(({ id, body, version, updatedAt }) => ({
      exerciseId: id,
      version,
      body,
      savedAt: updatedAt,
    }));
    await this.scope.of(ExerciseVersion, studioId, manager).insertNew(rows);
  }

  /** Puts an exercise of the studio's own away, or back; routines that have it keep it. */
  async archive(studioId: string, id: string, isArchived: boolean): Promise<ShelfExercise> {
    const rows = this.scope.of(OwnExercise, studioId);
    const archivedAt = isArchived ? this.clock.now() : null;
    if (!(await rows.update({ id }, { archivedAt }))) throw notFound('exercise');
    const row = await rows.findOne({ id });
    const view = row && this.view(row);
    if (!view) throw notFound('exercise');
    return view;
  }

  /** Ids of every exercise a routine of the studio has, within a transaction. */
  async inUse(studioId: string, manager: EntityManager): Promise<ReadonlySet<string>> {
    const rows = (await this.scope.query(
      studioId,
      `select distinct step->>'exerciseId' as id
         from routine, jsonb_array_elements(steps->'list') as step where studio_id = $1`,
      [],
      manager,
    )) as { id: string }[];
    return new Set(rows.map(({ id }) => id));
  }

  private view({ body, version, archivedAt, studentId }: OwnExercise): ShelfExercise | null {
    const exercise = readExerciseBody(body);
    return exercise && { ...exercise, own: { version, isArchived: archivedAt !== null, studentId } };
  }
}
