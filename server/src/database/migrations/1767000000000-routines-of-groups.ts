import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A routine that one singer leads for a group is the group's, and no lesson of that singer. */
export class RoutinesOfGroups1767000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table routine
        add column group_id uuid,
        add constraint routine_of_group
          foreign key (studio_id, group_id) references singer_group (studio_id, id) on delete cascade
    `);
    await runner.query('create index routine_of_group on routine (studio_id, group_id) where group_id is not null');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table routine drop column group_id');
  }
}
