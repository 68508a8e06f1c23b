import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Versions and mutes name their routine and student with the studio, so that the database refuses another studio's. */
export class StudioKeys1766500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table routine_version
        drop constraint routine_version_routine_id_fkey,
        add constraint version_of_routine foreign key (studio_id, routine_id)
            references routine (studio_id, id) on delete cascade;
      alter table mute
        drop constraint mute_student_id_fkey,
        drop constraint mute_routine_id_fkey,
        add constraint mute_of_student foreign key (studio_id, student_id)
            references student (studio_id, id) on delete cascade,
        add constraint mute_of_routine foreign key (studio_id, routine_id)
            references routine (studio_id, id) on delete cascade;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table mute
        drop constraint mute_of_student,
        drop constraint mute_of_routine,
        add constraint mute_student_id_fkey foreign key (student_id) references student on delete cascade,
        add constraint mute_routine_id_fkey foreign key (routine_id) references routine on delete cascade;
      alter table routine_version
        drop constraint version_of_routine,
        add constraint routine_version_routine_id_fkey foreign key (routine_id) references routine on delete cascade;
    `);
  }
}
