import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A rule of the review that is muted; for the whole studio where neither student nor routine is named. */
@Entity('mute')
export class Mute {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text')
  rule!: string;

  @Column('text')
  reason!: string;

  @Column('uuid', { name: 'student_id', nullable: true })
  studentId!: string | null;

  @Column('uuid', { name: 'routine_id', nullable: true })
  routineId!: string | null;

  @Column('timestamptz', { name: 'muted_at' })
  mutedAt!: Date;
}
