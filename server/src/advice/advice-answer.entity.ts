import type { AdviceAnswer as Answered } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Advice from past runs that a teacher took or refused. */
@Entity('advice_answer')
export class AdviceAnswer {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'student_id' })
  studentId!: string;

  @Column('text', { name: 'exercise_id' })
  exerciseId!: string;

  @Column('text')
  kind!: Answered['kind'];

  @Column('text')
  verdict!: Answered['verdict'];

  @Column('text')
  answer!: Answered['answer'];

  /** Semitones the top of the exercise moved by. */
  @Column('smallint', { name: 'moves_by', nullable: true })
  movesBy!: number | null;

  /** Day in the studio's zone. */
  @Column('date')
  date!: string;
}
