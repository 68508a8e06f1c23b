import type { RoutineKind } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { StoredSteps } from './routine.entity.ts';

/** What a version keeps of a routine. */
export interface StoredRoutine {
  readonly name: string;
  readonly kind: RoutineKind;
  readonly minutes: number;
  readonly steps: StoredSteps;
}

/** A routine as it stood after one sitting of changes. */
@Entity('routine_version')
export class RoutineVersion {
  @PrimaryColumn('uuid', { name: 'routine_id' })
  routineId!: string;

  @PrimaryColumn('integer')
  version!: number;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('jsonb')
  body!: StoredRoutine;

  /** Who saved it; null for what was there before this was kept. */
  @Column('uuid', { name: 'account_id', nullable: true })
  accountId!: string | null;

  @Column('timestamptz', { name: 'saved_at' })
  savedAt!: Date;
}
