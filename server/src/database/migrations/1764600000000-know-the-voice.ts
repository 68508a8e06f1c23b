import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Range checks, locks of the gate, the studio's own rule figures, recovery codes. */
export class KnowTheVoice1764600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table studio add column rules jsonb not null default '{}', add column version integer not null default 1;

      alter table run add column stops jsonb not null default '[]';

      create table range_check (
        id uuid primary key,
        studio_id uuid not null,
        student_id uuid not null,
        day date not null,
        way text not null,
        findings jsonb not null,
        created_at timestamptz not null default now(),
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      );
      create index range_check_by_student on range_check (studio_id, student_id, day desc);

      create table voice_lock (
        id uuid primary key,
        studio_id uuid not null,
        student_id uuid not null,
        level text not null,
        since date not null,
        lifted_at timestamptz,
        lifted_by text,
        reason text,
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      );
      create index voice_lock_by_student on voice_lock (studio_id, student_id, since desc);

      create table recovery_code (
        account_id uuid not null references account on delete cascade,
        code_hash text not null,
        used_at timestamptz,
        primary key (account_id, code_hash)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      drop table recovery_code, voice_lock, range_check;
      alter table run drop column stops;
      alter table studio drop column rules, drop column version;
    `);
  }
}
