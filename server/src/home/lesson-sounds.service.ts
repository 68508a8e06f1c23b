import { Injectable, Logger, type MessageEvent } from '@nestjs/common';
import type { LessonSound } from '@soft-lark/core';
import {
  catchError,
  concatMap,
  EMPTY,
  endWith,
  filter,
  finalize,
  map,
  merge,
  takeWhile,
  timer,
  type Observable,
} from 'rxjs';
import { Problem } from '../common/index.ts';
import { Broadcast } from '../database/index.ts';
import { StudentsService } from '../students/index.ts';
import type { HomeLink } from './home-link.entity.ts';
import { HomeLinksService } from './home-links.service.ts';

/** How often whoever listens is seen, and a link that was taken back is noticed. */
const BEAT = 5000;
/** House choice: pages that listen by one link at the same time. */
const MOST_LISTENERS = 4;

interface Sent {
  readonly studioId: string;
  readonly studentId: string;
  readonly sound: LessonSound;
}

/** What a teacher lets sound, on its way to the student’s page. Nothing is kept: what comes late is worth nothing. */
@Injectable()
export class LessonSoundsService {
  private readonly log = new Logger('lesson sounds');
  /** How many listen here, by link. */
  private readonly listeners = new Map<string, number>();

  constructor(
    private readonly broadcast: Broadcast,
    private readonly students: StudentsService,
    private readonly links: HomeLinksService,
  ) {}

  /** @throws Problem `TOO_LARGE` where a key has more notes than can be passed on at once */
  async send(studioId: string, studentId: string, sound: LessonSound): Promise<void> {
    await this.students.demand(studioId, studentId);
    await this.broadcast.send({ studioId, studentId, sound } satisfies Sent);
  }

  /**
   * What is sent to the student of a link, from now on until the link is taken back.
   *
   * @throws Problem `TOO_OFTEN` where many pages listen by it already
   */
  listen(link: HomeLink): Observable<MessageEvent> {
    const before = this.listeners.get(link.id) ?? 0;
    if (before >= MOST_LISTENERS)
      throw new Problem(429, 'TOO_OFTEN', 'This link listens in several windows already.', {
        remedy: 'Close one of them.',
      });
    this.listeners.set(link.id, before + 1);
    const sounds = this.broadcast.messages.pipe(
      map((message) => message as Sent),
      filter(({ studioId, studentId }) => studioId === link.studioId && studentId === link.studentId),
      map(({ sound }): MessageEvent => ({ data: sound })),
      endWith(null),
    );
    const beats = timer(0, BEAT).pipe(
      concatMap(() => this.beat(link)),
      takeWhile((isOpen) => isOpen),
      map((): MessageEvent => ({ comment: 'here' })),
      // The page asks again by itself in a moment.
      catchError(() => EMPTY),
      endWith(null),
    );
    return merge(beats, sounds).pipe(
      takeWhile((message) => message !== null),
      finalize(() => {
        this.leave(link);
      }),
    );
  }

  /** Whoever listens is seen, and the line is there. @returns whether the link still opens */
  private async beat(link: HomeLink): Promise<boolean> {
    await this.broadcast.demandOpen();
    return this.links.isSeen(link);
  }

  private leave(link: HomeLink): void {
    const others = (this.listeners.get(link.id) ?? 1) - 1;
    if (others > 0) this.listeners.set(link.id, others);
    else this.listeners.delete(link.id);
    if (others > 0) return;
    this.links.isLeft(link).catch((cause: unknown) => {
      this.log.warn(`Somebody who left is seen for some seconds more: ${String(cause)}`);
    });
  }
}
