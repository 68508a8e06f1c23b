import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Songs, how own exercises stood after each change, and the help and the manner of each key that was sung. */
export class SongsAndVersions1764800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table song (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        name text not null,
        body jsonb not null,
        version integer not null
      );
      create index song_of_studio on song (studio_id, name);

      create table exercise_version (
        studio_id uuid not null,
        exercise_id text not null,
        version integer not null,
        body jsonb not null,
        saved_at timestamptz not null,
        primary key (studio_id, exercise_id, version),
        foreign key (studio_id, exercise_id) references exercise (studio_id, id) on delete cascade
      );
      insert into exercise_version select studio_id, id, version, body, updated_at from exercise;

      alter table run_key add column help text, add column manner text;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table run_key drop column help, drop column manner;
      drop table exercise_version, song;
    `);
  }
}
