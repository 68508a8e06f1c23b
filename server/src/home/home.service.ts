import {
  broughtHome,
  changeRules,
  homeRoutine,
  isYoungVoice,
  layRoutine,
  neverSounded,
  shortenedForToday,
  type HomeRoutine,
  type RoutineContext,
  type RoutineStep,
} from '@soft-lark/core';
import { Injectable } from '@nestjs/common';
import { Clock } from '../common/index.ts';
import { AdviceService } from '../advice/index.ts';
import { ExercisesService } from '../exercises/index.ts';
import { GateService, type NewLockDto } from '../gate/index.ts';
import { RoutinesService, type RoutineDto } from '../routines/index.ts';
import { RunsService, StopsService } from '../runs/index.ts';
import { StudentsService, type StudentDto } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type { HomeChoiceDto, HomeDto, SentHomeRunDto } from './dto/home.dto.ts';
import type { HomeLink } from './home-link.entity.ts';

/** House choice: a day that asks for less is half as long. */
const GENTLE_SHARE = 0.5;

/** What a student’s link opens, and what comes back by it. */
@Injectable()
export class HomeService {
  constructor(
    private readonly students: StudentsService,
    private readonly studios: StudiosService,
    private readonly routines: RoutinesService,
    private readonly exercises: ExercisesService,
    private readonly gate: GateService,
    private readonly runs: RunsService,
    private readonly stops: StopsService,
    private readonly advice: AdviceService,
    private readonly clock: Clock,
  ) {}

  async page({ studioId, studentId, expiresAt }: HomeLink): Promise<HomeDto> {
    const student = await this.students.get(studioId, studentId);
    const { date } = this.clock.today(await this.studios.timeZoneOf(studioId));
    const locks = await this.gate.open(studioId, [student], date);
    return {
      routines: await this.routinesOf(studioId, student, date),
      voiceType: student.voice.type,
      isChild: isYoungVoice(student.voice),
      lock: locks.get(studentId)?.level ?? null,
      expiresAt: expiresAt.toISOString(),
    };
  }

  /** Keeps a run from home like one of a lesson, told apart from those. */
  async keep(link: HomeLink, id: string, sent: SentHomeRunDto): Promise<void> {
    const { studioId, studentId } = link;
    await this.runs.keep(studioId, id, { ...sent, studentId }, true);
  }

  /** What the answers at home lock; only the teacher opens it again. */
  async lock({ studioId, studentId }: HomeLink, wanted: NewLockDto): Promise<void> {
    await this.gate.lock(studioId, studentId, wanted);
  }

  /** What is meant for home; where nothing is, whatever else the student has. */
  private async routinesOf(studioId: string, student: StudentDto, date: string): Promise<HomeChoiceDto[]> {
    const own = (await this.routines.list(studioId, student.id)).filter(
      ({ groupId, steps }) => groupId === undefined && steps.length > 0,
    );
    const meant = own.filter(({ kind }) => kind === 'home');
    const shown = meant.length > 0 ? meant : own;
    const context = await this.contextOf(studioId, student, date, shown);
    return shown.map((routine) => this.choices(routine, context));
  }

  private async contextOf(
    studioId: string,
    student: StudentDto,
    date: string,
    routines: readonly RoutineDto[],
  ): Promise<RoutineContext> {
    const { id, voice, known } = student;
    const advised = (await this.advice.takenOf(studioId, [student])).get(id) ?? [];
    const { timeZone, rules, approach, ownOverlays } = await this.studios.settings(studioId);
    const ids = [...new Set(routines.flatMap(({ steps }) => steps.map(({ exerciseId }) => exerciseId)))];
    const dizzyOn = (await this.stops.lastDizzy(studioId, [id], timeZone)).get(id);
    return {
      voice,
      conditions: [],
      occasion: 'home',
      kind: 'home',
      exercises: await this.exercises.byId(studioId, ids),
      known: new Set(known),
      advised: new Map(advised.map(({ exerciseId, semitones }) => [exerciseId, semitones])),
      breathOff: dizzyOn === date,
      holdsOff: dizzyOn !== undefined && (voice.holdsOnSince ?? '') <= dizzyOn,
      rules: changeRules(voice.rules ?? {}, 'student', changeRules(rules, 'studio')),
      approach: { ...approach, ...voice.approach },
      ownOverlays,
      now: this.clock.now().toISOString(),
    };
  }

  private choices({ id, name, steps, minutes }: RoutineDto, context: RoutineContext): HomeChoiceDto {
    const laid = (day: RoutineContext, what: readonly RoutineStep[]): HomeRoutine =>
      homeRoutine({ id, name }, layRoutine(broughtHome(what, day), day), neverSounded(day.voice), day.approach);
    const gentle: RoutineContext = { ...context, conditions: ['tired'], allowance: 'gentle' };
    return {
      usual: laid(context, steps),
      gentle: laid(gentle, shortenedForToday(steps, minutes * GENTLE_SHARE, gentle)),
    };
  }
}
