// npm run long: what takes too long for every test. Kills at random moments under load, tens of thousands of broken bodies,
// and the properties with other seeds.
import { spawnSync } from 'node:child_process';
import { setTimeout as pause } from 'node:timers/promises';
import { freePort, startCluster } from './postgres.mjs';
import { ensureBuilt, ensurePackages, project } from './run.mjs';
import { serve } from './serve.mjs';

const { KILLS = '200', DATABASE_KILLS = '50', BODIES = '30000', PROPERTIES = '20', SEED = '7' } = process.env;
const WRITERS = 6;
const HEADERS = { 'content-type': 'application/json', 'x-soft-lark': '1' };

/** A stream of chance that a seed repeats: a small linear congruential generator is enough to choose moments by. */
function chanceOf(seed) {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32;
}
const chance = chanceOf(Number(SEED));
const between = (low, high) => Math.floor(low + chance() * (high - low + 1));

await ensurePackages(console.log);
await ensureBuilt(console.log);
const cluster = await startCluster(project, 'long-database', { durable: true });
cluster.dropDatabase('long');
cluster.createDatabase('long');
const port = await freePort();
const address = `http://127.0.0.1:${port}`;
const settings = {
  databaseUrl: cluster.url('long'),
  port,
  quiet: true,
  env: { LOG_LEVEL: 'silent', DEMO: 'off', SIGN_IN_TRIES: '1000000' },
};
let server = await serve(settings);

async function call(method, path, body, cookie) {
  const response = await fetch(`${address}/api${path}`, {
    method,
    headers: { ...HEADERS, ...(cookie && { cookie }) },
    body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
  });
  return { status: response.status, text: await response.text(), cookie: response.headers.getSetCookie()[0] };
}

const signedUp = await call('POST', '/studios', {
  ...{ studioName: 'Long', name: 'Ada', email: `long-${Date.now()}@example.org`, timeZone: 'Europe/London' },
  password: 'ten plain characters',
});
const cookie = signedUp.cookie.split(';')[0];
const voice = { type: 'tenor', style: 'pop', goals: [], bridges: [], avoid: [] };
const studentId = crypto.randomUUID();
await call('POST', '/students', { id: studentId, name: 'Ada', note: '', voice }, cookie);

/** What a page does: sends its newest state until it is taken, and holds what was acknowledged. */
class Writer {
  keys = [];
  acknowledged = 0;
  version = 1;
  edits = 0;
  acknowledgedEdit = 0;
  routineId = crypto.randomUUID();
  runId = crypto.randomUUID();

  async untilTaken(method, path, body) {
    for (;;) {
      const answer = await call(method, path, body(), cookie).catch(() => null);
      if (answer && answer.status < 300) return JSON.parse(answer.text);
      if (answer && answer.status < 500) throw new Error(`${method} ${path} answered ${answer.status}: ${answer.text}`);
      await pause(40);
    }
  }

  async begin() {
    const body = { id: this.routineId, studentId, name: 'Edit 0', kind: 'lesson', minutes: 10, steps: [] };
    await this.untilTaken('POST', '/routines', () => body);
  }

  async turn() {
    const step = 's0000000-0000-4000-8000-000000000000'.replace('s', '0');
    const key = { tonic: 60, leg: 'up', low: 60, high: 67, exerciseId: 'thirds', stepId: step, tempo: 92 };
    this.keys.push({ ...key, id: crypto.randomUUID(), outcome: 'sung', marks: [] });
    const sung = this.keys.slice(this.acknowledged);
    await this.untilTaken('PUT', `/runs/${this.runId}`, () => ({
      ...{ studentId, routineName: 'Long', startedAt: '2026-11-25T15:00:00Z', conditions: [], plan: [], stops: [] },
      ...{ note: '', revision: this.keys.length, sung, sungBefore: this.acknowledged },
    }));
    this.acknowledged = this.keys.length;
    this.edits += 1;
    const { version } = await this.untilTaken('PUT', `/routines/${this.routineId}`, () => ({
      ...{ version: this.version, name: `Edit ${this.edits}`, kind: 'lesson', minutes: 10, steps: [] },
    }));
    this.version = version;
    this.acknowledgedEdit = this.edits;
  }

  /** @returns {Promise<string[]>} what is lost or doubled */
  async check() {
    const run = JSON.parse((await call('GET', `/runs/${this.runId}`, undefined, cookie)).text);
    const routine = JSON.parse((await call('GET', `/routines/${this.routineId}`, undefined, cookie)).text);
    const ids = run.sung.map(({ id }) => id);
    const lost = this.keys.slice(0, this.acknowledged).filter(({ id }) => !ids.includes(id)).length;
    const doubled = ids.length - new Set(ids).size;
    const faults = [];
    if (lost + doubled > 0) faults.push(`${lost} keys lost, ${doubled} doubled`);
    if (run.sungKeys !== ids.length) faults.push(`the run says ${run.sungKeys} keys, there are ${ids.length}`);
    if (routine.name !== `Edit ${this.acknowledgedEdit}` && routine.name !== `Edit ${this.edits}`)
      faults.push(`the routine is ${routine.name}, acknowledged was ${this.acknowledgedEdit}`);
    return faults;
  }
}

async function underKills() {
  const writers = Array.from({ length: WRITERS }, () => new Writer());
  for (const writer of writers) await writer.begin();
  let isOver = false;
  const writing = writers.map(async (writer) => {
    while (!isOver) await writer.turn();
  });
  const moments = [...Array(Number(KILLS)).fill('server'), ...Array(Number(DATABASE_KILLS)).fill('database')].sort(
    () => chance() - 0.5,
  );
  for (const [index, what] of moments.entries()) {
    await pause(between(20, 1500));
    if (what === 'server') {
      server.child.kill('SIGKILL');
      server = await serve(settings);
    } else {
      cluster.kill();
      while (cluster.isRunning()) await pause(20);
      await cluster.startAgain();
    }
    if ((index + 1) % 25 === 0)
      console.log(`${index + 1} kills, ${writers.reduce((sum, { edits }) => sum + edits, 0)} edits`);
  }
  isOver = true;
  await Promise.all(writing);
  const faults = (await Promise.all(writers.map((writer) => writer.check()))).flat();
  const keys = writers.reduce((sum, writer) => sum + writer.keys.length, 0);
  console.log(`${KILLS} kills of the server, ${DATABASE_KILLS} of PostgreSQL, ${keys} keys: ${faults.length} faults`);
  for (const fault of faults) console.log(`  ${fault}`);
  return faults.length;
}

const POISONS = [
  null,
  -1,
  1e300,
  '',
  'x'.repeat(6000),
  'a\u0000b',
  '\ud800',
  '__proto__',
  [],
  [null],
  {},
  true,
  { toString: 1 },
  '2026-W48-3',
  [[[[]]]],
];

function mutated(value) {
  if (chance() < 0.08) return POISONS[between(0, POISONS.length - 1)];
  if (Array.isArray(value))
    return value.flatMap((one) => (chance() < 0.05 ? [] : chance() < 0.05 ? [mutated(one), one] : [mutated(one)]));
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).map(([name, inner]) => [chance() < 0.03 ? `${name}x` : name, mutated(inner)]);
  return Object.fromEntries(entries.filter(() => chance() > 0.02));
}

async function underBodies() {
  const routineId = crypto.randomUUID();
  const steps = [{ id: crypto.randomUUID(), exerciseId: 'thirds', settings: { start: 60, struck: [61] } }];
  const bodies = [
    [
      'POST',
      '/students',
      () => ({
        id: crypto.randomUUID(),
        name: 'Ada',
        note: '',
        voice: { ...voice, measured: { low: 48, high: 65, date: '2026-11-03' }, rules: { 'margin.usual': 2 } },
      }),
    ],
    ['PUT', `/students/${studentId}`, () => ({ version: 1, name: 'Ada', note: '', voice })],
    ['POST', '/routines', () => ({ id: routineId, studentId, name: 'A', kind: 'lesson', minutes: 10, steps })],
    [
      'PUT',
      `/runs/${crypto.randomUUID()}`,
      () => ({
        studentId,
        routineName: 'A',
        startedAt: '2026-11-25T15:00:00Z',
        conditions: ['tired'],
        plan: [],
        sung: [
          {
            id: crypto.randomUUID(),
            stepId: routineId,
            exerciseId: 'thirds',
            tonic: 60,
            leg: 'up',
            low: 60,
            high: 67,
            tempo: 92,
            outcome: 'sung',
            marks: [],
          },
        ],
        stops: [],
        note: '',
        revision: 1,
      }),
    ],
    [
      'POST',
      `/students/${studentId}/range-checks`,
      () => ({
        id: crypto.randomUUID(),
        version: 1,
        way: 'keys',
        low: 50,
        high: 65,
        gaps: [],
        bridges: [{ low: 60, high: 61 }],
      }),
    ],
    ['POST', '/lessons', () => ({ id: crypto.randomUUID(), studentId, weekday: 1, startsAt: '10:00', minutes: 30 })],
    ['POST', '/session', () => ({ email: 'a@example.org', password: 'a guess' })],
    [
      'POST',
      '/exercises/imports',
      () => ({
        id: crypto.randomUUID(),
        name: 'a',
        exercises: [{ id: 'mine' }],
        collections: [{ name: 'a', exercises: [] }],
      }),
    ],
    [
      'PUT',
      `/songs/${crypto.randomUUID()}`,
      () => ({ version: 0, song: { name: 'A', events: [{ midi: 60, beats: 1 }] } }),
    ],
  ];
  let faults = 0;
  for (let sent = 0; sent < Number(BODIES); sent += 1) {
    const [method, path, make] = bodies[sent % bodies.length];
    const { status, text } = await call(method, path, mutated(make()) ?? {}, path === '/session' ? undefined : cookie);
    if (status < 500) continue;
    faults += 1;
    console.log(`  ${method} ${path} answered ${status}: ${text.slice(0, 200)}`);
  }
  console.log(`${BODIES} mutated bodies: ${faults} × 500`);
  return faults;
}

/** The properties of core and pages with other seeds than the usual one; a seed that finds something is named. */
function underChance() {
  let failed = 0;
  for (let time = 0; time < Number(PROPERTIES); time += 1) {
    const seed = between(1, 2 ** 31 - 1);
    const args = ['jest', '--selectProjects', 'core', 'web', '--silent', '--bail'];
    const { status, stderr } = spawnSync('npx', args, {
      cwd: project,
      env: { ...process.env, SEED: String(seed) },
      encoding: 'utf8',
    });
    if (status === 0) continue;
    failed += 1;
    console.log(`  with SEED=${seed}:\n${stderr.slice(-2000)}`);
  }
  console.log(`${PROPERTIES} runs of the properties with other seeds: ${failed} failed`);
  return failed;
}

const faults = (await underBodies()) + (await underKills()) + underChance();
await server.stop();
cluster.stop();
process.exit(faults === 0 ? 0 : 1);
