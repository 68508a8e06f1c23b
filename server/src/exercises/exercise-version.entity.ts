import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { StoredExercise } from './own-exercise.entity.ts';

/** An exercise of a studio's own as it stood after one change. */
@Entity('exercise_version')
export class ExerciseVersion {
  @PrimaryColumn('uuid', { name: 'studio_id' })
  studioId!: string;

  @PrimaryColumn('text', { name: 'exercise_id' })
  exerciseId!: string;

  @PrimaryColumn('integer')
  version!: number;

  @Column('jsonb')
  body!: StoredExercise;

  @Column('timestamptz', { name: 'saved_at' })
  savedAt!: Date;
}
