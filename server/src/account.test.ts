import type { Response } from 'supertest';
import { startTestServer, Teacher, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
const password = 'eleven plain characters';

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer({ trustProxy: 'loopback' });
});
afterAll(() => server.close());
// Passwords take their time, most of all on a machine that does other things.
jest.setTimeout(60_000);

const codeOf = ({ status, text }: Response): readonly [number, unknown] => [
  status,
  text === '' ? '' : (JSON.parse(text) as { code?: unknown }).code,
];
const codesOf = ({ body }: Response): string[] => (body as { codes: string[] }).codes;
const signIn = (visitor: Teacher, email: string, word: string): Promise<Response> =>
  visitor.call('post', '/session', { email, password: word });

test('a new password ends every other session and every code; the old one opens nothing', async () => {
  const holder = await new Teacher(server).signUp();
  const [before = ''] = codesOf(await holder.call('post', '/account/recovery-codes', { password: holder.password }));
  const elsewhere = new Teacher(server);
  await signIn(elsewhere, holder.email, holder.password);
  const wrong = await holder.call('post', '/account/password', { current: 'a guess', next: password });
  expect(codeOf(wrong)).toEqual([403, 'WRONG_PASSWORD']);
  const change = await holder.call('post', '/account/password', { current: holder.password, next: password });
  expect([change.status, codesOf(change).length]).toEqual([201, 8]);
  expect((await holder.call('get', '/session')).status).toBe(200);
  expect((await elsewhere.call('get', '/session')).status).toBe(401);
  const { email } = holder;
  expect((await signIn(elsewhere, email, holder.password)).status).toBe(401);
  expect(codeOf(await elsewhere.call('post', '/account/recovery', { email, code: before, password }))).toEqual([
    ...[401, 'WRONG_CODE'],
  ]);
  expect((await signIn(elsewhere, email, password)).status).toBe(201);
});

test('another address takes the password, and none that has an account', async () => {
  const [holder, other] = [await new Teacher(server).signUp(), await new Teacher(server).signUp()];
  const to = (email: string, word = holder.password): Promise<Response> =>
    holder.call('post', '/account/email', { email, password: word });
  expect(codeOf(await to('new@example.org', 'a guess'))).toEqual([403, 'WRONG_PASSWORD']);
  expect(codeOf(await to(other.email.toUpperCase()))).toEqual([409, 'EMAIL_TAKEN']);
  expect(codeOf(await to('nowhere'))).toEqual([422, 'INVALID']);
  expect((await to('New@example.org')).status).toBe(204);
  expect((await holder.call('get', '/session')).body).toMatchObject({ email: 'new@example.org' });
  const visitor = new Teacher(server);
  expect((await signIn(visitor, holder.email, holder.password)).status).toBe(401);
  expect((await signIn(visitor, 'new@example.org', holder.password)).status).toBe(201);
});

test('a code opens the account once, however it is typed, and gives new ones; new ones end the old', async () => {
  const holder = await new Teacher(server).signUp();
  expect(codeOf(await holder.call('post', '/account/recovery-codes', { password: 'a guess' }))).toEqual([
    ...[403, 'WRONG_PASSWORD'],
  ]);
  const fresh = async (): Promise<string[]> =>
    codesOf(await holder.call('post', '/account/recovery-codes', { password: holder.password }));
  const [old = ''] = await fresh();
  const [first = '', second = ''] = await fresh();
  const visitor = new Teacher(server);
  const recover = (code: string): Promise<Response> =>
    visitor.call('post', '/account/recovery', { email: holder.email, code, password });
  expect(codeOf(await recover(old))).toEqual([401, 'WRONG_CODE']);
  const opened = await recover(first.toUpperCase().replaceAll('-', ' '));
  expect(opened.status).toBe(201);
  expect(codeOf(await recover(first))).toEqual([401, 'WRONG_CODE']);
  expect(codeOf(await recover(second))).toEqual([401, 'WRONG_CODE']);
  expect((await recover(codesOf(opened)[0] ?? '')).status).toBe(201);
  expect((await visitor.call('get', '/session')).body).toMatchObject({ studioName: 'Weir House' });
});

test('sign-up gives the first codes with the session', async () => {
  const response = await new Teacher(server).call('post', '/studios', {
    ...{ studioName: 'Weir House', name: 'Ada', email: 'first@example.org', password, timeZone: 'Europe/London' },
  });
  expect([response.status, codesOf(response).length]).toEqual([201, 8]);
  expect(response.get('cache-control')).toBe('no-store');
});

test.each(['password1234', 'qwertyuiop', 'aaaaaaaaaaaa', 'Password1234!'])(
  'the password %s is tried first, and refused',
  async (common) => {
    const wanted = { studioName: 'Weir', name: 'Ada', email: 'a@example.org', timeZone: 'Europe/London' };
    const response = await new Teacher(server).call('post', '/studios', { ...wanted, password: common });
    expect(codeOf(response)).toEqual([422, 'INVALID']);
    expect((response.body as { errors: { field: string }[] }).errors.map(({ field }) => field)).toContain('password');
  },
);

test('open sessions are listed without the id that opens them, and each can be ended', async () => {
  const holder = await new Teacher(server).signUp();
  const elsewhere = new Teacher(server);
  await elsewhere.agent
    .post('/api/session')
    .set({ 'x-soft-lark': '1', 'user-agent': 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0' })
    .send({ email: holder.email, password: holder.password });
  const list = (await holder.call('get', '/account/sessions')).body as {
    id: string;
    device: string;
    isThis: boolean;
  }[];
  expect(list.map(({ isThis }) => isThis).sort()).toEqual([false, true]);
  const other = list.find(({ isThis }) => !isThis);
  expect(other?.device).toBe('Firefox, Linux');
  const stranger = await new Teacher(server).signUp();
  expect((await stranger.call('delete', `/account/sessions/${other?.id ?? ''}`)).status).toBe(404);
  expect((await holder.call('delete', `/account/sessions/${other?.id ?? ''}`)).status).toBe(204);
  expect((await elsewhere.call('get', '/session')).status).toBe(401);
  expect((await holder.call('get', '/session')).status).toBe(200);
});

test('a session ends ninety days after it was opened, however often it was used', async () => {
  const holder = await new Teacher(server).signUp();
  const age = (days: number): Promise<unknown> =>
    server.query(
      `update session set sess = jsonb_set(sess::jsonb, '{openedAt}',
         to_jsonb((now() - make_interval(days => $2))::text))::json
        where sess->'signedIn'->>'accountId' = (select id::text from account where email = $1)`,
      [holder.email, days],
    );
  await age(89);
  expect((await holder.call('get', '/session')).status).toBe(200);
  await age(91);
  expect((await holder.call('get', '/session')).status).toBe(401);
});

test('the same address at once makes one account, and no fault', async () => {
  const wanted = { studioName: 'Weir', name: 'Ada', email: 'twice@example.org', timeZone: 'Europe/London', password };
  const answers = await Promise.all(
    Array.from({ length: 4 }, () => new Teacher(server).call('post', '/studios', wanted)),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409, 409]);
});

test('one account is not guessed at from many addresses', async () => {
  const holder = await new Teacher(server).signUp();
  const guess = async (number: number): Promise<number> =>
    (
      await new Teacher(server).agent
        .post('/api/session')
        .set({ 'x-soft-lark': '1', 'x-forwarded-for': `10.9.0.${String(number)}` })
        .send({ email: holder.email, password: 'a guess' })
    ).status;
  const statuses: number[] = [];
  for (let number = 0; number < 32; number += 1) statuses.push(await guess(number));
  expect(statuses.filter((status) => status === 429)).toHaveLength(2);
});

test('two servers on one database count tries together', async () => {
  const other = await startTestServer({ databaseUrl: server.databaseUrl });
  const email = 'nobody@example.org';
  const statuses: number[] = [];
  for (let turn = 0; turn < 6; turn += 1)
    for (const one of [server, other]) statuses.push((await signIn(new Teacher(one), email, 'a guess')).status);
  await other.close();
  expect(statuses.filter((status) => status === 429)).toHaveLength(2);
});

test('closing it takes the studio with it', async () => {
  const holder = await new Teacher(server).signUp();
  const neighbour = await new Teacher(server).signUp();
  await holder.addStudent({ name: 'Last Linnet' });
  expect(codeOf(await holder.call('delete', '/account', { password: 'a guess' }))).toEqual([403, 'WRONG_PASSWORD']);
  expect((await holder.call('delete', '/account', { password: holder.password })).status).toBe(204);
  expect((await holder.call('get', '/students')).status).toBe(401);
  expect((await signIn(new Teacher(server), holder.email, holder.password)).status).toBe(401);
  expect((await neighbour.call('get', '/students')).status).toBe(200);
});
