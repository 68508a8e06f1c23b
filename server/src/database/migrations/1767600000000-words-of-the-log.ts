import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Runs are found by any part of their words without being read one by one. The extension comes with PostgreSQL. */
export class WordsOfTheLog1767600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('create extension if not exists pg_trgm');
    await runner.query(`
      create index run_words on run using gin (lower(routine_name || chr(10) || note) gin_trgm_ops)
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    // The extension stays: it may have been there before, for others.
    await runner.query('drop index run_words');
  }
}
