import type { Condition, Mark, PastExercise, PlannedStep, StepResult, Stop } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The steps as they stood when the run began. */
export interface StoredPlan {
  readonly schema: 1;
  readonly steps: readonly PlannedStep[];
}

@Entity('run')
export class Run {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'student_id' })
  studentId!: string;

  @Column('uuid', { name: 'routine_id', nullable: true })
  routineId!: string | null;

  @Column('text', { name: 'routine_name' })
  routineName!: string;

  @Column('timestamptz', { name: 'started_at' })
  startedAt!: Date;

  /** Sung by the student alone, on the link. */
  @Column('boolean', { name: 'at_home' })
  atHome!: boolean;

  @Column('timestamptz', { name: 'ended_at', nullable: true })
  endedAt!: Date | null;

  @Column('text', { array: true })
  conditions!: Condition[];

  @Column('jsonb')
  plan!: StoredPlan;

  /** What stopped which step, in order; never counted against anyone. */
  @Column('jsonb')
  stops!: readonly Stop[];

  /** What became of the steps without pitch; null in runs from before there was any. */
  @Column('jsonb', { nullable: true })
  results!: readonly StepResult[] | null;

  /** 1–5, asked on the closing card. */
  @Column('smallint', { nullable: true })
  ease!: number | null;

  @Column('text')
  note!: string;

  /** Counts what the page has sent; an older sending changes nothing. */
  @Column('integer')
  revision!: number;

  /** When a teacher last corrected it; from then on a late sending of the page changes no mark, ease or note. */
  @Column('timestamptz', { name: 'corrected_at', nullable: true })
  correctedAt!: Date | null;

  // What lists need, worked out anew whenever the run changes, so that none of them opens the keys.

  @Column('integer', { name: 'planned_keys' })
  plannedKeys!: number;

  @Column('integer', { name: 'sung_keys' })
  sungKeys!: number;

  @Column('smallint', { nullable: true })
  lowest!: number | null;

  @Column('smallint', { nullable: true })
  highest!: number | null;

  @Column('text', { array: true })
  marks!: Mark[];

  @Column('jsonb', { name: 'worked_on' })
  workedOn!: readonly PastExercise[];

  /** Ids of the exercises that were worked on. */
  @Column('text', { array: true })
  exercises!: string[];
}
