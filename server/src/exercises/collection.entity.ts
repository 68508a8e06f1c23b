import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Exercises a teacher keeps together under a name. */
@Entity('collection')
export class Collection {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text')
  name!: string;

  @Column('jsonb')
  exercises!: readonly string[];

  @Column('integer')
  version!: number;

  @Column('uuid', { name: 'import_id', nullable: true })
  importId!: string | null;
}
