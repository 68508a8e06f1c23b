import { Injectable } from '@nestjs/common';
import { In, type EntityManager } from 'typeorm';
import { Clock } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudentsService, type StudentDto } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';
import type { ConfirmedCheckDto, RangeCheckDto } from './dto/range-checks.dto.ts';
import { RangeCheck, type StoredFindings } from './range-check.entity.ts';

const SCHEMA = 1;

/** What a check says of a voice file: its measured range, and what else it found. */
function figuresOf(check: ConfirmedCheckDto, date: string): Partial<StudentDto['voice']> {
  const { low, high, reachLow, reachHigh, speakingNote, gaps, bridges } = check;
  return {
    measured: {
      low,
      high,
      ...(reachLow !== undefined && { reachLow }),
      ...(reachHigh !== undefined && { reachHigh }),
      date,
    },
    ...(speakingNote !== undefined && { speakingNote }),
    ...(bridges.length > 0 && { bridges: bridges.map((bridge) => ({ ...bridge, date })) }),
    gaps,
  };
}

@Injectable()
export class RangeChecksService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly studios: StudiosService,
    private readonly clock: Clock,
  ) {}

  /** Checks of one student, the oldest first. */
  async list(studioId: string, studentId: string): Promise<RangeCheckDto[]> {
    await this.students.demand(studioId, studentId);
    return (await this.ofStudents(studioId, [studentId])).get(studentId) ?? [];
  }

  /** Checks of each of these students, the oldest first. */
  async ofStudents(studioId: string, students: readonly string[]): Promise<ReadonlyMap<string, RangeCheckDto[]>> {
    const checks = await this.scope
      .of(RangeCheck, studioId)
      .find({ where: { studentId: In([...students]) }, order: { day: 'ASC', createdAt: 'ASC' } });
    const byStudent = new Map<string, RangeCheckDto[]>();
    for (const check of checks) {
      const { id, day, way, studentId } = check;
      const { schema, ...findings } = check.findings;
      if (schema > SCHEMA) throw new Error(`Range check schema ${String(schema)} is newer than this server.`);
      const view = { ...findings, id, day, way, gaps: [...findings.gaps], bridges: [...findings.bridges] };
      byStudent.set(studentId, [...(byStudent.get(studentId) ?? []), view]);
    }
    return byStudent;
  }

  /** Keeps a check and writes its figures into the voice file, or neither; confirming twice is the same as once. */
  async confirm(studioId: string, studentId: string, check: ConfirmedCheckDto): Promise<StudentDto> {
    const { date } = this.clock.today(await this.studios.timeZoneOf(studioId));
    const student = await this.students.get(studioId, studentId);
    const known = await this.scope.of(RangeCheck, studioId).findOne({ id: check.id, studentId });
    if (known) return student;
    const { version } = check;
    const { name, note } = student;
    const voice = { ...student.voice, ...figuresOf(check, date) };
    return this.scope.transaction(async (manager) => {
      const changed = await this.students.change(studioId, studentId, { version, name, note, voice }, manager);
      await this.record(studioId, studentId, check, date, manager);
      return changed;
    });
  }

  /** Keeps what a check came to on a day; the voice file stays as it is. */
  async record(
    studioId: string,
    studentId: string,
    { id, way, low, high, reachLow, reachHigh, speakingNote, gaps, bridges }: Omit<ConfirmedCheckDto, 'version'>,
    day: string,
    manager?: EntityManager,
  ): Promise<void> {
    const findings = { schema: SCHEMA, low, high, reachLow, reachHigh, speakingNote, gaps, bridges };
    await this.scope.of(RangeCheck, studioId, manager).insertNew([
      {
        id,
        studentId,
        day,
        way,
        findings: JSON.parse(JSON.stringify(findings)) as StoredFindings,
        createdAt: this.clock.now(),
      },
    ]);
  }
}
