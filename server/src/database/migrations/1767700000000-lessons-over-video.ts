import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whether somebody listens by a link just now, for a teacher who conducts from far away. */
export class LessonsOverVideo1767700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('alter table home_link add column listening_at timestamptz');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table home_link drop column listening_at');
  }
}
