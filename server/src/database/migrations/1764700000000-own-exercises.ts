import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A studio's own exercises, how it names notes, its collections, and the imports they came with. */
export class OwnExercises1764700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table studio add column note_naming jsonb not null
        default '{"scheme": "scientific", "spelling": "usual", "middleDo": 4}';

      create table shelf_import (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        name text not null,
        items integer not null,
        created_at timestamptz not null,
        undone_at timestamptz
      );

      create table exercise (
        studio_id uuid not null references studio on delete cascade,
        id text not null,
        body jsonb not null,
        version integer not null,
        student_id uuid,
        archived_at timestamptz,
        import_id uuid references shelf_import on delete set null,
        before_import jsonb,
        updated_at timestamptz not null,
        primary key (studio_id, id),
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      );

      create table collection (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        name text not null,
        exercises jsonb not null,
        version integer not null,
        import_id uuid references shelf_import on delete set null
      );
      create index collection_by_studio on collection (studio_id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop table collection, exercise, shelf_import; alter table studio drop column note_naming;');
  }
}
