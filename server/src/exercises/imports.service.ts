import { Injectable } from '@nestjs/common';
import { MoreThan, type EntityManager } from 'typeorm';
import { v7 } from 'uuid';
import { Clock, demandRoom, invalid, notFound, Problem, validationPipe } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { Collection } from './collection.entity.ts';
import { ImportHeadDto, MOST_ITEMS, type ShelfImportDto } from './dto/exercises.dto.ts';
import { ExercisesService } from './exercises.service.ts';
import { ImportReader } from './import-reader.ts';
import type { ReadBody } from './read-import.worker.ts';
import { OwnExercise } from './own-exercise.entity.ts';
import { ShelfImport } from './shelf-import.entity.ts';

const LATEST = 20;
const ROWS_AT_ONCE = 500;
const AN_HOUR = 3_600_000;
/** House choice: a studio that moves in takes a dozen files. */
const MOST_IMPORTS_AN_HOUR = 40;

/** Bodies come as text and go as text; what was there before is kept for taking the import back. */
const TAKE_IN = `
  insert into exercise (studio_id, id, body, version, import_id, updated_at)
  select $1, taken.id, taken.body::jsonb, 1, $2, $3 from unnest($4::text[], $5::text[]) taken (id, body)
  on conflict (studio_id, id) do update set
    before_import = exercise.body, body = excluded.body, version = exercise.version + 1,
    import_id = excluded.import_id, updated_at = excluded.updated_at`;

const KEEP_VERSIONS = `
  insert into exercise_version (studio_id, exercise_id, version, body, saved_at)
  select studio_id, id, version, body, updated_at from exercise where studio_id = $1 and import_id = $2
  on conflict do nothing`;

/** The import but for its exercises, checked like any body. */
function headOf(head: unknown): Promise<ImportHeadDto> {
  return validationPipe().transform(head, { type: 'body', metatype: ImportHeadDto }) as Promise<ImportHeadDto>;
}

/** Imports into the shelf: whole or not at all, and undone as one. */
@Injectable()
export class ImportsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly exercises: ExercisesService,
    private readonly clock: Clock,
    private readonly reader: ImportReader,
  ) {}

  /** The latest imports, the newest first. */
  async list(studioId: string): Promise<ShelfImportDto[]> {
    const rows = await this.scope.of(ShelfImport, studioId).find({ order: { createdAt: 'DESC' }, take: LATEST });
    return rows.map((row) => this.view(row));
  }

  /** Takes every item in, or none; sending the same import twice is the same as once. */
  async take(studioId: string, text: string): Promise<ShelfImportDto> {
    const read = await this.reader.read(text);
    if ('fault' in read) throw invalid([read.fault]);
    const { id, name, collections } = await headOf(read.head);
    const { exercises } = read;
    const shipped = exercises.find((exercise) => this.exercises.isShipped(exercise.id));
    if (shipped)
      throw new Problem(422, 'INVALID', `“${shipped.name}” ships with Soft Lark and is not written over.`, {
        remedy: 'Leave it out, or give it another id.',
        values: { context: 'ships-already', name: shipped.name },
      });
    if (!(await this.scope.of(ShelfImport, studioId).exists({ id })))
      await this.demandRoomFor(studioId, exercises.length);
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

  private async demandRoomFor(studioId: string, more: number): Promise<void> {
    const since = new Date(this.clock.now().getTime() - AN_HOUR);
    const lately = await this.scope.of(ShelfImport, studioId).count({ createdAt: MoreThan(since) });
    demandRoom('imports', lately, MOST_IMPORTS_AN_HOUR);
    const now = await this.scope.of(OwnExercise, studioId).count();
    demandRoom('imported', now, MOST_ITEMS, more);
  }

  private async keep(
    studioId: string,
    importId: string,
    exercises: readonly ReadBody[],
    manager: EntityManager,
  ): Promise<void> {
    const updatedAt = this.clock.now();
    for (let from = 0; from < exercises.length; from += ROWS_AT_ONCE) {
      const some = exercises.slice(from, from + ROWS_AT_ONCE);
      const bodies = [some.map(({ id }) => id), some.map(({ stored }) => stored)];
      await this.scope.query(studioId, TAKE_IN, [importId, updatedAt, ...bodies], manager);
    }
    await this.scope.query(studioId, KEEP_VERSIONS, [importId], manager);
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
