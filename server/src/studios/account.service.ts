import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { DataSource, IsNull, Repository, type EntityManager } from 'typeorm';
import { faultOf } from '@soft-lark/core';
import { Clock, fieldProblem, isTwice, Problem, type SignedIn } from '../common/index.ts';
import { Account } from './account.entity.ts';
import type { NewEmailDto, NewPasswordDto, OpenSessionDto, RecoveryDto } from './dto/account.dto.ts';
import { emailTaken } from './email-taken.ts';
import { OpenSessions } from './open-sessions.ts';
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
    private readonly sessions: OpenSessions,
    private readonly clock: Clock,
  ) {}

  /** New recovery codes, for whoever knows the password; the old ones open nothing any more. */
  async newCodes({ accountId, studioId }: SignedIn, password: string): Promise<string[]> {
    await this.refuseDemo(studioId);
    await this.confirm(accountId, password);
    return this.firstCodes(accountId);
  }

  /** Codes in place of whatever there was. */
  async firstCodes(accountId: string, manager: EntityManager = this.source.manager): Promise<string[]> {
    const codes = Array.from({ length: CODES }, newCode);
    await manager.transaction(async (inner) => {
      await inner.delete(RecoveryCode, { accountId });
      await inner.insert(
        RecoveryCode,
        codes.map((code) => ({ accountId, codeHash: hashOf(code), usedAt: null })),
      );
    });
    return codes;
  }

  /** A new password ends every session and every code there was. @returns the codes that open the account from now on */
  async changePassword({ accountId, studioId }: SignedIn, { current, next }: NewPasswordDto): Promise<string[]> {
    await this.refuseDemo(studioId);
    await this.confirm(accountId, current);
    return this.setPassword(accountId, next);
  }

  /** Another address to sign in with, for whoever knows the password. */
  async changeEmail({ accountId, studioId }: SignedIn, { email, password }: NewEmailDto): Promise<void> {
    await this.refuseDemo(studioId);
    await this.confirm(accountId, password);
    const change = this.accounts.update({ id: accountId }, { email: email.toLowerCase() });
    await change.catch((error: unknown) => {
      throw isTwice(error) ? emailTaken() : error;
    });
  }

  private async setPassword(accountId: string, password: string): Promise<string[]> {
    const passwordHash = await hashPassword(password);
    return this.source.transaction(async (manager) => {
      await manager.update(Account, { id: accountId }, { passwordHash });
      await this.sessions.endAll(accountId, manager);
      return this.firstCodes(accountId, manager);
    });
  }

  async openSessions({ accountId, studioId }: SignedIn, ownSid: string): Promise<OpenSessionDto[]> {
    await this.refuseDemo(studioId);
    return this.sessions.list(accountId, ownSid);
  }

  async endSession({ accountId, studioId }: SignedIn, id: string): Promise<void> {
    await this.refuseDemo(studioId);
    await this.sessions.end(accountId, id);
  }

  /** Opens an account with one of its codes and gives it a new password; the code is used up. */
  async recover({ email, code, password }: RecoveryDto): Promise<{ signedIn: SignedIn; codes: string[] }> {
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
    const codes = await this.setPassword(account.id, password);
    return { signedIn: { accountId: account.id, studioId: account.studioId }, codes };
  }

  /** Closes the account and deletes the studio with all that belongs to it. */
  async close({ accountId, studioId }: SignedIn, password: string): Promise<void> {
    await this.refuseDemo(studioId);
    await this.confirm(accountId, password);
    await this.sessions.endAll(accountId);
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
      errors: [fieldProblem('password', faultOf('wrong-password'))],
    });
  }
}
