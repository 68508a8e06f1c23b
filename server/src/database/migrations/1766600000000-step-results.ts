import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What became of the steps without pitch; runs from before have none. */
export class StepResults1766600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('alter table run add column results jsonb');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table run drop column results');
  }
}
