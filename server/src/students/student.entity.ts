import type { VoiceFile } from '@soft-lark/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

/** A voice file as it is stored; the schema number says how to read it. */
export type StoredVoice = VoiceFile & { readonly schema: number };

@Entity('student')
export class Student {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text')
  name!: string;

  /** For the teacher alone. */
  @Column('text')
  note!: string;

  @Column('jsonb')
  voice!: StoredVoice;

  @Column('integer')
  version!: number;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt!: Date;
}
