import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How a studio writes times, and how long its warm-ups usually are. */
export class StudioClock1766800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table studio
        add column clock text not null default '24' check (clock in ('12', '24')),
        add column usual_minutes integer not null default 10 check (usual_minutes between 3 and 60)
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table studio drop column clock, drop column usual_minutes');
  }
}
