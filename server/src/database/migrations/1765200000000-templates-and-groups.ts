import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Templates of a studio's own, groups that sing together, and the questions asked before the cool-down. */
export class TemplatesAndGroups1765200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table template (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        name text not null,
        body jsonb not null,
        saved_at timestamptz not null
      );
      create index template_of_studio on template (studio_id);
      create table singer_group (
        id uuid primary key,
        studio_id uuid not null references studio on delete cascade,
        name text not null,
        version integer not null,
        unique (studio_id, id)
      );
      create index singer_group_of_studio on singer_group (studio_id);
      create table group_member (
        group_id uuid not null,
        student_id uuid not null,
        studio_id uuid not null,
        position smallint not null,
        primary key (group_id, student_id),
        foreign key (studio_id, group_id) references singer_group (studio_id, id) on delete cascade,
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      );
      create index group_member_of_student on group_member (student_id);
      alter table studio add column ready_questions jsonb not null default '[]';
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table studio drop column ready_questions;
      drop table group_member;
      drop table singer_group;
      drop table template;
    `);
  }
}
