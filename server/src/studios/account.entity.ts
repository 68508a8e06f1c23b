import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

@Entity('account')
export class Account {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('text')
  name!: string;

  /** In lower case, so that it is unique however it is typed. */
  @Column('text')
  email!: string;

  @Column('text', { name: 'password_hash' })
  passwordHash!: string;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt!: Date;
}
