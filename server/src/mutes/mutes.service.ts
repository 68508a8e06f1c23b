import { Injectable } from '@nestjs/common';
import { Clock, notFound, Problem } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { RoutinesService } from '../routines/index.ts';
import { StudentsService } from '../students/index.ts';
import type { MuteDto, NewMuteDto } from './dto/mutes.dto.ts';
import { Mute } from './mute.entity.ts';

/** Rules of the review that are muted in a studio. */
@Injectable()
export class MutesService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly routines: RoutinesService,
    private readonly clock: Clock,
  ) {}

  async list(studioId: string): Promise<MuteDto[]> {
    const rows = await this.scope.of(Mute, studioId).find({ order: { mutedAt: 'DESC' } });
    return rows.map((row) => this.view(row));
  }

  async mute(studioId: string, { id, rule, reason, studentId, routineId }: NewMuteDto): Promise<MuteDto> {
    if (studentId !== undefined && routineId !== undefined)
      throw new Problem(422, 'INVALID', 'A rule is muted for a student or for a routine, not for both.');
    if (studentId !== undefined) await this.students.demand(studioId, studentId);
    if (routineId !== undefined) await this.routines.get(studioId, routineId);
    const rows = this.scope.of(Mute, studioId);
    const target = { studentId: studentId ?? null, routineId: routineId ?? null };
    await rows.insertNew([{ id, rule, reason, ...target, mutedAt: this.clock.now() }]);
    const row = await rows.findOne({ id });
    if (!row) throw notFound('mute');
    return this.view(row);
  }

  async unmute(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Mute, studioId).delete({ id }))) throw notFound('mute');
  }

  private view({ id, rule, reason, studentId, routineId, mutedAt }: Mute): MuteDto {
    return { id, rule, reason, studentId, routineId, mutedAt: mutedAt.toISOString() };
  }
}
