import type { CorrectedKey } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What stood in a run before a correction; only what the correction changed. */
export interface RunBefore {
  readonly schema: 1;
  readonly ease?: number | null;
  readonly note?: string;
  readonly keys: readonly CorrectedKey[];
}

/** A correction a teacher made to a run that was over, with what was there before. */
@Entity('run_correction')
export class RunCorrection {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'run_id' })
  runId!: string;

  @Column('timestamptz', { name: 'made_at' })
  madeAt!: Date;

  @Column('jsonb')
  was!: RunBefore;
}
