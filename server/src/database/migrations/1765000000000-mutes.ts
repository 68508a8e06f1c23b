import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Rules of the review that a teacher muted, each with a reason: for a routine, a student or the studio. */
export class Mutes1765000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table mute (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        rule text not null,
        reason text not null,
        student_id uuid references student on delete cascade,
        routine_id uuid references routine on delete cascade,
        muted_at timestamptz not null,
        check (student_id is null or routine_id is null)
      );
      create index mute_of_studio on mute (studio_id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop table mute');
  }
}
