import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What lists need stands with the run, so that none of them opens the keys; every key is found by its studio first. */
export class WhatListsNeed1766300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table run
        add column planned_keys integer not null default 0,
        add column sung_keys integer not null default 0,
        add column lowest smallint,
        add column highest smallint,
        add column marks text[] not null default '{}',
        add column worked_on jsonb not null default '[]',
        add column exercises text[] not null default '{}';

      update run set
        planned_keys = (select coalesce(sum(jsonb_array_length(step->'keys')), 0)::int
                          from jsonb_array_elements(run.plan->'steps') step),
        marks = array(select distinct mark from run_key key, unnest(key.marks) mark
                       where key.studio_id = run.studio_id and key.run_id = run.id order by mark);

      update run set sung_keys = keys.sung, lowest = keys.lowest, highest = keys.highest
        from (select studio_id, run_id, count(*)::int as sung, min(low) as lowest, max(high) as highest
                from run_key where outcome = 'sung' and help is distinct from 'shown' group by studio_id, run_id) keys
       where keys.studio_id = run.studio_id and keys.run_id = run.id;

      update run set worked_on = (
        select coalesce(jsonb_agg(jsonb_build_object(
                 'exerciseId', step->>'exerciseId', 'keys', keys.keys, 'beatSeconds', keys.beat_seconds,
                 'plannedSeconds', (step->>'seconds')::float, 'tempo', keys.tempo, 'highest', keys.highest,
                 'marks', keys.marks, 'wasStopped', stopped.was) order by place), '[]')
          from jsonb_array_elements(run.plan->'steps') with ordinality planned (step, place)
         cross join lateral (
               select count(*) filter (where is_sung)::int as keys,
                      coalesce(sum(60 / tempo) filter (where is_sung), 0)::float as beat_seconds,
                      max(tempo) filter (where is_sung) as tempo, max(high) filter (where is_sung) as highest,
                      coalesce((select jsonb_agg(distinct mark) from run_key marked, unnest(marked.marks) mark
                                 where marked.studio_id = run.studio_id and marked.run_id = run.id
                                   and marked.step_id = (step->>'stepId')::uuid), '[]') as marks
                 from (select tempo, high, outcome = 'sung' and help is distinct from 'shown' as is_sung from run_key
                        where studio_id = run.studio_id and run_id = run.id and step_id = (step->>'stepId')::uuid) key) keys
         cross join lateral (
               select exists (select 1 from jsonb_array_elements(run.stops) stop
                               where stop->>'stepId' = step->>'stepId') as was) stopped
         where step->>'kind' not in ('pattern', 'siren') or keys.keys > 0 or stopped.was);

      update run set exercises = array(select distinct past->>'exerciseId' from jsonb_array_elements(worked_on) past);

      drop index run_by_time, run_by_student;
      create index run_by_time on run (studio_id, started_at desc, id desc);
      create index run_by_student on run (studio_id, student_id, started_at desc, id desc);
      create index run_dizzy on run (studio_id, student_id, started_at) where stops @> '[{"mark":"dizzy"}]';
      create index run_of_routine on run (routine_id) where routine_id is not null;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      drop index run_by_time, run_by_student, run_dizzy, run_of_routine;
      create index run_by_student on run (studio_id, student_id, started_at desc);
      create index run_by_time on run (studio_id, started_at desc);
      alter table run drop column planned_keys, drop column sung_keys, drop column lowest, drop column highest,
        drop column marks, drop column worked_on, drop column exercises;
    `);
  }
}
