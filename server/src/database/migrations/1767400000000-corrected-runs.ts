import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Runs a teacher corrected afterwards, with what was there before. */
export class CorrectedRuns1767400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('alter table run add column corrected_at timestamptz');
    await runner.query(`
      create table run_correction (
        id uuid primary key,
        studio_id uuid not null,
        run_id uuid not null,
        made_at timestamptz not null,
        was jsonb not null,
        foreign key (studio_id, run_id) references run (studio_id, id) on delete cascade
      )
    `);
    await runner.query('create index run_correction_of_run on run_correction (studio_id, run_id)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop table run_correction');
    await runner.query('alter table run drop column corrected_at');
  }
}
