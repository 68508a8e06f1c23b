import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a studio lays over steps besides the shipped overlays. */
export class OwnOverlays1766700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`alter table studio add column own_overlays jsonb not null default '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table studio drop column own_overlays');
  }
}
