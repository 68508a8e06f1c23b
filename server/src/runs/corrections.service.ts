import { Injectable } from '@nestjs/common';
import { correctedKey, isSameKey, type CorrectedKey } from '@soft-lark/core';
import { Clock, notFound, Problem } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import type { NewRunCorrectionDto, RunDto } from './dto/runs.dto.ts';
import { digestColumns, keyView } from './key-view.ts';
import { RunCorrection } from './run-correction.entity.ts';
import { RunKey } from './run-key.entity.ts';
import { Run } from './run.entity.ts';
import { RunsService } from './runs.service.ts';

/** Corrections of runs that are over: what was there before is kept beside them. */
@Injectable()
export class CorrectionsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly runs: RunsService,
    private readonly clock: Clock,
  ) {}

  /**
   * Corrects a run; the same correction twice is the same as once, and one that changes nothing is none.
   *
   * @throws {Problem} `NOT_FOUND`; `STILL_SUNG` where the run is not over; `NO_SUCH_KEY`
   */
  async correct(studioId: string, runId: string, wanted: NewRunCorrectionDto): Promise<RunDto> {
    await this.scope.transaction(async (manager) => {
      const runs = this.scope.of(Run, studioId, manager);
      const run = await runs.findOneToChange({ id: runId });
      if (!run) throw notFound('run');
      if (run.endedAt === null)
        throw new Problem(409, 'STILL_SUNG', 'This run is not over yet.', { remedy: 'End it first, then correct it.' });
      const corrections = this.scope.of(RunCorrection, studioId, manager);
      if (await corrections.findOne({ id: wanted.id })) return;
      const rows = this.scope.of(RunKey, studioId, manager);
      const keys = (await rows.find({ where: { runId }, order: { position: 'ASC' } })).map(keyView);
      const byId = new Map(keys.map((key) => [key.id, key]));
      const was: CorrectedKey[] = [];
      for (const change of wanted.keys) {
        const key = byId.get(change.id);
        if (!key)
          throw new Problem(422, 'NO_SUCH_KEY', 'A key of the correction is not in this run.', {
            remedy: 'Load the run again.',
          });
        const next = correctedKey(key, change);
        if (isSameKey(key, next)) continue;
        was.push({ id: key.id, outcome: key.outcome, marks: key.marks });
        byId.set(key.id, next);
        await rows.update({ id: key.id }, { outcome: next.outcome, marks: [...next.marks] });
      }
      const ease = wanted.ease !== undefined && wanted.ease !== run.ease ? { ease: run.ease } : {};
      const note = wanted.note !== undefined && wanted.note !== run.note ? { note: run.note } : {};
      if (was.length === 0 && Object.keys({ ...ease, ...note }).length === 0) return;
      const madeAt = this.clock.now();
      await corrections.insertNew([{ id: wanted.id, runId, madeAt, was: { schema: 1, ...ease, ...note, keys: was } }]);
      await runs.update(
        { id: runId },
        {
          ...digestColumns(run, [...byId.values()]),
          ...('ease' in ease && wanted.ease !== undefined && { ease: wanted.ease }),
          ...('note' in note && wanted.note !== undefined && { note: wanted.note }),
          correctedAt: madeAt,
        },
      );
    });
    return this.runs.get(studioId, runId);
  }
}
