import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { changeLikely, checkDueInDays, minutesOfDay } from '@soft-lark/core';
import { Clock, notFound } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { AdviceService } from '../advice/index.ts';
import { GateService } from '../gate/index.ts';
import { RangeChecksService } from '../range-checks/index.ts';
import { RoutinesService } from '../routines/index.ts';
import { RunsService, StopsService } from '../runs/index.ts';
import { StudentsService, type StudentDto } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import { DayCondition } from './day-condition.entity.ts';
import type { DayConditionDto, DayRoutineDto, LessonDto, StudentTodayDto, TodayDto } from './dto/lessons.dto.ts';
import { Lesson } from './lesson.entity.ts';

const DAY = 24 * 60;

/** Minutes after the midnight it began on. */
function lastsUntil({ startsAt, minutes }: Lesson): number {
  return minutesOfDay(startsAt) + minutes;
}

@Injectable()
export class LessonsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly routines: RoutinesService,
    private readonly runs: RunsService,
    private readonly stops: StopsService,
    private readonly studios: StudiosService,
    private readonly gate: GateService,
    private readonly advice: AdviceService,
    private readonly checks: RangeChecksService,
    private readonly clock: Clock,
  ) {}

  async list(studioId: string): Promise<LessonDto[]> {
    const lessons = await this.scope.of(Lesson, studioId).find({ order: { weekday: 'ASC', startsAt: 'ASC' } });
    return lessons.map((lesson) => this.view(lesson));
  }

  async create(studioId: string, wanted: LessonDto): Promise<LessonDto> {
    await this.students.demand(studioId, wanted.studentId);
    const { id, studentId, weekday, startsAt, minutes } = wanted;
    await this.scope.of(Lesson, studioId).insertNew([{ id, studentId, weekday, startsAt, minutes }]);
    const lesson = await this.scope.of(Lesson, studioId).findOne({ id });
    if (!lesson) throw notFound('lesson');
    return this.view(lesson);
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Lesson, studioId).delete({ id }))) throw notFound('lesson');
  }

  /** Today's lessons in order, each with its student, condition, routine and last run; before them what goes on since yesterday. */
  async today(studioId: string): Promise<TodayDto> {
    const timeZone = await this.studios.timeZoneOf(studioId);
    const { date, weekday } = this.clock.today(timeZone);
    const local = this.clock.inZone(timeZone);
    const now = local.hour() * 60 + local.minute();
    const yesterday = weekday === 1 ? 7 : weekday - 1;
    const both = await this.scope
      .of(Lesson, studioId)
      .find({ where: { weekday: In([yesterday, weekday]) }, order: { startsAt: 'ASC' } });
    const lessons = [
      ...both.filter((lesson) => lesson.weekday === yesterday && lastsUntil(lesson) - DAY > now),
      ...both.filter((lesson) => lesson.weekday === weekday),
    ];
    const ids = [...new Set(lessons.map(({ studentId }) => studentId))];
    const withToday = await this.forToday(studioId, timeZone, date, await this.students.some(studioId, ids));
    return {
      day: date,
      lessons: lessons.flatMap((lesson) => {
        const today = withToday.find(({ student }) => student.id === lesson.studentId);
        return today ? [{ ...today, lesson: this.view(lesson) }] : [];
      }),
    };
  }

  async studentToday(studioId: string, studentId: string): Promise<StudentTodayDto> {
    const timeZone = await this.studios.timeZoneOf(studioId);
    const { date } = this.clock.today(timeZone);
    const [today] = await this.forToday(studioId, timeZone, date, [await this.students.get(studioId, studentId)]);
    if (!today) throw notFound('student');
    return today;
  }

  async setCondition(
    studioId: string,
    studentId: string,
    { day, conditions }: DayConditionDto,
  ): Promise<DayConditionDto> {
    await this.students.demand(studioId, studentId);
    await this.setDay(studioId, studentId, day, { conditions: [...new Set(conditions)] });
    return { day, conditions };
  }

  /** Chooses which of a student's routines is sung on a day. */
  async setRoutine(studioId: string, studentId: string, { day, routineId }: DayRoutineDto): Promise<DayRoutineDto> {
    await this.students.demand(studioId, studentId);
    const routine = await this.routines.get(studioId, routineId);
    if (routine.studentId !== studentId) throw notFound('routine');
    await this.setDay(studioId, studentId, day, { routineId });
    return { day, routineId };
  }

  private async setDay(
    studioId: string,
    studentId: string,
    day: string,
    change: Partial<Pick<DayCondition, 'conditions' | 'routineId'>>,
  ): Promise<void> {
    const days = this.scope.of(DayCondition, studioId);
    await days.insertNew([{ studentId, day, conditions: [], routineId: null }]);
    await days.update({ studentId, day }, change);
  }

  private async forToday(
    studioId: string,
    timeZone: string,
    day: string,
    students: readonly StudentDto[],
  ): Promise<StudentTodayDto[]> {
    const ids = students.map(({ id }) => id);
    const days = await this.scope.of(DayCondition, studioId).find({ where: { day, studentId: In(ids) } });
    const dayOf = (id: string): DayCondition | undefined => days.find(({ studentId }) => studentId === id);
    const [routines, lastRuns, practised, locks, dizzy, pain, checks, advised] = await Promise.all([
      this.routines.readyOf(
        studioId,
        ids,
        days.flatMap(({ routineId }) => routineId ?? []),
      ),
      this.runs.lastOfEach(studioId, { students: ids, ended: true }),
      this.runs.atHome(studioId, ids),
      this.gate.open(studioId, students, day),
      this.stops.lastDizzy(studioId, ids, timeZone),
      this.stops.lastPain(studioId, ids, timeZone),
      this.checks.ofStudents(studioId, ids),
      this.advice.takenOf(studioId, students),
    ]);
    return students.map((student) => {
      const { id, voice } = student;
      const dizzyOn = dizzy.get(id);
      const changing = changeLikely(
        voice,
        (checks.get(id) ?? []).map(({ low, high, day: date }) => ({ low, high, date })),
      );
      return {
        student,
        lock: locks.get(id) ?? null,
        breathOff: dizzyOn === day,
        painOn: pain.get(id) ?? null,
        holdsOff: dizzyOn !== undefined && (voice.holdsOnSince ?? '') <= dizzyOn,
        changeSince: changing?.date ?? null,
        checkDueInDays: checkDueInDays(voice, changing !== null, day),
        advised: advised.get(id) ?? [],
        conditions: dayOf(id)?.conditions ?? [],
        routine: routines.get(id) ?? null,
        lastRun: lastRuns.find(({ studentId }) => studentId === id) ?? null,
        practised: practised.get(id) ?? null,
      };
    });
  }

  private view({ id, studentId, weekday, startsAt, minutes }: Lesson): LessonDto {
    return { id, studentId, weekday, startsAt, minutes };
  }
}
