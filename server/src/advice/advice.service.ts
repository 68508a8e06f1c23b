import { Injectable } from '@nestjs/common';
import { Clock, notFound } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudentsService } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type { AdviceAnswerDto, NewAdviceAnswerDto } from './dto/advice.dto.ts';
import { AdviceAnswer } from './advice-answer.entity.ts';

/** House choice: what was answered longer ago than anything advice rests on is not asked for. */
const MOST_ANSWERS = 500;

/** What was done with advice, so that it counts next time. */
@Injectable()
export class AdviceService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly studios: StudiosService,
    private readonly clock: Clock,
  ) {}

  async list(studioId: string, studentId: string): Promise<AdviceAnswerDto[]> {
    await this.students.demand(studioId, studentId);
    const rows = await this.scope
      .of(AdviceAnswer, studioId)
      .find({ where: { studentId }, order: { date: 'DESC', id: 'DESC' }, take: MOST_ANSWERS });
    return rows.map(({ id, exerciseId, kind, verdict, answer, date }) => ({
      id,
      exerciseId,
      kind,
      verdict,
      answer,
      date,
    }));
  }

  /** Writes an answer down; the same id again changes nothing. */
  async answer(studioId: string, studentId: string, wanted: NewAdviceAnswerDto): Promise<AdviceAnswerDto> {
    await this.students.demand(studioId, studentId);
    const { date } = this.clock.today(await this.studios.timeZoneOf(studioId));
    await this.scope.of(AdviceAnswer, studioId).insertNew([{ ...wanted, studentId, date }]);
    return { ...wanted, date };
  }

  async takeBack(studioId: string, studentId: string, id: string): Promise<void> {
    if (!(await this.scope.of(AdviceAnswer, studioId).delete({ id, studentId }))) throw notFound('answer to advice');
  }
}
