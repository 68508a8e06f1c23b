import { Injectable } from '@nestjs/common';
import { changeRules, checkVoiceFile, type VoiceFile } from '@soft-lark/core';
import { In, type EntityManager } from 'typeorm';
import { Clock, demandRoom, notFound, written, type UnreadableDto } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudiosService } from '../studios/index.ts';
import {
  MOST_STUDENTS,
  type ChangedStudentDto,
  type NewStudentDto,
  type StudentDto,
  type StudentFieldsDto,
  type TakenBackDto,
} from './dto/students.dto.ts';
import { Student, type StoredVoice } from './student.entity.ts';
import { demandVoice, readVoice, unreadableStudent } from './voice-file.upgrade.ts';

/** House default: an exercise done within so many days is known. */
const KNOWN_DAYS = 60;

function stored(voice: StudentFieldsDto['voice']): StoredVoice {
  return { schema: 1, ...(JSON.parse(JSON.stringify(voice)) as StudentFieldsDto['voice']) };
}

@Injectable()
export class StudentsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly studios: StudiosService,
    private readonly clock: Clock,
  ) {}

  async list(studioId: string): Promise<StudentDto[]> {
    const [students, known] = await Promise.all([
      this.scope.of(Student, studioId).find({ order: { name: 'ASC' } }),
      this.knownExercises(studioId),
    ]);
    return students.flatMap((student) => this.readable(student, known) ?? []);
  }

  /** Students whose voice file this version cannot read; they are kept, and nothing else is broken by them. */
  async unreadable(studioId: string): Promise<UnreadableDto[]> {
    const students = await this.scope.of(Student, studioId).find({ order: { name: 'ASC' } });
    return students.flatMap((student) => unreadableStudent(student) ?? []);
  }

  /** These students, by name. */
  async some(studioId: string, ids: readonly string[]): Promise<StudentDto[]> {
    const [students, known] = await Promise.all([
      this.scope.of(Student, studioId).find({ where: { id: In([...ids]) }, order: { name: 'ASC' } }),
      this.knownExercises(studioId, ids),
    ]);
    return students.flatMap((student) => this.readable(student, known) ?? []);
  }

  /** @throws Problem `NOT_FOUND` where the studio has no such student */
  async demand(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Student, studioId).exists({ id }))) throw notFound('student');
  }

  async get(studioId: string, id: string): Promise<StudentDto> {
    const student = await this.scope.of(Student, studioId).findOne({ id });
    if (!student) throw notFound('student');
    const known = await this.knownExercises(studioId, [id]);
    return this.view(student, demandVoice(student.voice), known);
  }

  async create(studioId: string, wanted: NewStudentDto): Promise<StudentDto> {
    const [student] = await this.createSeveral(studioId, [wanted]);
    if (!student) throw notFound('student');
    return student;
  }

  /**
   * Adds students, all of them or none; who is there already is left as it is.
   *
   * @returns them as they stand, by name
   */
  async createSeveral(studioId: string, wanted: readonly NewStudentDto[]): Promise<StudentDto[]> {
    await this.check(
      studioId,
      wanted.map(({ voice }) => voice),
    );
    const ids = wanted.map(({ id }) => id);
    await this.scope.transaction(async (manager) => {
      const rows = this.scope.of(Student, studioId, manager);
      const before = await rows.count();
      const added = await rows.insertNew(
        wanted.map(({ id, name, note, voice }) => ({
          ...{ id, name, note, voice: stored(voice) },
          ...{ version: 1, createdAt: this.clock.now() },
        })),
      );
      if (added > 0) demandRoom('students', before, MOST_STUDENTS, added);
      // An id that another studio has is none that can be had here.
      if ((await rows.count({ id: In(ids) })) < new Set(ids).size) throw notFound('student');
    });
    return this.some(studioId, ids);
  }

  /** Removes students that were just added, but those that were changed or have sung since. */
  async takeBack(studioId: string, ids: readonly string[]): Promise<TakenBackDto> {
    if ((await this.scope.of(Student, studioId).count({ id: In([...ids]) })) === 0) throw notFound('student');
    const removed = await this.scope.query(
      studioId,
      `with gone as (
         delete from student
          where studio_id = $1 and id = any($2::uuid[]) and version = 1
            and not exists (select from run where run.student_id = student.id)
          returning id)
       select id from gone`,
      [ids],
    );
    return { count: removed.length };
  }

  async change(
    studioId: string,
    id: string,
    { version, name, note, voice }: ChangedStudentDto,
    manager?: EntityManager,
  ): Promise<StudentDto> {
    await this.check(studioId, [voice]);
    const change = { name, note, voice: stored(voice) };
    const rows = this.scope.of(Student, studioId, manager);
    const isWritten = await rows.update({ id, version }, { ...change, version: version + 1 });
    const student = await rows.findOne({ id });
    const current = student && this.readable(student, await this.knownExercises(studioId, [id]));
    return written('student', isWritten, current, change, (now) => ({
      name: now.name,
      note: now.note,
      voice: { schema: 1, ...now.voice },
    }));
  }

  private async check(studioId: string, voices: readonly VoiceFile[]): Promise<void> {
    const { timeZone, rules } = await this.studios.settings(studioId);
    const ofStudio = changeRules(rules, 'studio');
    for (const voice of voices) {
      checkVoiceFile(voice, this.clock.today(timeZone).date);
      changeRules(voice.rules ?? {}, 'student', ofStudio);
    }
  }

  /** A student whose voice file can be read; null otherwise. */
  private readable(student: Student, known: ReadonlyMap<string, string[]>): StudentDto | null {
    const voice = readVoice(student.voice);
    return voice && this.view(student, voice, known);
  }

  private view(
    { id, name, note, version }: Student,
    voice: VoiceFile,
    known: ReadonlyMap<string, string[]>,
  ): StudentDto {
    return { id, name, note, voice, version, known: known.get(id) ?? [] };
  }

  /** Ids of exercises worked on lately, by student. */
  private async knownExercises(
    studioId: string,
    students: readonly string[] | null = null,
  ): Promise<ReadonlyMap<string, string[]>> {
    const since = new Date(this.clock.now().getTime() - KNOWN_DAYS * 86_400_000);
    const rows = (await this.scope.query(
      studioId,
      `select run.student_id, array_agg(distinct exercise order by exercise) as known
         from run, unnest(run.exercises) exercise
        where run.studio_id = $1 and run.started_at >= $2 and ($3::uuid[] is null or run.student_id = any($3))
        group by run.student_id`,
      [since, students],
    )) as { student_id: string; known: string[] }[];
    return new Map(rows.map((row) => [row.student_id, row.known]));
  }
}
