import type { LockLevel } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What the gate led to where it locked something; the answers themselves are not kept. */
@Entity('voice_lock')
export class VoiceLock {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'student_id' })
  studentId!: string;

  @Column('text')
  level!: LockLevel;

  /** Day in the studio's zone. */
  @Column('date')
  since!: string;

  @Column('timestamptz', { name: 'lifted_at', nullable: true })
  liftedAt!: Date | null;

  @Column('text', { name: 'lifted_by', nullable: true })
  liftedBy!: string | null;

  /** The teacher's own words for the way back. */
  @Column('text', { nullable: true })
  reason!: string | null;
}
