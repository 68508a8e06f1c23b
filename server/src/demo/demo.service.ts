import { Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { readAbc, USUAL_READY_QUESTIONS, type Condition, type Exercise } from '@soft-lark/core';
import dayjs from 'dayjs';
import { DataSource } from 'typeorm';
import { Clock, Problem, type SignedIn } from '../common/index.ts';
import { ExercisesService } from '../exercises/index.ts';
import { GroupsService } from '../groups/index.ts';
import { LessonsService } from '../lessons/index.ts';
import { RangeChecksService } from '../range-checks/index.ts';
import { RoutinesService, type RoutineDto } from '../routines/index.ts';
import { RunsService } from '../runs/index.ts';
import { SongsService } from '../songs/index.ts';
import { StudentsService, type StudentDto } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import { chanceOf, type Chance } from './chance.ts';
import { demoRun } from './demo-run.ts';
import { REGATTA_TUNES } from './regatta-tunes.data.ts';
import { DEMO_GROUPS, DEMO_STUDENTS, TERN_LOCK, type DemoStudent } from './tern-lock.data.ts';

const SEED = 20_261_125;
const HISTORY_DAYS = 28;
/** Any number; servers that share a database fill the demo one at a time. */
const LOCK = 716_204;

/** Fills the made-up studio once, and opens it. */
@Injectable()
export class DemoService implements OnApplicationBootstrap {
  constructor(
    private readonly source: DataSource,
    private readonly clock: Clock,
    private readonly studios: StudiosService,
    private readonly students: StudentsService,
    private readonly lessons: LessonsService,
    private readonly routines: RoutinesService,
    private readonly runs: RunsService,
    private readonly exercises: ExercisesService,
    private readonly checks: RangeChecksService,
    private readonly songs: SongsService,
    private readonly groups: GroupsService,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    if (this.isOff()) return;
    const runner = this.source.createQueryRunner();
    try {
      await runner.query('select pg_advisory_lock($1)', [LOCK]);
      if (!(await this.studios.demo())) await this.fill();
    } finally {
      await runner.query('select pg_advisory_unlock($1)', [LOCK]);
      await runner.release();
    }
  }

  async open(): Promise<SignedIn> {
    const demo = this.isOff() ? null : await this.studios.demo();
    if (!demo)
      throw new Problem(404, 'NO_DEMO', 'There is no demo studio on this server.', {
        remedy: 'Sign up for a studio of your own.',
      });
    return demo;
  }

  private isOff(): boolean {
    return process.env['DEMO'] === 'off';
  }

  /** A filling that was broken off is cleared first; the studio counts as the demo only once it is whole. */
  private async fill(): Promise<void> {
    await this.source.query('delete from studio where id in (select studio_id from account where email = $1)', [
      TERN_LOCK.email,
    ]);
    const chance = chanceOf(SEED);
    const now = this.clock.now();
    const { studioName, teacher, email, timeZone } = TERN_LOCK;
    const password = Array.from({ length: 4 }, () => chance.id(now)).join('');
    const { studioId } = await this.studios.found({
      studioName,
      name: teacher,
      email,
      timeZone,
      password,
      isDemo: false,
    });
    const exercises = new Map(this.exercises.shipped().map((exercise) => [exercise.id, exercise]));
    // Checks have a stream of their own, so that adding one leaves every run of the demo as it was.
    const ofChecks = chanceOf(SEED + 1);
    for (const person of DEMO_STUDENTS) await this.fillStudent(studioId, person, exercises, chance, ofChecks);
    for (const tune of REGATTA_TUNES) {
      const { title: name, events, tempo, tonicClass, mode, beatsPerBar } = readAbc(tune);
      const song = { name, events, tempo, tonicClass, mode, beatsPerBar };
      await this.songs.change(studioId, ofChecks.id(now), { version: 0, song });
    }
    const students = await this.students.list(studioId);
    for (const { name, singers } of DEMO_GROUPS) {
      const members = singers.flatMap((singer) => students.filter((one) => one.name === singer).map(({ id }) => id));
      await this.groups.change(studioId, ofChecks.id(now), { version: 0, name, members });
    }
    const readyQuestions = USUAL_READY_QUESTIONS.map((question) => ({ ...question }));
    await this.studios.change(studioId, { ...(await this.studios.settings(studioId)), readyQuestions });
    await this.source.query('update studio set is_demo = true where id = $1', [studioId]);
  }

  private async fillStudent(
    studioId: string,
    person: DemoStudent,
    exercises: ReadonlyMap<string, Exercise>,
    chance: Chance,
    ofChecks: Chance,
  ): Promise<void> {
    const now = this.clock.now();
    const { name, note, voice, measuredDaysAgo } = person;
    const date = dayjs(now).subtract(measuredDaysAgo, 'day').format('YYYY-MM-DD');
    const dated = structuredClone({
      ...voice,
      ...(voice.measured && { measured: { ...voice.measured, date } }),
    }) as StudentDto['voice'];
    const student = await this.students.create(studioId, { id: chance.id(now), name, note, voice: dated });
    await this.fillChecks(studioId, person, student, ofChecks);
    for (const [weekday, startsAt, minutes] of person.lessons) {
      await this.lessons.create(studioId, { id: chance.id(now), studentId: student.id, weekday, startsAt, minutes });
    }
    if (!person.routine) return;
    const { steps, ...fields } = person.routine;
    const list = steps.map((step) => {
      const [exerciseId, settings] = typeof step === 'string' ? [step, {}] : step;
      return { id: chance.id(now), exerciseId, settings };
    });
    const routine = await this.routines.create(studioId, {
      ...fields,
      id: chance.id(now),
      studentId: student.id,
      steps: list,
    });
    await this.fillRuns(studioId, person, student, routine, exercises, chance);
  }

  private async fillChecks(
    studioId: string,
    { measuredDaysAgo, earlierChecks = [], voice: { measured, speakingNote } }: DemoStudent,
    { id: studentId }: StudentDto,
    chance: Chance,
  ): Promise<void> {
    if (!measured) return;
    const { low, high, reachLow = low, reachHigh = high } = measured;
    const now = this.clock.now();
    for (const [daysAgo, ...ends] of [...earlierChecks, [measuredDaysAgo, low, high, reachLow, reachHigh] as const]) {
      const day = dayjs(now).subtract(daysAgo, 'day').format('YYYY-MM-DD');
      const [lowest, highest, furthestLow, furthestHigh] = ends;
      const check = {
        id: chance.id(now),
        way: 'keys',
        low: lowest,
        high: highest,
        reachLow: furthestLow,
        reachHigh: furthestHigh,
        ...(speakingNote !== undefined && { speakingNote }),
        gaps: [],
        bridges: [],
      };
      await this.checks.record(studioId, studentId, check, day);
    }
  }

  private async fillRuns(
    studioId: string,
    { lessons }: DemoStudent,
    { id: studentId, voice }: StudentDto,
    routine: RoutineDto,
    exercises: ReadonlyMap<string, Exercise>,
    chance: Chance,
  ): Promise<void> {
    for (let daysAgo = HISTORY_DAYS; daysAgo >= 1; daysAgo -= 1) {
      const day = this.clock.inZone(TERN_LOCK.timeZone).subtract(daysAgo, 'day');
      const lesson = lessons.find(([weekday]) => weekday === (day.day() || 7));
      if (!lesson || !chance.happens(0.75)) continue;
      const [hour = 0, minute = 0] = lesson[1].split(':').map(Number);
      const startedAt = day
        .hour(hour)
        .minute(minute + chance.between(2, 6))
        .second(0)
        .toDate();
      const conditions: Condition[] = chance.happens(0.25) ? ['tired'] : chance.happens(0.1) ? ['heavy'] : [];
      const run = demoRun({ studentId, voice, routine, exercises, startedAt, conditions, chance });
      await this.runs.keep(studioId, chance.id(startedAt), run);
    }
  }
}
