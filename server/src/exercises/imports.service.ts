import { Injectable } from '@nestjs/common';
import type { Exercise } from '@soft-lark/core';
import type { EntityManager } from 'typeorm';
import { v7 } from 'uuid';
import { Clock, notFound, Problem } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { Collection } from './collection.entity.ts';
import type { ImportDto, ShelfImportDto } from './dto/exercises.dto.ts';
import { checkedExercise, ExercisesService, storedExercise } from './exercises.service.ts';
import { OwnExercise } from './own-exercise.entity.ts';
import { ShelfImport } from './shelf-import.entity.ts';

const LATEST = 20;
/** PostgreSQL takes some sixty thousand values a statement; a row has nine. */
const ROWS_AT_ONCE = 500;

/** Imports into the shelf: whole or not at all, and undone as one. */
@Injectable()
export class ImportsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly exercises: ExercisesService,
    private readonly clock: Clock,
  ) {}

  /** The latest imports, the newest first. */
  async list(studioId: string): Promise<ShelfImportDto[]> {
    const rows = await this.scope.of(ShelfImport, studioId).find({ order: { createdAt: 'DESC' }, take: LATEST });
    return rows.map((row) => this.view(row));
  }

  /** Takes every item in, or none; sending the same import twice is the same as once. */
  async take(studioId: string, { id, name, exercises: bodies, collections }: ImportDto): Promise<ShelfImportDto> {
    const exercises = bodies.map(checkedExercise);
    const shipped = exercises.find((exercise) => this.exercises.isShipped(exercise.id));
    if (shipped)
      throw new Problem(422, 'INVALID', `“${shipped.name}” ships with Soft Lark and is not written over.`, {
        remedy: 'Leave it out, or give it another id.',
      });
    return this.scope.transaction(async (manager) => {
      const imports = this.scope.of(ShelfImport, studioId, manager);
      const row = { id, name, items: exercises.length, createdAt: this.clock.now(), undoneAt: null };
      if ((await imports.insertNew([row])) > 0) {
        await this.keep(studioId, id, exercises, manager);
        const rows = collections.map((one) => ({ ...one, id: v7(), version: 1, importId: id }));
        await this.scope.of(Collection, studioId, manager).insertNew(rows);
      }
      const kept = await imports.findOne({ id });
      if (!kept) throw notFound('import');
      return this.view(kept);
    });
  }

  private async keep(
    studioId: string,
    importId: string,
    exercises: readonly Exercise[],
    manager: EntityManager,
  ): Promise<void> {
    const rows = this.scope.of(OwnExercise, studioId, manager);
    const here = new Map((await rows.find()).map((row) => [row.id, row]));
    const updatedAt = this.clock.now();
    const none = { studentId: null, archivedAt: null, beforeImport: null };
    const fresh = exercises
      .filter(({ id }) => !here.has(id))
      .map((exercise) => ({
        ...none,
        id: exercise.id,
        body: storedExercise(exercise),
        version: 1,
        importId,
        updatedAt,
      }));
    for (let from = 0; from < fresh.length; from += ROWS_AT_ONCE)
      await rows.insertNew(fresh.slice(from, from + ROWS_AT_ONCE));
    for (const exercise of exercises) {
      const before = here.get(exercise.id);
      if (!before) continue;
      const version = before.version + 1;
      const change = { body: storedExercise(exercise), version, importId, beforeImport: before.body, updatedAt };
      await rows.update({ id: exercise.id }, change);
    }
    await this.exercises.keepVersions(studioId, await rows.find({ where: { importId } }), manager);
  }

  /** Takes an import back: what was new goes, or is put away where a routine has it; what was changed is as before. */
  async undo(studioId: string, importId: string): Promise<ShelfImportDto> {
    return this.scope.transaction(async (manager) => {
      const imports = this.scope.of(ShelfImport, studioId, manager);
      const row = await imports.findOne({ id: importId });
      if (!row) throw notFound('import');
      if (row.undoneAt) return this.view(row);
      const rows = this.scope.of(OwnExercise, studioId, manager);
      const inUse = await this.exercises.inUse(studioId, manager);
      const taken = await rows.find({ where: { importId } });
      const none = { importId: null, beforeImport: null };
      for (const { id, beforeImport, version } of taken) {
        if (beforeImport) {
          const back = { body: beforeImport, version: version + 1, updatedAt: this.clock.now() };
          await rows.update({ id }, { ...none, ...back });
          await this.exercises.keepVersions(studioId, [{ id, ...back }], manager);
        } else if (inUse.has(id)) await rows.update({ id }, { ...none, archivedAt: this.clock.now() });
      }
      await rows.delete({ importId });
      await this.scope.of(Collection, studioId, manager).delete({ importId });
      const undoneAt = this.clock.now();
      await imports.update({ id: importId }, { undoneAt });
      return this.view({ ...row, undoneAt });
    });
  }

  private view({ id, name, items, createdAt, undoneAt }: ShelfImport): ShelfImportDto {
    return { id, name, items, createdAt: createdAt.toISOString(), isUndone: undoneAt !== null };
  }
}
