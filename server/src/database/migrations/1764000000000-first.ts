import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The ground: studios and all that belongs to them. Pairs of ids keep every reference inside its studio. */
export class First1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table studio (
        id uuid primary key,
        name text not null,
        time_zone text not null,
        is_demo boolean not null default false,
        approach jsonb not null default '{}',
        created_at timestamptz not null default now()
      );
      create unique index studio_one_demo on studio (is_demo) where is_demo;

      create table account (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        name text not null,
        email text not null unique check (email = lower(email)),
        password_hash text not null,
        created_at timestamptz not null default now()
      );

      create table student (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        name text not null,
        note text not null default '',
        voice jsonb not null,
        version integer not null default 1,
        created_at timestamptz not null default now(),
        unique (studio_id, id)
      );
      create index student_by_name on student (studio_id, name);

      create table lesson (
        id uuid primary key,
        studio_id uuid not null,
        student_id uuid not null,
        weekday smallint not null check (weekday between 1 and 7),
        starts_at text not null check (starts_at ~ '^([01][0-9]|2[0-3]):[0-5][0-9]$'),
        minutes smallint not null check (minutes between 5 and 240),
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      );
      create index lesson_by_day on lesson (studio_id, weekday, starts_at);

      create table day_condition (
        studio_id uuid not null,
        student_id uuid not null,
        day date not null,
        conditions text[] not null,
        primary key (student_id, day),
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      );

      create table routine (
        id uuid primary key,
        studio_id uuid not null,
        student_id uuid not null,
        name text not null,
        occasion text not null,
        minutes smallint not null check (minutes between 1 and 120),
        steps jsonb not null,
        version integer not null default 1,
        updated_at timestamptz not null default now(),
        unique (studio_id, id),
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      );
      create index routine_by_student on routine (studio_id, student_id, updated_at desc);

      create table run (
        id uuid primary key,
        studio_id uuid not null,
        student_id uuid not null,
        routine_id uuid,
        routine_name text not null,
        started_at timestamptz not null,
        ended_at timestamptz,
        conditions text[] not null,
        plan jsonb not null,
        ease smallint check (ease between 1 and 5),
        note text not null default '',
        revision integer not null,
        unique (studio_id, id),
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade,
        foreign key (routine_id) references routine (id) on delete set null
      );
      create index run_by_student on run (studio_id, student_id, started_at desc);
      create index run_by_time on run (studio_id, started_at desc);

      create table run_key (
        id uuid primary key,
        studio_id uuid not null,
        run_id uuid not null,
        position integer not null,
        step_id uuid not null,
        exercise_id text not null,
        tonic smallint not null,
        leg text not null,
        low smallint not null,
        high smallint not null,
        tempo real not null,
        outcome text not null,
        marks text[] not null,
        foreign key (studio_id, run_id) references run (studio_id, id) on delete cascade
      );
      create index run_key_by_run on run_key (studio_id, run_id, position);

      create table session (
        sid varchar not null primary key,
        sess json not null,
        expire timestamp(6) not null
      );
      create index session_expire on session (expire);

      create table server_secret (
        name text primary key,
        value text not null
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'drop table server_secret, session, run_key, run, routine, day_condition, lesson, student, account, studio',
    );
  }
}
