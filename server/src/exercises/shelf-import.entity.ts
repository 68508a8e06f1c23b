import { Column, Entity, PrimaryColumn } from 'typeorm';

/** One import into the shelf, which can be undone as one. */
@Entity('shelf_import')
export class ShelfImport {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  /** The file's name. */
  @Column('text')
  name!: string;

  @Column('integer')
  items!: number;

  @Column('timestamptz', { name: 'created_at' })
  createdAt!: Date;

  @Column('timestamptz', { name: 'undone_at', nullable: true })
  undoneAt!: Date | null;
}
