import type { Condition } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** How a student's voice is on one day; the answers that led to it are not kept. */
@Entity('day_condition')
export class DayCondition {
  @PrimaryColumn('uuid', { name: 'student_id' })
  studentId!: string;

  @PrimaryColumn('date')
  day!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text', { array: true })
  conditions!: Condition[];

  /** The routine chosen for the day; null where the one changed last will do. */
  @Column('uuid', { name: 'routine_id', nullable: true })
  routineId!: string | null;
}
