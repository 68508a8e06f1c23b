import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Which of a student's routines is sung on a day, where another was chosen than the one changed last. */
export class RoutineOfTheDay1766900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table day_condition
        alter column conditions set default '{}',
        add column routine_id uuid,
        add foreign key (studio_id, routine_id) references routine (studio_id, id) on delete set null (routine_id)
    `);
    await runner.query('create index day_condition_routine on day_condition (studio_id, routine_id)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('alter table day_condition drop column routine_id, alter column conditions drop default');
  }
}
