import type { RoutineKind, RoutineStep } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn, UpdateDateColumn } from 'typeorm';

/** Ordered steps as they are stored; the schema number says how to read them. */
export interface StoredSteps {
  readonly schema: number;
  readonly list: readonly RoutineStep[];
}

@Entity('routine')
export class Routine {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'student_id' })
  studentId!: string;

  /** The group it is sung with, led by the student; null where it is the student's own. */
  @Column('uuid', { name: 'group_id', nullable: true })
  groupId!: string | null;

  @Column('text')
  name!: string;

  @Column('text')
  kind!: RoutineKind;

  /** The budget. */
  @Column('smallint')
  minutes!: number;

  @Column('jsonb')
  steps!: StoredSteps;

  @Column('integer')
  version!: number;

  @UpdateDateColumn({ name: 'updated_at', type: 'timestamptz' })
  updatedAt!: Date;
}
