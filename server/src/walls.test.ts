import { v7 } from 'uuid';
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

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
  teacher = await new Teacher(server).signUp();
});
afterAll(() => server.close());

const many = (count: number): Record<string, number> =>
  Object.fromEntries(Array.from({ length: count }, (_, index) => [`field-${String(index)}`, index]));

describe('bodies', () => {
  test('before a session nothing large is taken', async () => {
    expectProblem(await new Teacher(server).call('post', '/session', many(2000)), 413, 'TOO_LARGE');
  });

  test.each<[string, object]>([
    ['fields nobody knows', many(20_000)],
    ['fields nobody knows in every key', { sung: Array.from({ length: 500 }, () => many(60)) }],
    ['a list of lists', { sung: Array.from({ length: 3000 }, () => [[[[]]]]) }],
    ['one long name', { ['x'.repeat(500_000)]: 1 }],
  ])('%s are refused in few words', async (_, body) => {
    const response = await teacher.call('put', `/runs/${v7()}`, { ...run(v7(), []), ...body });
    expect([response.status, response.text.length < 20_000]).toEqual([422, true]);
  });

  test.each<[string, unknown]>([
    ['a list', ['a@example.org']],
    ['an object', { toString: 1 }],
    ['a number', 7],
    ['nothing', null],
  ])('an e-mail address that is %s is refused in words', async (_, email) => {
    const body = { email, password: 'ten plain characters', code: 'a' };
    for (const path of ['/session', '/account/recovery'])
      expectProblem(await new Teacher(server).call('post', path, body), 422, 'INVALID');
  });

  test.each([
    '2026-W48-3',
    '20261125T150000Z',
    '2026-11-25',
    '2026-02-30T10:00:00Z',
    '0000-01-01T00:00:00Z',
    '+275760-09-13',
  ])('an instant written %s is refused in words', async (startedAt) => {
    const studentId = await teacher.addStudent();
    const response = await teacher.call('put', `/runs/${v7()}`, run(studentId, [], { startedAt }));
    expectProblem(response, 422, 'INVALID');
  });
});

test('a student who is removed while others write is gone, in words', async () => {
  for (let turn = 0; turn < 8; turn += 1) {
    const studentId = await teacher.addStudent();
    const writes = Array.from({ length: 6 }, () => teacher.call('put', `/runs/${v7()}`, run(studentId, [sungKey(60)])));
    const answers = await Promise.all([...writes, teacher.call('delete', `/students/${studentId}`)]);
    expect(answers.map(({ status }) => status).filter((status) => ![200, 204, 404].includes(status))).toEqual([]);
  }
}, 60_000);

test('sendings of one run that cross leave what the newest said', async () => {
  const studentId = await teacher.addStudent();
  const keys = Array.from({ length: 12 }, (_, index) => sungKey(50 + index));
  for (let turn = 0; turn < 12; turn += 1) {
    const id = v7();
    const own = keys.map((key) => ({ ...key, id: v7() }));
    const sendings = own.map((_, index) =>
      run(studentId, own.slice(0, index + 1), { revision: index + 1, note: `note ${String(index + 1)}` }),
    );
    await Promise.all([...sendings].reverse().map((sent) => teacher.call('put', `/runs/${id}`, sent)));
    const kept = (await teacher.call('get', `/runs/${id}`)).body as Record<string, unknown>;
    expect(kept).toMatchObject({ revision: 12, note: 'note 12', sungKeys: 12, lowest: 50, highest: 68 });
  }
}, 60_000);

test('a studio takes so many imports an hour, and says when there are more', async () => {
  const busy = await new Teacher(server).signUp();
  const send = (id: string): ReturnType<Teacher['call']> =>
    busy.call('post', '/exercises/imports', { id, name: 'Mine', exercises: [], collections: [] });
  const ids = Array.from({ length: 40 }, () => v7());
  for (const id of ids) expect((await send(id)).status).toBe(201);
  expectProblem(await send(v7()), 409, 'TOO_MANY');
  expect((await send(ids[0] ?? '')).status).toBe(201);
}, 60_000);

test('behind TLS the cookie is bound to its host', async () => {
  const secure = await startTestServer({ publicUrl: 'https://lark.example.org', trustProxy: 'loopback' });
  const response = await new Teacher(secure).agent
    .post('/api/studios')
    .set({ 'x-soft-lark': '1', 'x-forwarded-proto': 'https' })
    .send({
      ...{ studioName: 'Weir', name: 'Ada', email: 'tls@example.org', timeZone: 'Europe/London' },
      password: 'ten plain characters',
    });
  await secure.close();
  expect(response.get('set-cookie')?.[0]).toMatch(/^__Host-soft-lark=.*Path=\/;.*HttpOnly; Secure; SameSite=Lax/);
});

test('a student known to be there is made once, sent twice', async () => {
  const id = v7();
  const first = await teacher.call('post', '/students', student(id));
  expect([first.status, (await teacher.call('post', '/students', student(id))).status]).toEqual([201, 201]);
});
