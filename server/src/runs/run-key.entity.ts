import type { Help, Leg, Mark, SungKey } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** One key as it was really sung, or left out on the way. */
@Entity('run_key')
export class RunKey {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'run_id' })
  runId!: string;

  @Column('integer')
  position!: number;

  @Column('uuid', { name: 'step_id' })
  stepId!: string;

  @Column('text', { name: 'exercise_id' })
  exerciseId!: string;

  @Column('smallint')
  tonic!: number;

  @Column('text')
  leg!: Leg;

  @Column('smallint')
  low!: number;

  @Column('smallint')
  high!: number;

  @Column('real')
  tempo!: number;

  @Column('text')
  outcome!: SungKey['outcome'];

  @Column('text', { array: true })
  marks!: Mark[];

  /** Who sounded in it; null for glides, and for keys of before this was kept. */
  @Column('text', { nullable: true })
  help!: Help | null;

  @Column('text', { nullable: true })
  manner!: string | null;
}
