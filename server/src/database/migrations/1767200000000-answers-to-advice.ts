import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Advice that was taken or refused, so that it counts next time. */
export class AnswersToAdvice1767200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table advice_answer (
        id uuid primary key,
        studio_id uuid not null,
        student_id uuid not null,
        exercise_id text not null,
        kind text not null,
        verdict text not null,
        answer text not null,
        date date not null,
        foreign key (studio_id, student_id) references student (studio_id, id) on delete cascade
      )
    `);
    await runner.query('create index advice_answer_of_student on advice_answer (studio_id, student_id, date)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop table advice_answer');
  }
}
