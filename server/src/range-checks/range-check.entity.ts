import type { PitchRange } from '@soft-lark/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

/** What a confirmed check came to; the schema number says how to read it. Pitches MIDI. */
export interface StoredFindings {
  readonly schema: number;
  readonly low: number;
  readonly high: number;
  readonly reachLow?: number;
  readonly reachHigh?: number;
  readonly speakingNote?: number;
  readonly gaps: readonly PitchRange[];
  readonly bridges: readonly PitchRange[];
}

@Entity('range_check')
export class RangeCheck {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'student_id' })
  studentId!: string;

  @Column('date')
  day!: string;

  @Column('text')
  way!: string;

  @Column('jsonb')
  findings!: StoredFindings;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt!: Date;
}
