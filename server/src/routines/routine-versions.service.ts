import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { Clock, notFound } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import type { RoutineVersionDto } from './dto/routines.dto.ts';
import { RoutineVersion, type StoredRoutine } from './routine-version.entity.ts';
import { readSteps } from './steps.upgrade.ts';

/** House choice: what one person saves within so many minutes is one version, or autosave would make hundreds. */
const SITTING_MINUTES = 10;

interface Row {
  readonly version: number;
  readonly body: StoredRoutine;
  readonly saved_at: Date;
  readonly saved_by: string | null;
}

/** The history of routines: how each stood, when, and by whom. */
@Injectable()
export class RoutineVersionsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly clock: Clock,
  ) {}

  /** The latest first, each with the name of whoever saved it. */
  async list(studioId: string, routineId: string): Promise<RoutineVersionDto[]> {
    const rows = (await this.scope.query(
      studioId,
      `select kept.version, kept.body, kept.saved_at, account.name as saved_by
         from routine_version kept left join account on account.id = kept.account_id
        where kept.studio_id = $1 and kept.routine_id = $2 order by kept.version desc`,
      [routineId],
    )) as Row[];
    if (rows.length === 0) throw notFound('routine');
    return rows.flatMap(({ version, body: { name, kind, minutes, ...body }, saved_at, saved_by }) => {
      const steps = readSteps(body.steps);
      return steps ? [{ version, name, kind, minutes, steps, savedAt: saved_at.toISOString(), savedBy: saved_by }] : [];
    });
  }

  /** Keeps how a routine stands, within the transaction that changed it; a sitting of one person is one version. */
  async keep(
    studioId: string,
    kept: { readonly routineId: string; readonly version: number; readonly body: StoredRoutine },
    accountId: string | null,
    manager: EntityManager,
  ): Promise<void> {
    const { routineId, version, body } = kept;
    const rows = this.scope.of(RoutineVersion, studioId, manager);
    const savedAt = this.clock.now();
    const [last] = await rows.find({ where: { routineId }, order: { version: 'DESC' }, take: 1 });
    const isSitting =
      last !== undefined &&
      last.version > 1 &&
      last.accountId === accountId &&
      // A clock that was set back or forward begins a new version; none is written over.
      Math.abs(savedAt.getTime() - last.savedAt.getTime()) < SITTING_MINUTES * 60_000;
    if (isSitting) await rows.update({ routineId, version: last.version }, { version, body, savedAt });
    else await rows.insertNew([{ routineId, version, body, accountId, savedAt }]);
  }
}
