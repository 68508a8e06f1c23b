import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A link one student practises by. Its token is given once; only the hash is kept. */
@Entity('home_link')
export class HomeLink {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('uuid', { name: 'student_id' })
  studentId!: string;

  @Column('text', { name: 'token_hash' })
  tokenHash!: string;

  @Column('timestamptz', { name: 'created_at' })
  createdAt!: Date;

  @Column('timestamptz', { name: 'expires_at' })
  expiresAt!: Date;

  @Column('timestamptz', { name: 'opened_at', nullable: true })
  openedAt!: Date | null;

  @Column('timestamptz', { name: 'revoked_at', nullable: true })
  revokedAt!: Date | null;

  /** When somebody was last seen listening by it. */
  @Column('timestamptz', { name: 'listening_at', nullable: true })
  listeningAt!: Date | null;
}
