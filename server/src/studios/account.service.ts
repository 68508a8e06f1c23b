import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { DataSource, IsNull, Repository } from 'typeorm';
import { Clock, Problem, type SignedIn } from '../common/index.ts';
import { Account } from './account.entity.ts';
import type { NewPasswordDto, RecoveryDto } from './dto/studios.dto.ts';
import { hashPassword, isPassword } from './passwords.ts';
import { RecoveryCode } from './recovery-code.entity.ts';
import { Studio } from './studio.entity.ts';

const CODES = 8;
/** 80 bits each: too many to guess, so a plain hash is enough to keep them. */
const CODE_BYTES = 10;

function hashOf(code: string): string {
  return createHash('sha256')
    .update(code.toLowerCase().replace(/[^a-z0-9]/g, ''))
    .digest('hex');
}

/** Five groups of four, as a person copies them. */
function newCode(): string {
  return (randomBytes(CODE_BYTES).toString('hex').match(/.{4}/g) ?? []).join('-');
}

/** What an account holder does with the account itself. */
@Injectable()
export class AccountService {
  constructor(
    @InjectRepository(Account) private readonly accounts: Repository<Account>,
    @InjectRepository(RecoveryCode) private readonly codes: Repository<RecoveryCode>,
    private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** New recovery codes; the old ones open nothing any more. */
  async newCodes({ accountId, studioId }: SignedIn): Promise<string[]> {
    await this.refuseDemo(studioId);
    const codes = Array.from({ length: CODES }, newCode);
    await this.source.transaction(async (manager) => {
      await manager.delete(RecoveryCode, { accountId });
      await manager.insert(
        RecoveryCode,
        codes.map((code) => ({ accountId, codeHash: hashOf(code), usedAt: null })),
      );
    });
    return codes;
  }

  async changePassword({ accountId }: SignedIn, { current, next }: NewPasswordDto): Promise<void> {
    await this.confirm(accountId, current);
    await this.accounts.update({ id: accountId }, { passwordHash: await hashPassword(next) });
    await this.endOtherSessions(accountId);
  }

  /** Opens an account with one of its codes and gives it a new password; the code is used up. */
  async recover({ email, code, password }: RecoveryDto): Promise<SignedIn> {
    const account = await this.accounts.findOneBy({ email: email.toLowerCase() });
    const used =
      account &&
      (await this.codes.update(
        { accountId: account.id, codeHash: hashOf(code), usedAt: IsNull() },
        { usedAt: this.clock.now() },
      ));
    if (!account || used?.affected !== 1) {
      throw new Problem(401, 'WRONG_CODE', 'This e-mail address and recovery code do not go together.', {
        remedy: 'Check both; each code works once.',
      });
    }
    await this.accounts.update({ id: account.id }, { passwordHash: await hashPassword(password) });
    await this.endOtherSessions(account.id);
    return { accountId: account.id, studioId: account.studioId };
  }

  /** Closes the account and deletes the studio with all that belongs to it. */
  async close({ accountId, studioId }: SignedIn, password: string): Promise<void> {
    await this.refuseDemo(studioId);
    await this.confirm(accountId, password);
    await this.endOtherSessions(accountId);
    await this.source.getRepository(Studio).delete({ id: studioId });
  }

  /** Anyone may open the demo, so nobody may take it for themselves. */
  private async refuseDemo(studioId: string): Promise<void> {
    if (!(await this.source.getRepository(Studio).existsBy({ id: studioId, isDemo: true }))) return;
    throw new Problem(403, 'DEMO_STAYS', 'The demo studio belongs to everybody; its account cannot be changed.', {
      remedy: 'Sign up for a studio of your own.',
    });
  }

  private async confirm(accountId: string, password: string): Promise<void> {
    const account = await this.accounts.findOneBy({ id: accountId });
    if (await isPassword(account?.passwordHash, password)) return;
    throw new Problem(403, 'WRONG_PASSWORD', 'That is not the password of this account.', {
      remedy: 'Type it again.',
      errors: [{ field: 'password', message: 'is not the password of this account' }],
    });
  }

  /** Whoever knew the old password is signed out everywhere; the caller opens a session anew. */
  private async endOtherSessions(accountId: string): Promise<void> {
    await this.source.query(`delete from session where sess->'signedIn'->>'accountId' = $1`, [accountId]);
  }
}
