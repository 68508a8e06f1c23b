import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { DataSource, Repository } from 'typeorm';
import { v7 } from 'uuid';
import { Clock, fieldProblem, isTimeZone, isTwice, Problem, staleWrite, type SignedIn } from '../common/index.ts';
import { Account } from './account.entity.ts';
import { changeRules, faultOf } from '@soft-lark/core';
import type { SessionDto, SignInDto, SignUpDto, StudioDto } from './dto/studios.dto.ts';
import { emailTaken } from './email-taken.ts';
import { hashPassword, isPassword } from './passwords.ts';
import { Studio } from './studio.entity.ts';

type Answers = Omit<StudioDto, 'name' | 'version'>;

/** What a studio begins with; ten minutes of half an hour are a house default. */
const FIRST_ANSWERS: Omit<Answers, 'timeZone'> = {
  approach: {},
  rules: {},
  noteNaming: { scheme: 'scientific', spelling: 'usual', middleDo: 4 },
  readyQuestions: [],
  ownOverlays: [],
  clock: '24',
  usualMinutes: 10,
  backupsKept: 7,
};

function answersOf(studio: Studio): Answers {
  const { timeZone, approach, rules, noteNaming, readyQuestions, ownOverlays, clock, usualMinutes, backupsKept } =
    studio;
  return { timeZone, approach, rules, noteNaming, readyQuestions, ownOverlays, clock, usualMinutes, backupsKept };
}

@Injectable()
export class StudiosService {
  constructor(
    @InjectRepository(Account) private readonly accounts: Repository<Account>,
    @InjectRepository(Studio) private readonly studios: Repository<Studio>,
    private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  async signUp(wanted: SignUpDto): Promise<SignedIn> {
    this.checkTimeZone(wanted.timeZone);
    return this.found({ ...wanted, isDemo: false });
  }

  private checkTimeZone(timeZone: string): void {
    if (isTimeZone(timeZone)) return;
    throw new Problem(422, 'INVALID', `“${timeZone}” is not a time zone.`, {
      errors: [fieldProblem('timeZone', faultOf('no-time-zone'))],
      values: { context: 'time-zone', zone: timeZone },
    });
  }

  async settings(studioId: string): Promise<StudioDto> {
    const studio = await this.find(studioId);
    return { name: studio.name, ...answersOf(studio), version: studio.version };
  }

  /** Changes the studio's settings; a rule table that makes no sense is refused with its row. */
  async change(studioId: string, { version, ...wanted }: StudioDto): Promise<StudioDto> {
    this.checkTimeZone(wanted.timeZone);
    changeRules(wanted.rules, 'studio');
    const { affected } = await this.studios.update({ id: studioId, version }, { ...wanted, version: version + 1 });
    const current = await this.settings(studioId);
    if (affected === 0) throw staleWrite('studio', current);
    return current;
  }

  /** Makes a studio and its first account together, or neither. */
  async found(wanted: SignUpDto & { readonly isDemo: boolean }): Promise<SignedIn> {
    const email = wanted.email.toLowerCase();
    if (await this.accounts.existsBy({ email })) throw emailTaken();
    const passwordHash = await hashPassword(wanted.password);
    const signedIn = { studioId: v7(), accountId: v7() };
    const made = this.source.transaction(async (manager) => {
      const { studioName, timeZone, isDemo, name } = wanted;
      await manager.insert(Studio, {
        id: signedIn.studioId,
        ...FIRST_ANSWERS,
        name: studioName,
        timeZone,
        isDemo,
        version: 1,
      });
      await manager.insert(Account, { id: signedIn.accountId, studioId: signedIn.studioId, name, email, passwordHash });
    });
    await made.catch((error: unknown) => {
      throw isTwice(error) ? emailTaken() : error;
    });
    return signedIn;
  }

  async signIn({ email, password }: SignInDto): Promise<SignedIn> {
    const account = await this.accounts.findOneBy({ email: email.toLowerCase() });
    if (!(await isPassword(account?.passwordHash, password)) || !account) {
      throw new Problem(401, 'WRONG_PASSWORD', 'This e-mail address and password do not go together.', {
        remedy: 'Check both and try again.',
        values: { context: 'sign-in' },
      });
    }
    return { accountId: account.id, studioId: account.studioId };
  }

  async describe({ accountId, studioId }: SignedIn): Promise<SessionDto> {
    const [account, studio] = await Promise.all([
      this.accounts.findOneBy({ id: accountId, studioId }),
      this.studios.findOneBy({ id: studioId }),
    ]);
    if (!account || !studio)
      throw new Problem(401, 'SIGNED_OUT', 'This account is not there any more.', { remedy: 'Sign in again.' });
    return {
      studioId,
      name: account.name,
      email: account.email,
      studioName: studio.name,
      isDemo: studio.isDemo,
      ...answersOf(studio),
      fixedNow: this.clock.fixed,
      today: this.clock.today(studio.timeZone).date,
    };
  }

  /** A studio that was closed meanwhile is as good as signed out. */
  private async find(id: string): Promise<Studio> {
    const studio = await this.studios.findOneBy({ id });
    if (studio) return studio;
    throw new Problem(401, 'SIGNED_OUT', 'This studio is not there any more.', { remedy: 'Sign in again.' });
  }

  async timeZoneOf(studioId: string): Promise<string> {
    const { timeZone } = await this.find(studioId);
    return timeZone;
  }

  /** The first account of the demo studio, if there is one. */
  async demo(): Promise<SignedIn | null> {
    const studio = await this.studios.findOneBy({ isDemo: true });
    const account = studio && (await this.accounts.findOneBy({ studioId: studio.id }));
    return account && { accountId: account.id, studioId: account.studioId };
  }
}
