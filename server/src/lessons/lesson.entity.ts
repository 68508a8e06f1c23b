import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A weekly lesson in the studio's time zone. */
@Entity('lesson')
export class Lesson {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'student_id' })
  studentId!: string;

  /** Monday is 1. */
  @Column('smallint')
  weekday!: number;

  /** HH:MM. */
  @Column('text', { name: 'starts_at' })
  startsAt!: string;

  @Column('smallint')
  minutes!: number;
}
