import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How many nightly backups of a studio are kept; a week is a house default. */
export class BackupsKept1767300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('alter table studio add column backups_kept integer not null default 7');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table studio drop column backups_kept');
  }
}
