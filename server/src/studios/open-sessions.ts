import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import Bowser from 'bowser';
import type { EntityManager } from 'typeorm';
import { DataSource } from 'typeorm';
import { notFound } from '../common/index.ts';
import type { OpenSessionDto } from './dto/account.dto.ts';

interface Row {
  readonly sid: string;
  readonly opened_at: string | null;
  readonly seen_at: string | null;
  readonly device: string | null;
}

/** What names a session for its owner; the id itself opens the studio and never leaves the cookie. */
const nameOf = (sid: string): string => createHash('sha256').update(sid).digest('hex').slice(0, 32);

/** Program and system of a browser, as a person would name them. */
export function deviceOf(userAgent: string | undefined): string {
  const { browser, os } = Bowser.parse((userAgent ?? '').slice(0, 400) || 'unknown');
  return [browser.name, os.name].filter(Boolean).join(', ');
}

/** The sessions of an account: seen and ended by its owner. */
@Injectable()
export class OpenSessions {
  constructor(private readonly source: DataSource) {}

  /** Sessions that still open the account, the one seen last first. */
  async list(accountId: string, ownSid: string): Promise<OpenSessionDto[]> {
    const rows = await this.source.query<Row[]>(
      `select sid, sess->>'openedAt' as opened_at, sess->>'seenAt' as seen_at, sess->>'device' as device
         from session where sess->'signedIn'->>'accountId' = $1 and expire > now() order by sess->>'seenAt' desc limit 100`,
      [accountId],
    );
    return rows.map(({ sid, opened_at, seen_at, device }) => ({
      id: nameOf(sid),
      openedAt: opened_at,
      seenAt: seen_at,
      device: device ?? '',
      isThis: sid === ownSid,
    }));
  }

  /** @throws Problem `NOT_FOUND` where this account has no such session */
  async end(accountId: string, id: string): Promise<void> {
    const rows = await this.source.query<{ sid: string }[]>(
      `select sid from session where sess->'signedIn'->>'accountId' = $1`,
      [accountId],
    );
    const session = rows.find(({ sid }) => nameOf(sid) === id);
    if (!session) throw notFound('session');
    await this.source.query('delete from session where sid = $1', [session.sid]);
  }

  /** Whoever knew the old password is signed out everywhere; the caller opens a session anew. */
  async endAll(accountId: string, manager: EntityManager = this.source.manager): Promise<void> {
    await manager.query(`delete from session where sess->'signedIn'->>'accountId' = $1`, [accountId]);
  }
}
