// Figures of size: sixty students who sang for five years, every list route alone and with a hundred readers at once.
import { readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';

const STUDENTS = 60;
const YEARS = 5;
const RUNS_A_WEEK = 4;
const KEYS = 60;
const STEPS = 6;
const READERS = 100;
const ALONE = 40;
/** A hundred people who each open a page every five seconds are far busier than any studio. */
const SECONDS_BETWEEN = 5;
const READING_SECONDS = 15;
const PASSWORD = 'ten plain characters';

const at = (values, share) => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Infinity;
};

/** A studio with its account, through the front door. @returns {Promise<{ ask: Function, send: Function, take: Function }>} */
export async function signUp(address, name) {
  const response = await fetch(`${address}/api/studios`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-soft-lark': '1' },
    body: JSON.stringify({
      studioName: name,
      name: 'Ada',
      email: `${name.toLowerCase()}-${Date.now()}@example.org`,
      password: PASSWORD,
      timeZone: 'Europe/London',
    }),
  });
  if (response.status !== 201) throw new Error(`sign-up answered ${response.status}: ${await response.text()}`);
  const cookie = response.headers.getSetCookie()[0].split(';')[0];
  const ask = async (path) => {
    const began = performance.now();
    const answer = await fetch(`${address}/api${path}`, { headers: { cookie } });
    const text = await answer.text();
    return { status: answer.status, text, milliseconds: performance.now() - began };
  };
  /** The answer as bytes. */
  const take = async (path) =>
    Buffer.from(await (await fetch(`${address}/api${path}`, { headers: { cookie } })).arrayBuffer());
  const send = async (method, path, body, type = 'application/json') => {
    const answer = await fetch(`${address}/api${path}`, {
      method,
      headers: { cookie, 'content-type': type, 'x-soft-lark': '1' },
      body: typeof body === 'string' || Buffer.isBuffer(body) ? body : JSON.stringify(body),
    });
    return { status: answer.status, text: await answer.text() };
  };
  return { ask, send, take };
}

/** Fills the newest studio by SQL. @returns {Promise<{ seconds: number, keys: number, student: string }>} */
export async function fill(client, students, years = YEARS) {
  const began = performance.now();
  const [{ id: studio }] = (await client.query('select id from studio order by created_at desc limit 1')).rows;
  const voice = { schema: 1, type: 'mezzo-soprano', style: 'theatre', goals: [], bridges: [], avoid: [] };
  const measured = { low: 57, high: 76, date: '2026-11-03' };
  await client.query(
    `insert into student (id, studio_id, name, note, voice, version)
     select gen_random_uuid(), $1, 'Singer ' || n, '', $2, 1 from generate_series(1, $3) n`,
    [studio, { ...voice, measured }, students],
  );
  await client.query(
    `insert into lesson (id, studio_id, student_id, weekday, starts_at, minutes)
     select gen_random_uuid(), $1, id, 1 + (row_number() over (order by name))::int % 7, '15:00', 30 from student where studio_id = $1`,
    [studio],
  );
  await client.query(
    `insert into routine (id, studio_id, student_id, name, kind, minutes, steps, version)
     select gen_random_uuid(), $1, id, 'Warm-up ' || n, 'lesson', 10,
            jsonb_build_object('schema', 1, 'list', (select jsonb_agg(jsonb_build_object('id', gen_random_uuid(),
              'exerciseId', 'up-and-down-five', 'settings', '{}'::jsonb)) from generate_series(1, 10))), 1
       from student, generate_series(1, 20) n where studio_id = $1`,
    [studio],
  );
  // One plan and one digest for all: what the runs hold differs in nothing that a list would feel.
  const steps = Array.from({ length: STEPS }, (_, index) => ({
    stepId: `00000000-0000-4000-8000-00000000000${index}`,
    exerciseId: 'up-and-down-five',
    name: 'Up and down five',
    kind: 'pattern',
    seconds: 100,
    keys: Array.from({ length: KEYS / STEPS }, (_, key) => ({
      tonic: 57 + key,
      leg: 'up',
      low: 57 + key,
      high: 64 + key,
    })),
  }));
  const workedOn = steps.map(({ exerciseId }) => ({
    exerciseId,
    keys: KEYS / STEPS,
    beatSeconds: 6.5,
    plannedSeconds: 100,
    tempo: 92,
    highest: 73,
    marks: [],
    wasStopped: false,
  }));
  await client.query(
    `insert into run (id, studio_id, student_id, routine_name, started_at, ended_at, conditions, plan, ease, note, revision,
                      planned_keys, sung_keys, lowest, highest, marks, worked_on, exercises)
     select gen_random_uuid(), $1, student.id, 'Warm-up', day, day + interval '12 minutes', '{}', $2, 4, '', 61,
            $3, $3, 57, 73, '{}', $4, '{up-and-down-five}'
       from student, generate_series(now() - make_interval(years => $5), now() - interval '1 day', make_interval(hours => 168 / $6)) day
      where studio_id = $1`,
    [studio, { schema: 1, steps }, KEYS, JSON.stringify(workedOn), years, RUNS_A_WEEK],
  );
  const { rowCount } = await client.query(
    `insert into run_key (id, studio_id, run_id, position, step_id, exercise_id, tonic, leg, low, high, tempo, outcome, marks)
     select gen_random_uuid(), $1, run.id, n, ('00000000-0000-4000-8000-00000000000' || n % 6)::uuid, 'up-and-down-five',
            57 + n % 10, 'up', 57 + n % 10, 64 + n % 10, 92, 'sung', '{}'
       from run, generate_series(0, $2 - 1) n where run.studio_id = $1`,
    [studio, KEYS],
  );
  await client.query('vacuum analyze');
  const [{ id: student }] = (await client.query('select id from student where studio_id = $1 limit 1', [studio])).rows;
  return { seconds: (performance.now() - began) / 1000, keys: rowCount, student, studio };
}

const routesFor = (student) => [
  ['Today', '/today', 150],
  ['log, first page', '/runs?most=100', 150],
  ['last runs', '/runs/last', 150],
  ['a student’s history', `/students/${student}/history`, 300],
  ['a student’s progress', `/students/${student}/progress`, 300],
  ['students', '/students', 150],
  ['a student’s day', `/students/${student}/today`, 150],
  ['a student’s runs', `/runs?studentId=${student}&most=100`, 150],
  ['a student’s routines', `/routines?studentId=${student}`, 150],
];

/** Words and marks that no run has: every one is looked at. */
const SEARCHES = [
  ['log, words that stand nowhere', '/runs?words=zither&most=100', 200],
  ['log, a mark that nobody made', '/runs?mark=crack&most=100', 200],
  ['log, words that stand everywhere', '/runs?words=warm&most=100', 200],
];

async function alone(ask, path) {
  const times = [];
  for (let n = 0; n < ALONE; n += 1) {
    const { status, text, milliseconds } = await ask(path);
    if (status !== 200) throw new Error(`${path} answered ${status}: ${text.slice(0, 200)}`);
    times.push(milliseconds);
  }
  return times;
}

/** A hundred readers, each asking, looking at it, and asking again. */
async function together(ask, path) {
  const until = performance.now() + READING_SECONDS * 1000;
  const times = [];
  let wrong = 0;
  const reader = async (index) => {
    await pause((index / READERS) * SECONDS_BETWEEN * 1000);
    while (performance.now() < until) {
      const { status, milliseconds } = await ask(path);
      if (status !== 200) wrong += 1;
      times.push(milliseconds);
      await pause(SECONDS_BETWEEN * 1000);
    }
  };
  await Promise.all(Array.from({ length: READERS }, (_, index) => reader(index)));
  return { times, wrong };
}

function memoryOf(pid) {
  return Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
}

/** The log as one would ask for it by hand, and nothing at all, on one connection. */
async function byHand(client, studio) {
  const times = { nothing: [], log: [] };
  for (let n = 0; n < ALONE; n += 1) {
    const began = performance.now();
    await client.query('select 1');
    const between = performance.now();
    await client.query(
      `select run.*, student.name from run join student on student.id = run.student_id
        where run.studio_id = $1 order by started_at desc, run.id desc limit 100`,
      [studio],
    );
    times.nothing.push(between - began);
    times.log.push(performance.now() - between);
  }
  return times;
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function sizeFigures({ address, databaseUrl, pid }) {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  const figures = [];
  const under = (name, value, unit, target) => figures.push({ name, value, unit, target, isCeiling: true });
  try {
    const small = await signUp(address, 'Small');
    const filledSmall = await fill(client, 1);
    const smallBefore = at(await alone(small.ask, '/runs?most=100'), 0.95);
    const { ask } = await signUp(address, 'Large');
    const { seconds, keys, student, studio } = await fill(client, STUDENTS);
    under(`filling ${(keys / 1e6).toFixed(2)} million keys by SQL`, seconds, 's', 120);
    const hand = await byHand(client, studio);
    under('bare select 1, p95', at(hand.nothing, 0.95), 'ms', 20);
    under('the log by hand, p95', at(hand.log, 0.95), 'ms', 100);
    let wrong = 0;
    for (const [name, path, target] of routesFor(student)) {
      const times = await alone(ask, path);
      under(`${name}, alone, p50`, at(times, 0.5), 'ms', target);
      under(`${name}, alone, p95`, at(times, 0.95), 'ms', target);
      const crowd = await together(ask, path);
      wrong += crowd.wrong;
      under(`${name}, ${READERS} readers, p50`, at(crowd.times, 0.5), 'ms', target);
      under(`${name}, ${READERS} readers, p95`, at(crowd.times, 0.95), 'ms', target);
    }
    for (const [name, path, target] of SEARCHES) under(`${name}, p95`, at(await alone(ask, path), 0.95), 'ms', target);
    const burst = await Promise.all(Array.from({ length: READERS }, () => ask('/today')));
    wrong += burst.filter(({ status }) => status !== 200).length;
    under(
      `Today, ${READERS} in the same instant, the last`,
      at(
        burst.map((one) => one.milliseconds),
        1,
      ),
      'ms',
      1500,
    );
    under('answers that were no answer', wrong, '', 1);
    const taken = await ask('/studio/file');
    under(`the studio’s file with ${(keys / 1e6).toFixed(2)} million keys`, taken.milliseconds / 1000, 's', 20);
    const smallAfter = at(await alone(small.ask, '/runs?most=100'), 0.95);
    under('a small studio’s log, p95 beside the large one, times what it was', smallAfter / smallBefore, '×', 2);
    under('most memory of the server', memoryOf(pid), 'MB', 400);
    if (filledSmall.keys === 0) throw new Error('The small studio was not filled.');
    return figures;
  } finally {
    await client.end();
  }
}
