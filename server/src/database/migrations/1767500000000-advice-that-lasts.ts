import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How far advice that was taken moved the top of an exercise. */
export class AdviceThatLasts1767500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('alter table advice_answer add column moves_by smallint');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table advice_answer drop column moves_by');
  }
}
