import type { Exercise } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An exercise as it is stored; the schema number says how to read it. */
export interface StoredExercise {
  readonly schema: number;
  readonly exercise: Exercise;
}

@Entity('exercise')
export class OwnExercise {
  @PrimaryColumn('uuid', { name: 'studio_id' })
  studioId!: string;

  @PrimaryColumn('text')
  id!: string;

  @Column('jsonb')
  body!: StoredExercise;

  @Column('integer')
  version!: number;

  /** The one student it is for; it stands on nobody else's shelf. */
  @Column('uuid', { name: 'student_id', nullable: true })
  studentId!: string | null;

  @Column('timestamptz', { name: 'archived_at', nullable: true })
  archivedAt!: Date | null;

  @Column('uuid', { name: 'import_id', nullable: true })
  importId!: string | null;

  /** What it was before the import that changed it. */
  @Column('jsonb', { name: 'before_import', nullable: true })
  beforeImport!: StoredExercise | null;

  @Column('timestamptz', { name: 'updated_at' })
  updatedAt!: Date;
}
