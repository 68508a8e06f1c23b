import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A code that opens an account once when the password is lost; only its hash is kept. */
@Entity('recovery_code')
export class RecoveryCode {
  @PrimaryColumn('uuid', { name: 'account_id' })
  accountId!: string;

  @PrimaryColumn('text', { name: 'code_hash' })
  codeHash!: string;

  @Column('timestamptz', { name: 'used_at', nullable: true })
  usedAt!: Date | null;
}
