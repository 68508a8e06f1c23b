import { shippedExercises } from '@soft-lark/core';
import type { Response } from 'supertest';
import { v7 } from 'uuid';
import { openApiDocument } from './open-api.ts';
import { addressOf, bodyFor, routesOf } from './testing/bodies.ts';
import { rangeCheck, run, startTestServer, sungKey, Teacher, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
let owner: Teacher;
let stranger: Teacher;
let ids: Record<string, string>;

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
  owner = await new Teacher(server).signUp();
  stranger = await new Teacher(server).signUp();
  const studentId = await owner.addStudent({ name: 'Secret Linnet' });
  const routineId = await owner.addRoutine(studentId);
  const lessonId = v7();
  const runId = v7();
  for (let weekday = 1; weekday <= 7; weekday += 1)
    await owner.call('post', '/lessons', {
      id: weekday === 1 ? lessonId : v7(),
      studentId,
      weekday,
      startsAt: '10:00',
      minutes: 30,
    });
  await owner.call('put', `/runs/${runId}`, run(studentId, [sungKey(60)], { endedAt: '2026-11-25T15:10:00Z' }));
  const lockId = v7();
  await owner.call('post', `/students/${studentId}/locks`, { id: lockId, level: 'urgent' });
  await owner.call('post', `/students/${studentId}/range-checks`, rangeCheck(v7()));
  const exercise = { ...shippedExercises()[0], id: 'secret-linnet', name: 'Secret Linnet hums' };
  await owner.call('put', '/exercises/secret-linnet', { version: 0, exercise });
  const importId = v7();
  const taken = { ...exercise, id: 'secret-import' };
  await owner.call('post', '/exercises/imports', { id: importId, name: 'a', exercises: [taken], collections: [] });
  const collectionId = v7();
  await owner.call('put', `/collections/${collectionId}`, { version: 0, name: 'Secret Linnet', exercises: [] });
  const muteId = v7();
  await owner.call('post', '/mutes', { id: muteId, rule: 'key-jump', reason: 'Secret Linnet likes it' });
  const answerId = v7();
  const answer = { exerciseId: 'thirds', kind: 'ceiling', verdict: 'raise', answer: 'refused' };
  await owner.call('post', `/students/${studentId}/advice`, { id: answerId, ...answer });
  const songId = v7();
  const song = { name: 'Secret Linnet', events: [{ midi: 60, beats: 1 }] };
  await owner.call('put', `/songs/${songId}`, { version: 0, song });
  const templateId = v7();
  const template = { kind: 'lesson', minutes: 5, steps: [], parts: [{ stage: 'middle', goals: [], mostLoad: 2 }] };
  await owner.call('post', '/templates', { id: templateId, name: 'Secret Linnet', ...template });
  const groupId = v7();
  await owner.call('put', `/groups/${groupId}`, { version: 0, name: 'Secret Linnet', members: [studentId] });
  const linkId = v7();
  const link = await owner.call('post', `/students/${studentId}/home-links`, { id: linkId, weeks: 4 });
  const { token } = link.body as { token: string };
  ids = {
    linkId,
    token,
    templateId,
    groupId,
    muteId,
    answerId,
    songId,
    exerciseId: 'secret-linnet',
    importId,
    collectionId,
    studentId,
    routineId,
    lessonId,
    runId,
    lockId,
  };
});
afterAll(() => server.close());

const OPEN = new Set([
  'POST /studios',
  'POST /session',
  'GET /session',
  'DELETE /session',
  'POST /demo/session',
  'GET /health',
  'GET /exercises',
  'POST /account/recovery',
  // Whose it is, the token says; what it opens is tried by itself.
  'GET /home/{token}',
  'PUT /home/{token}/runs/{runId}',
  'POST /home/{token}/locks',
]);

const LISTS = [
  '/students',
  '/routines',
  '/lessons',
  '/runs',
  '/exercises',
  '/mutes',
  '/songs',
  '/collections',
  '/templates',
  '/groups',
  '/exercises/imports',
];
const everything = (): Promise<Response[]> => Promise.all(LISTS.map((path) => owner.call('get', path)));

test('nothing of another studio can be read, guessed or changed, on any route there is', async () => {
  const routes = routesOf(openApiDocument(server.app)).filter(
    // A stranger's own account and studio; settings and file are tried in tests of their own.
    ({ method, path }) =>
      !OPEN.has(`${method.toUpperCase()} ${path}`) && !/^\/(account|studio$|studio\/(file|backups))/.test(path),
  );
  expect(routes.length).toBeGreaterThanOrEqual(18);
  const before = await everything();
  for (const { method, path } of routes) {
    // A route whose ids are not known here is not tried at all: it fails until something of the owner's stands for them.
    const names = [...path.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => name);
    expect([path, names.filter((name) => !(name in ids))]).toEqual([path, []]);
    const address = addressOf(path, ids);
    const response = await stranger.call(method, address, bodyFor(path, method, ids));
    const route = `${method} ${path}`;
    const isEmptyList = response.status === 200 && !/\{/.test(path) && method === 'get';
    expect([route, isEmptyList || response.status === 404]).toEqual([route, true]);
    expect(response.text).not.toContain('Secret Linnet');
    for (const id of Object.values(ids)) expect([route, response.text.includes(id)]).toEqual([route, false]);
  }
  const after = await everything();
  expect(after.map(({ body }) => body as unknown)).toEqual(before.map(({ body }) => body as unknown));
});

test('the database itself refuses a version or a mute of another studio’s routine', async () => {
  const { routineId = '', studentId = '' } = ids;
  const [studio] = (await server.query('select studio_id from account where email = $1', [stranger.email])) as {
    studio_id: string;
  }[];
  const muted = `insert into mute (id, studio_id, rule, reason, student_id, routine_id, muted_at)
                 values ($1, $2, 'key-jump', '', $3, $4, now())`;
  const version = `insert into routine_version (studio_id, routine_id, version, body, saved_at)
                   values ($1, $2, 99, '{}', now())`;
  await expect(server.query(muted, [v7(), studio?.studio_id, studentId, null])).rejects.toThrow(/mute_of_student/);
  await expect(server.query(muted, [v7(), studio?.studio_id, null, routineId])).rejects.toThrow(/mute_of_routine/);
  await expect(server.query(version, [studio?.studio_id, routineId])).rejects.toThrow(/version_of_routine/);
});

test('filters by another studio’s student give nothing', async () => {
  const { studentId = '' } = ids;
  for (const path of [`/routines?studentId=${studentId}`, `/runs?studentId=${studentId}`]) {
    expect((await stranger.call('get', path)).body).toEqual([]);
    expect((await owner.call('get', path)).body).toHaveLength(1);
  }
});

test('without a session there is nothing at all', async () => {
  const visitor = new Teacher(server);
  for (const { method, path } of routesOf(openApiDocument(server.app))) {
    if (OPEN.has(`${method.toUpperCase()} ${path}`) && path !== '/session') continue;
    if (path === '/session' && method === 'post') continue;
    const response = await visitor.call(method, path.replace(/\{\w+\}/g, v7()), {});
    expect([`${method} ${path}`, response.status]).toEqual([`${method} ${path}`, 401]);
  }
});

// Last, because it changes and deletes: what stops a stranger is the wall, not an id or a body that is wrong anyway.
test('the owner gets through on each of these routes', async () => {
  const order = ['get', 'put', 'post', 'delete'];
  const holdsOthers = (path: string): number => Number(path === '/students/{studentId}');
  const routes = routesOf(openApiDocument(server.app))
    .filter(({ path }) => path.includes('{') && !/^\/(account|studio\/backups)/.test(path))
    .sort((a, b) => order.indexOf(a.method) - order.indexOf(b.method) || holdsOthers(a.path) - holdsOthers(b.path));
  for (const { method, path } of routes) {
    const { status } = await owner.call(method, addressOf(path, ids), bodyFor(path, method, ids));
    expect([`${method} ${path}`, status < 500 && status !== 404]).toEqual([`${method} ${path}`, true]);
  }
});
