import { Injectable } from '@nestjs/common';
import type { Exercise, PastExercise } from '@soft-lark/core';
import { Clock } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { ExercisesService } from '../exercises/index.ts';
import { StudentsService } from '../students/index.ts';
import { StudiosService } from '../studios/index.ts';

/** What a row of a past run has at least. */
export interface PastRow {
  readonly worked_on: readonly PastExercise[];
}

/** The last runs of a student, the day they are looked at, and the exercises they were sung with. */
interface PastRuns<Row> {
  readonly rows: readonly Row[];
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly since: Date;
  readonly today: string;
}

/** Reads what was sung lately, for whatever is worked out of it. */
@Injectable()
export class PastRunsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
    private readonly exercises: ExercisesService,
    private readonly studios: StudiosService,
    private readonly clock: Clock,
  ) {}

  /**
   * @param sql one row a run; `$2` is the student, `$3` the studio's zone, `$4` since when
   * @throws Problem `NOT_FOUND` where the studio has no such student
   */
  async read<Row extends PastRow>(
    studioId: string,
    studentId: string,
    sql: string,
    days: number,
  ): Promise<PastRuns<Row>> {
    await this.students.demand(studioId, studentId);
    const timeZone = await this.studios.timeZoneOf(studioId);
    const since = new Date(this.clock.now().getTime() - days * 86_400_000);
    const rows = (await this.scope.query(studioId, sql, [studentId, timeZone, since])) as Row[];
    const shelf = await this.exercises.byId(
      studioId,
      rows.flatMap(({ worked_on: exercises }) => exercises.map(({ exerciseId }) => exerciseId)),
    );
    return { rows, shelf, since, today: this.clock.today(timeZone).date };
  }
}
