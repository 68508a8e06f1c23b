import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A pair or a small group that sings together. */
@Entity('singer_group')
export class SingerGroup {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text')
  name!: string;

  @Column('integer')
  version!: number;
}
