import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A routine has a kind of its own: late and cool-down only besides the occasions. */
export class RoutineKinds1765100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table routine rename column occasion to kind;
      update routine_version set body = body - 'occasion' || jsonb_build_object('kind', body->'occasion');
    `);
  }

  /** The two new kinds go back to a lesson, which is the occasion they are for. */
  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      update routine set kind = 'lesson' where kind in ('late', 'cool-down');
      alter table routine rename column kind to occasion;
      update routine_version set body = body - 'kind' || jsonb_build_object('occasion',
        case when body->>'kind' in ('late', 'cool-down') then '"lesson"'::jsonb else body->'kind' end);
    `);
  }
}
