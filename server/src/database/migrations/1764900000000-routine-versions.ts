import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How routines stood after each sitting of changes, and who changed them. */
export class RoutineVersions1764900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table routine_version (
        studio_id uuid not null references studio on delete cascade,
        routine_id uuid not null references routine on delete cascade,
        version integer not null,
        body jsonb not null,
        account_id uuid references account on delete set null,
        saved_at timestamptz not null,
        primary key (routine_id, version)
      );
      insert into routine_version (studio_id, routine_id, version, body, saved_at)
        select studio_id, id, version,
               jsonb_build_object('name', name, 'occasion', occasion, 'minutes', minutes, 'steps', steps), updated_at
          from routine;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop table routine_version');
  }
}
