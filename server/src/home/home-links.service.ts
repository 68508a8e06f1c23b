import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { IsNull, MoreThan } from 'typeorm';
import { Clock, demandRoom, notFound, Problem } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudentsService } from '../students/index.ts';
import { SharedThrottle } from '../studios/index.ts';
import type { HomeLinkDto, MadeHomeLinkDto, NewHomeLinkDto } from './dto/home.dto.ts';
import { HomeLink } from './home-link.entity.ts';

/** House choice: links of one student that open at the same time. */
const MOST_LINKS = 10;
/** 192 bits: nobody guesses one, so a plain hash is enough to keep them. */
const TOKEN_BYTES = 24;
const MINUTE = 60_000;
/** House choice: wrong links from one address in a minute. */
const MOST_MISSES = 30;
const WEEK = 7 * 86_400_000;
/** Whoever listens is seen every few seconds; after so long nobody is there any more. */
const GONE_AFTER = 12_000;

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/** Links by which students practise: made, found, revoked. */
@Injectable()
export class HomeLinksService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly clock: Clock,
    private readonly misses: SharedThrottle,
  ) {}

  /** Those that open now, the newest first. */
  async list(studioId: string, studentId: string): Promise<HomeLinkDto[]> {
    await this.students.demand(studioId, studentId);
    const links = await this.scope.of(HomeLink, studioId).find({
      where: { studentId, revokedAt: IsNull(), expiresAt: MoreThan(this.clock.now()) },
      order: { createdAt: 'DESC' },
    });
    return links.map((link) => this.view(link));
  }

  async make(studioId: string, studentId: string, { id, weeks }: NewHomeLinkDto): Promise<MadeHomeLinkDto> {
    const open = await this.list(studioId, studentId);
    demandRoom('links', open.length, MOST_LINKS);
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const createdAt = this.clock.now();
    const expiresAt = new Date(createdAt.getTime() + weeks * WEEK);
    const link = {
      id,
      studentId,
      tokenHash: hashOf(token),
      createdAt,
      expiresAt,
      openedAt: null,
      revokedAt: null,
      listeningAt: null,
    };
    // A token is told once: made twice, the second would open nothing.
    if ((await this.scope.of(HomeLink, studioId).insertNew([link])) === 0)
      throw new Problem(409, 'TWICE', 'This link was made already.', {
        remedy: 'Make another one.',
        values: { context: 'link' },
      });
    return { ...this.view({ ...link, studioId }), token };
  }

  async revoke(studioId: string, studentId: string, id: string): Promise<void> {
    const change = { revokedAt: this.clock.now() };
    if (!(await this.scope.of(HomeLink, studioId).update({ id, studentId, revokedAt: IsNull() }, change)))
      throw notFound('link');
  }

  /**
   * The link a token opens. One that is wrong, expired or revoked is refused in the same words: whether it ever was is not told.
   *
   * @throws Problem `NO_LINK`, or `TOO_OFTEN` where one address tries too many
   */
  async open(token: string, address: string): Promise<HomeLink> {
    const link = await this.scope.bySecret(HomeLink, { tokenHash: hashOf(token) });
    const now = this.clock.now();
    if (link && link.revokedAt === null && link.expiresAt > now) {
      await this.scope.of(HomeLink, link.studioId).update({ id: link.id }, { openedAt: now });
      return link;
    }
    const { isBlocked } = await this.misses.increment(address, MINUTE, MOST_MISSES, 0, 'home-link');
    if (isBlocked)
      throw new Problem(429, 'TOO_OFTEN', 'Too many links were tried from here.', { remedy: 'Wait a minute.' });
    throw new Problem(404, 'NO_LINK', 'This link does not open anything, or not any more.', {
      remedy: 'Ask your teacher for a new one.',
    });
  }

  /** Somebody listens by this link. @returns whether it still opens */
  async isSeen({ id, studioId }: HomeLink): Promise<boolean> {
    const now = this.clock.now();
    const open = { id, revokedAt: IsNull(), expiresAt: MoreThan(now) };
    return this.scope.of(HomeLink, studioId).update(open, { listeningAt: now });
  }

  /** Nobody listens by this link any more. */
  async isLeft({ id, studioId }: HomeLink): Promise<void> {
    await this.scope.of(HomeLink, studioId).update({ id }, { listeningAt: null });
  }

  private view({ id, createdAt, expiresAt, openedAt, listeningAt }: HomeLink): HomeLinkDto {
    const seen = listeningAt?.getTime() ?? 0;
    return {
      id,
      createdAt: createdAt.toISOString(),
      expiresAt: expiresAt.toISOString(),
      openedAt: openedAt?.toISOString() ?? null,
      isListening: this.clock.now().getTime() - seen < GONE_AFTER,
    };
  }
}
