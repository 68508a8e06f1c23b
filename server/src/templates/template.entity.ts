import type { RecipePart, RoutineKind, RoutineStep } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What a template holds: steps where it is kept as it is, places to fill where it is a recipe. */
export interface StoredTemplate {
  readonly schema: 1;
  readonly kind: RoutineKind;
  readonly minutes: number;
  readonly steps: readonly RoutineStep[];
  readonly parts: readonly RecipePart[];
}

/** A routine a studio keeps to begin others from. */
@Entity('template')
export class Template {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text')
  name!: string;

  @Column('jsonb')
  body!: StoredTemplate;

  @Column('timestamptz', { name: 'saved_at' })
  savedAt!: Date;
}
