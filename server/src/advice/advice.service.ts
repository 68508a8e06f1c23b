import { takenAdvice } from '@soft-lark/core';
import { Injectable } from '@nestjs/common';
import { In, IsNull, Not } from 'typeorm';
import { Clock, notFound } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudentsService, type StudentDto } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type { AdviceAnswerDto, AdvisedDto, NewAdviceAnswerDto } from './dto/advice.dto.ts';
import { AdviceAnswer } from './advice-answer.entity.ts';

/** House choice: what was answered longer ago than anything advice rests on is not asked for. */
const MOST_ANSWERS = 500;

function viewOf({ id, exerciseId, kind, verdict, answer, movesBy, date }: AdviceAnswer): AdviceAnswerDto {
  return { id, exerciseId, kind, verdict, answer, ...(movesBy !== null && { movesBy }), date };
}

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
    return rows.map(viewOf);
  }

  /** How far the tops of exercises have moved for each of these students, by advice that was taken. */
  async takenOf(studioId: string, students: readonly StudentDto[]): Promise<ReadonlyMap<string, AdvisedDto[]>> {
    const rows = await this.scope.of(AdviceAnswer, studioId).find({
      where: { studentId: In(students.map(({ id }) => id)), answer: 'taken', movesBy: Not(IsNull()) },
      order: { date: 'ASC', id: 'ASC' },
    });
    return new Map(
      students.map(({ id, voice }) => {
        const moved = takenAdvice(rows.filter(({ studentId }) => studentId === id).map(viewOf), voice);
        return [id, [...moved].map(([exerciseId, semitones]) => ({ exerciseId, semitones }))];
      }),
    );
  }

  /** Writes an answer down; the same id again changes nothing. */
  async answer(studioId: string, studentId: string, wanted: NewAdviceAnswerDto): Promise<AdviceAnswerDto> {
    await this.students.demand(studioId, studentId);
    const { date } = this.clock.today(await this.studios.timeZoneOf(studioId));
    await this.scope
      .of(AdviceAnswer, studioId)
      .insertNew([{ ...wanted, movesBy: wanted.movesBy ?? null, studentId, date }]);
    return { ...wanted, date };
  }

  async takeBack(studioId: string, studentId: string, id: string): Promise<void> {
    if (!(await this.scope.of(AdviceAnswer, studioId).delete({ id, studentId }))) throw notFound('answer to advice');
  }
}
