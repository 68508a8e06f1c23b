import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Tries that all servers count together, sessions found by their account, and a row that health writes to. */
export class Walls1766400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create unlogged table throttle (
        key text primary key,
        hits integer not null,
        window_ends timestamptz not null
      );
      create index throttle_by_end on throttle (window_ends);
      create table health (
        id smallint primary key,
        written_at timestamptz not null
      );
      create index session_of_account on session ((sess->'signedIn'->>'accountId'));
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop index session_of_account; drop table health, throttle;');
  }
}
