import { lockHolds, LOCK_LEVELS } from '@soft-lark/core';
import { Injectable } from '@nestjs/common';
import { In, IsNull } from 'typeorm';
import { Clock, notFound, type SignedIn } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudentsService, type StudentDto } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type { LockDto, NewLockDto } from './dto/gate.dto.ts';
import { VoiceLock } from './voice-lock.entity.ts';

@Injectable()
export class GateService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly studios: StudiosService,
    private readonly clock: Clock,
  ) {}

  /** All locks of a student, the newest first. */
  async list(studioId: string, studentId: string): Promise<LockDto[]> {
    await this.students.demand(studioId, studentId);
    const locks = await this.scope
      .of(VoiceLock, studioId)
      .find({ where: { studentId }, order: { since: 'DESC', id: 'DESC' } });
    return locks.map((lock) => this.view(lock));
  }

  /** The strictest lock that holds today, for each of these students. */
  async open(studioId: string, students: readonly StudentDto[], today: string): Promise<ReadonlyMap<string, LockDto>> {
    const locks = await this.scope
      .of(VoiceLock, studioId)
      .find({ where: { studentId: In(students.map(({ id }) => id)), liftedAt: IsNull() } });
    const found = new Map<string, LockDto>();
    for (const { id, voice } of students) {
      const open = locks
        .filter((lock) => lock.studentId === id && lockHolds(lock, voice.clearedOn, today))
        .sort((a, b) => LOCK_LEVELS.indexOf(a.level) - LOCK_LEVELS.indexOf(b.level));
      if (open[0]) found.set(id, this.view(open[0]));
    }
    return found;
  }

  async lock(studioId: string, studentId: string, { id, level }: NewLockDto): Promise<LockDto> {
    await this.students.demand(studioId, studentId);
    const { date: since } = this.clock.today(await this.studios.timeZoneOf(studioId));
    const row = { id, studentId, level, since, liftedAt: null, liftedBy: null, reason: null };
    await this.scope.of(VoiceLock, studioId).insertNew([row]);
    return this.get(studioId, studentId, id);
  }

  /** The teacher's own way back, with the reason in the teacher's words. */
  async lift({ studioId, accountId }: SignedIn, studentId: string, id: string, reason: string): Promise<LockDto> {
    const { liftedAt } = await this.get(studioId, studentId, id);
    if (liftedAt === null) {
      const { name } = await this.studios.describe({ studioId, accountId });
      const change = { liftedAt: this.clock.now(), liftedBy: name, reason };
      await this.scope.of(VoiceLock, studioId).update({ id }, change);
    }
    return this.get(studioId, studentId, id);
  }

  private async get(studioId: string, studentId: string, id: string): Promise<LockDto> {
    const lock = await this.scope.of(VoiceLock, studioId).findOne({ id, studentId });
    if (!lock) throw notFound('lock');
    return this.view(lock);
  }

  private view({ id, level, since, liftedAt, liftedBy, reason }: VoiceLock): LockDto {
    return { id, level, since, liftedAt: liftedAt?.toISOString() ?? null, liftedBy, reason };
  }
}
