import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Links a student practises by, and runs that were sung at home beside those of lessons. */
export class PracticeAtHome1767100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table home_link (
        id uuid primary key,
        studio_id uuid not null,
        student_id uuid not null,
        token_hash text not null unique,
        created_at timestamptz not null,
        expires_at timestamptz not null,
        opened_at timestamptz,
        revoked_at timestamptz,
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      )
    `);
    await runner.query('create index home_link_of_student on home_link (studio_id, student_id)');
    await runner.query('alter table run add column at_home boolean not null default false');
    await runner.query('create index run_at_home on run (studio_id, student_id, started_at) where at_home');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table run drop column at_home');
    await runner.query('drop table home_link');
  }
}
