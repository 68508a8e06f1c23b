import type { HomeRoutine } from '@soft-lark/core';
import request from 'supertest';
import { v7 } from 'uuid';
import { loggedAddress } from './common/index.ts';
import { openApiDocument } from './open-api.ts';
import { addressOf, bodyFor, routesOf } from './testing/bodies.ts';
import {
  expectProblem,
  run,
  startTestServer,
  student,
  sungKey,
  Teacher,
  type TestServer,
} from './testing/test-studio.ts';

let server: TestServer;
let teacher: Teacher;
let studentId: string;
let routineId: string;
let token: string;
let linkId: string;

interface Home {
  readonly routines: readonly { readonly usual: HomeRoutine; readonly gentle: HomeRoutine }[];
  readonly lock: string | null;
  readonly isChild: boolean;
}

const makeLink = async (id: string = v7(), weeks = 4): Promise<{ readonly id: string; readonly token: string }> =>
  (await teacher.call('post', `/students/${studentId}/home-links`, { id, weeks })).body as {
    id: string;
    token: string;
  };
/** Whoever has the link, and nothing else. */
const open = (by: string): request.Test => request(server.url).get(`/api/home/${by}`);
const sendHome = (by: string, id: string, body: object): request.Test =>
  request(server.url).put(`/api/home/${by}/runs/${id}`).set('x-soft-lark', '1').send(body);
const homeRun = (keys: readonly object[], change: object = {}): object => ({
  ...run('', keys, { routineId, startedAt: new Date().toISOString(), ...change }),
  studentId: undefined,
});
const topOf = (routine: HomeRoutine | undefined): number =>
  Math.max(...(routine?.steps ?? []).flatMap(({ keys }) => keys.map(({ high }) => high)));

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
  teacher = await new Teacher(server).signUp();
  const voice = {
    ...(student(v7()) as { voice: object }).voice,
    avoid: [{ low: 76, high: 76, kind: 'not-held', seconds: 1.5 }],
  };
  studentId = await teacher.addStudent({ name: 'Secret Linnet', note: 'Secret note', voice });
  routineId = await teacher.addRoutine(studentId);
  await teacher.addStudent({ name: 'Another Wren' });
  ({ id: linkId, token } = await makeLink());
});
afterAll(() => server.close());

test('a link opens the routines of one student, narrower than in a lesson, and nothing of the file', async () => {
  const answer = await open(token);
  const { text } = answer;
  const { routines, lock } = answer.body as Home;
  expect([routines.map(({ usual }) => usual.id), lock]).toEqual([[routineId], null]);
  expect(routines[0]?.usual.steps.flatMap(({ keys }) => keys)[0]?.sounds.length).toBeGreaterThan(0);
  for (const secret of ['Secret', 'Wren', 'Weir', 'avoid', 'measured', 'not-held', 'ceiling', studentId])
    expect(text).not.toContain(secret);
  // It starts on C4 in the lesson, which is the lowest of this voice; at home a semitone higher.
  expect(routines[0]?.usual.steps[1]?.keys[0]?.tonic).toBe(61);
  expect(topOf(routines[0]?.gentle)).toBeLessThanOrEqual(topOf(routines[0]?.usual));
  expect(routines[0]?.gentle.seconds).toBeLessThanOrEqual(routines[0]?.usual.seconds ?? 0);
  const [link] = (await teacher.call('get', `/students/${studentId}/home-links`)).body as { openedAt: string | null }[];
  expect(link?.openedAt).not.toBeNull();
});

test('it opens none of the other routes', async () => {
  const ids = { studentId, routineId, linkId, token, runId: v7(), lockId: v7(), answerId: v7() };
  const routes = routesOf(openApiDocument(server.app)).filter(
    ({ path }) => path.startsWith('/students') || path.startsWith('/ro') || path.startsWith('/ru') || path === '/today',
  );
  expect(routes.length).toBeGreaterThan(20);
  for (const { method, path } of routes) {
    const call = request(server.url)
      [method](`/api${addressOf(path, ids)}`)
      .set('x-soft-lark', '1')
      .set('authorization', `Bearer ${token}`);
    const response = await call.send(bodyFor(path, method, ids));
    expect([method, path, response.status]).toEqual([method, path, 401]);
  }
});

test('wrong, expired and revoked say the same; too many tries from one address are refused', async () => {
  const [revoked, expired] = [await makeLink(), await makeLink()];
  expect((await teacher.call('delete', `/students/${studentId}/home-links/${revoked.id}`)).status).toBe(204);
  await server.query(`update home_link set expires_at = now() - interval '1 second' where id = $1`, [expired.id]);
  const answers = [];
  for (const by of ['nothing', revoked.token, expired.token]) answers.push((await open(by)).text);
  expect(new Set(answers).size).toBe(1);
  expectProblem(await open('nothing'), 404, 'NO_LINK');
  for (let tries = 0; tries < 30; tries += 1) await open(`guess-${String(tries)}`);
  expectProblem(await open('one-more'), 429, 'TOO_OFTEN');
  // Whoever has a link is not kept out by those who guess.
  expect((await open(token)).status).toBe(200);
});

test('its token does not stand in the log', () => {
  expect(loggedAddress(`/api/home/${token}/runs/1`)).toBe('/api/home/…/runs/1');
  expect(loggedAddress('/api/students/1/home-links')).toBe('/api/students/1/home-links');
});

test('a link that is made twice is refused the second time: its token was told', async () => {
  const id = v7();
  await makeLink(id);
  expectProblem(await teacher.call('post', `/students/${studentId}/home-links`, { id, weeks: 4 }), 409, 'TWICE');
});

test('a run from home is kept once, told apart from lessons, and is no last lesson', async () => {
  const id = v7();
  const sent = homeRun([sungKey(60), sungKey(62, { marks: ['easy'] })], { ease: 4, note: 'went well' });
  expect((await sendHome(token, id, sent)).status).toBe(204);
  expect((await sendHome(token, id, sent)).status).toBe(204);
  const runs = (await teacher.call('get', `/runs?studentId=${studentId}&most=10`)).body as object[];
  expect(runs).toMatchObject([{ id, atHome: true, sungKeys: 2, ease: 4, note: 'went well' }]);
  const today = async (): Promise<object> => (await teacher.call('get', `/students/${studentId}/today`)).body as object;
  expect(await today()).toMatchObject({ lastRun: null, practised: { times: 1, ease: 4, note: 'went well' } });
  // With the next lesson it was heard of.
  await teacher.call(
    'put',
    `/runs/${v7()}`,
    run(studentId, [], { startedAt: new Date(Date.now() + 1000).toISOString() }),
  );
  expect(await today()).toMatchObject({ practised: null });
  const others = await sendHome(token, v7(), { ...homeRun([]), studentId: v7() });
  expect(others.status).toBe(422);
});

test('what hurts at home locks the voice until the teacher opens it', async () => {
  const lockId = v7();
  const locked = await request(server.url)
    .post(`/api/home/${token}/locks`)
    .set('x-soft-lark', '1')
    .send({ id: lockId, level: 'urgent' });
  expect(locked.status).toBe(204);
  expect(((await open(token)).body as Home).lock).toBe('urgent');
  const lift = await teacher.call('post', `/students/${studentId}/locks/${lockId}/lift`, {
    reason: 'seen by a doctor',
  });
  expect(lift.status).toBe(200);
  expect(((await open(token)).body as Home).lock).toBeNull();
});
