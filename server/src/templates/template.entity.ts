import type { KeptTemplate } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A template as it is stored; the schema number says how to read it. */
export type StoredTemplate = KeptTemplate & { readonly schema: number };

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
