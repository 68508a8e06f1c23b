import type { Song } from '@soft-lark/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A tune as it is stored; the schema number says how to read it. */
export interface StoredTune {
  readonly schema: number;
  readonly song: Song;
}

/** A song of a studio. */
@Entity('song')
export class StoredSong {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text')
  name!: string;

  @Column('jsonb')
  body!: StoredTune;

  @Column('integer')
  version!: number;
}
