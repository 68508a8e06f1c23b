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
import { asItWas, demoRun } from './demo-run.ts';
import { REGATTA_TUNES } from './regatta-tunes.data.ts';
import { DEMO_GROUPS, DEMO_STUDENTS, TERN_LOCK, type DemoStudent } from './tern-lock.data.ts';

const SEED = 20_261_125;
/** Twelve weeks of history, the last four of them from the first stream of chance. */
const HISTORY_DAYS = 84;
const LATELY_DAYS = 28;
/** Days ago on which the lock was shut, and nobody came. */
const SHUT = { from: 55, to: 49 };
/** Any number; servers that share a database fill the demo one at a time. */
const LOCK = 716_204;

/** One stream of chance for each kind of thing, so that more of one leaves the others as they were. */
interface Chances {
  readonly ofRuns: Chance;
  readonly ofChecks: Chance;
  readonly ofEarlierRuns: Chance;
}

interface DemoHistory {
  readonly lessons: DemoStudent['lessons'];
  readonly student: StudentDto;
  readonly routine: RoutineDto;
  readonly exercises: ReadonlyMap<string, Exercise>;
}

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
    const chances = { ofRuns: chanceOf(SEED), ofChecks: chanceOf(SEED + 1), ofEarlierRuns: chanceOf(SEED + 2) };
    const { ofRuns: chance, ofChecks } = chances;
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
    for (const person of DEMO_STUDENTS) await this.fillStudent(studioId, person, exercises, chances);
    for (const tune of REGATTA_TUNES) {
      const { title: name, events, tempo, tonicClass, mode, beatsPerBar } = await readAbc(tune);
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
    chances: Chances,
  ): Promise<void> {
    const { ofRuns: chance, ofChecks, ofEarlierRuns } = chances;
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
    const history = { lessons: person.lessons, student, routine, exercises };
    // Every fourth step was learnt lately: it is in no run before.
    const before = { ...history, routine: { ...routine, steps: routine.steps.filter((_, index) => index % 4 !== 3) } };
    await this.fillRuns(studioId, before, { from: HISTORY_DAYS, to: LATELY_DAYS + 1 }, ofEarlierRuns);
    await this.fillRuns(studioId, history, { from: LATELY_DAYS, to: 1 }, chance);
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

  /** Runs of the lessons between two days, counted back from today; now and then a lesson falls out. */
  private async fillRuns(
    studioId: string,
    { lessons, student, routine, exercises }: DemoHistory,
    { from, to }: { readonly from: number; readonly to: number },
    chance: Chance,
  ): Promise<void> {
    const { id: studentId, voice } = student;
    for (let daysAgo = from; daysAgo >= to; daysAgo -= 1) {
      const day = this.clock.inZone(TERN_LOCK.timeZone).subtract(daysAgo, 'day');
      const lesson = lessons.find(([weekday]) => weekday === (day.day() || 7));
      const isShut = daysAgo <= SHUT.from && daysAgo >= SHUT.to;
      if (!lesson || isShut || !chance.happens(0.75)) continue;
      const [hour = 0, minute = 0] = lesson[1].split(':').map(Number);
      const startedAt = day
        .hour(hour)
        .minute(minute + chance.between(2, 6))
        .second(0)
        .toDate();
      const conditions: Condition[] = chance.happens(0.25) ? ['tired'] : chance.happens(0.1) ? ['heavy'] : [];
      const then = asItWas(routine, exercises, daysAgo);
      const run = demoRun({ studentId, voice, routine: then, exercises, startedAt, conditions, chance });
      await this.runs.keep(studioId, chance.id(startedAt), run);
    }
  }
}
