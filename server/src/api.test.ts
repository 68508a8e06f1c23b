import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Response } from 'supertest';
import pg from 'pg';
import { v7 } from 'uuid';
import type { RoutineVersionDto } from './routines/index.ts';
import { openApiDocument } from './open-api.ts';
import {
  expectProblem,
  routine,
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

describe('accounts', () => {
  test('sign up, in and out', async () => {
    const visitor = await new Teacher(server).signUp();
    const { email, password } = visitor;
    expect((await visitor.call('get', '/session')).body).toMatchObject({
      studioName: 'Weir House',
      timeZone: 'Europe/London',
      isDemo: false,
    });
    expect((await visitor.call('delete', '/session')).status).toBe(204);
    expectProblem(await visitor.call('get', '/session'), 401, 'SIGNED_OUT');
    expectProblem(await visitor.call('post', '/session', { email, password: 'not the one' }), 401, 'WRONG_PASSWORD');
    const back = await visitor.call('post', '/session', { email: email.toUpperCase(), password });
    expect(back.status).toBe(201);
    expect(String(back.get('set-cookie'))).toMatch(/HttpOnly.*SameSite=Lax/);
  });

  test('guessing is slowed down', async () => {
    const guesser = new Teacher(server);
    const tries = Array.from({ length: 11 }, () =>
      guesser.call('post', '/session', { email: guesser.email, password: 'a guess' }),
    );
    const statuses = (await Promise.all(tries)).map(({ status }) => status);
    expect(statuses.filter((status) => status === 401)).toHaveLength(10);
    expect(statuses.filter((status) => status === 429)).toHaveLength(1);
  });

  test.each([
    ['an address that is taken', () => ({ email: teacher.email }), 409, 'EMAIL_TAKEN'],
    ['a short password', () => ({ password: 'short' }), 422, 'INVALID'],
    ['no time zone of this world', () => ({ timeZone: 'Moon/Tycho' }), 422, 'INVALID'],
    ['an unknown field', () => ({ isAdmin: true }), 422, 'INVALID'],
  ])('%s is refused', async (_, change, status, code) => {
    const wanted = {
      studioName: 'A',
      name: 'B',
      email: new Teacher(server).email,
      password: 'ten plain characters',
      timeZone: 'Europe/London',
    };
    const body = expectProblem(
      await new Teacher(server).call('post', '/studios', { ...wanted, ...change() }),
      status,
      code,
    );
    expect(body['errors']).toEqual([expect.objectContaining({ field: Object.keys(change())[0] })]);
  });

  test('a call that another site could send is refused', async () => {
    const response = await teacher.agent.post('/api/students').send(student(v7()));
    expectProblem(response, 403, 'NOT_FROM_HERE');
  });
});

describe('bad input', () => {
  const voice = (change: object): object => ({
    ...student(v7()),
    voice: { ...(student(v7()) as { voice: object }).voice, ...change },
  });

  test.each<[string, object, string, string]>([
    ['an unknown field is named', { ...student(v7()), colour: 'red' }, 'INVALID', 'colour'],
    [
      'deep inside too',
      voice({ measured: { low: 58, high: 76, date: '2026-11-03', loud: 1 } }),
      'INVALID',
      'voice.measured.loud',
    ],
    ['a name of 300 characters', { ...student(v7()), name: 'x'.repeat(300) }, 'INVALID', 'name'],
    ['a note that is none', voice({ speakingNote: 400 }), 'INVALID', 'voice.speakingNote'],
    [
      'a day that is none',
      voice({ measured: { low: 58, high: 76, date: '2026-02-30' } }),
      'INVALID',
      'voice.measured.date',
    ],
    ['a child of three', voice({ age: 3 }), 'INVALID', 'voice.age'],
    ['null where nothing should be', voice({ age: null }), 'INVALID', 'voice.age'],
  ])('%s', async (_, body, code, field) => {
    const problem = expectProblem(await teacher.call('post', '/students', body), 422, code);
    expect(problem['errors']).toEqual(expect.arrayContaining([expect.objectContaining({ field })]));
  });

  test('figures that contradict each other', async () => {
    expectProblem(
      await teacher.call('post', '/students', voice({ measured: { low: 76, high: 58, date: '2026-11-03' } })),
      422,
      'BAD_RANGE',
    );
  });

  test('names with emoji, from right to left, and their edges trimmed', async () => {
    const id = await teacher.addStudent({ name: '  🐦 لارك ناعم  ' });
    expect((await teacher.call('get', `/students/${id}`)).body).toMatchObject({ name: '🐦 لارك ناعم' });
  });

  test('bodies over 1 MiB and broken JSON', async () => {
    expectProblem(
      await teacher.call('post', '/students', { ...student(v7()), note: 'x'.repeat(1024 * 1024) }),
      413,
      'TOO_LARGE',
    );
    const broken = await teacher.agent
      .post('/api/students')
      .set('x-soft-lark', '1')
      .set('content-type', 'application/json')
      .send('{"name":');
    expectProblem(broken, 400, 'BAD_REQUEST');
  });

  test.each([
    ['tempo', { tempo: 1000 }],
    ['step', { step: 0 }],
    ['minutes of a step', { seconds: 4 }],
    ['an unknown setting', { colour: 1 }],
  ])('out of bounds: %s', async (_, settings) => {
    const studentId = await teacher.addStudent();
    const wanted = { ...routine(v7(), studentId), steps: [{ id: v7(), exerciseId: 'thirds', settings }] };
    expectProblem(await teacher.call('post', '/routines', wanted), 422, 'INVALID');
  });

  test('an exercise that is not on the shelf, a lesson at 25 o’clock', async () => {
    const studentId = await teacher.addStudent();
    const unknown = { ...routine(v7(), studentId), steps: [{ id: v7(), exerciseId: 'nothing-like-it', settings: {} }] };
    expectProblem(await teacher.call('post', '/routines', unknown), 422, 'INVALID');
    expectProblem(
      await teacher.call('post', '/lessons', { id: v7(), studentId, weekday: 1, startsAt: '25:00', minutes: 30 }),
      422,
      'INVALID',
    );
  });
});

describe('writes', () => {
  test('creating twice is the same as once', async () => {
    const id = v7();
    const first = await teacher.call('post', '/students', student(id));
    const second = await teacher.call('post', '/students', student(id));
    expect([second.status, second.body]).toEqual([201, first.body]);
  });

  test('a stale write is refused with what is there now; the same content again is not stale', async () => {
    const studentId = await teacher.addStudent();
    const id = await teacher.addRoutine(studentId);
    const {
      studentId: owner,
      version,
      updatedAt,
      id: own,
      ...fields
    } = (await teacher.call('get', `/routines/${id}`)).body as Record<string, unknown>;
    expect([owner, own, typeof updatedAt]).toEqual([studentId, id, 'string']);
    const mine = await teacher.call('put', `/routines/${id}`, { ...fields, minutes: 12, version });
    expect(mine.body).toMatchObject({ minutes: 12, version: 2 });
    const lost = await teacher.call('put', `/routines/${id}`, { ...fields, minutes: 12, version });
    expect([lost.status, (lost.body as { version: number }).version]).toEqual([200, 2]);
    const stale = expectProblem(
      await teacher.call('put', `/routines/${id}`, { ...fields, minutes: 15, version }),
      409,
      'STALE_WRITE',
    );
    expect(stale['current']).toMatchObject({ minutes: 12, version: 2 });
    expect((await teacher.call('put', `/routines/${id}`, { ...fields, minutes: 15, version: 2 })).body).toMatchObject({
      minutes: 15,
      version: 3,
    });
  });

  test('two windows that write at the same moment: one wins, none is lost silently', async () => {
    const id = await teacher.addStudent();
    const {
      known,
      id: own,
      ...fields
    } = (await teacher.call('get', `/students/${id}`)).body as Record<string, unknown>;
    expect([known, own]).toEqual([[], id]);
    const answers = await Promise.all(
      ['Wren', 'Robin', 'Finch'].map((name) => teacher.call('put', `/students/${id}`, { ...fields, name })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
  });

  test('order, settings and minutes of a routine come back as they went', async () => {
    const studentId = await teacher.addStudent();
    const id = v7();
    const wanted = routine(id, studentId) as { steps: object[] };
    const reversed = { ...wanted, steps: [...wanted.steps].reverse() };
    await teacher.call('post', '/routines', reversed);
    expect((await teacher.call('get', `/routines/${id}`)).body).toMatchObject(reversed);
  });
});

test('a routine’s versions: the first stays, a sitting is one, what comes later stands by itself', async () => {
  const studentId = await teacher.addStudent();
  const id = v7();
  const first = routine(id, studentId) as { minutes: number };
  await teacher.call('post', '/routines', first);
  const change = (version: number, minutes: number): Promise<Response> =>
    teacher.call('put', `/routines/${id}`, { ...first, id: undefined, studentId: undefined, minutes, version });
  const versions = async (): Promise<readonly (readonly unknown[])[]> => {
    const { text } = await teacher.call('get', `/routines/${id}/versions`);
    return (JSON.parse(text) as RoutineVersionDto[]).map(({ version, minutes, savedBy }) => [
      version,
      minutes,
      savedBy,
    ]);
  };
  await change(1, 11);
  await change(2, 12);
  expect(await versions()).toEqual([
    [3, 12, 'Ada'],
    [1, first.minutes, 'Ada'],
  ]);
  const database = new pg.Client({ connectionString: server.databaseUrl });
  await database.connect();
  await database.query(`update routine_version set saved_at = saved_at - interval '11 minutes'`);
  await database.end();
  await change(3, 13);
  expect(await versions()).toEqual([
    [4, 13, 'Ada'],
    [3, 12, 'Ada'],
    [1, first.minutes, 'Ada'],
  ]);
  expect((await change(2, 20)).status).toBe(409);
  expect(await versions()).toHaveLength(3);
});

describe('today', () => {
  test('lessons of the studio’s own weekday, with condition, routine and last run', async () => {
    const other = await new Teacher(server).signUp();
    const studentId = await other.addStudent();
    const { today } = (await other.call('get', '/session')).body as { today: string };
    const weekday = new Date(`${today}T12:00:00Z`).getUTCDay() || 7;
    await other.call('post', '/lessons', { id: v7(), studentId, weekday, startsAt: '16:00', minutes: 30 });
    await other.call('post', '/lessons', {
      id: v7(),
      studentId,
      weekday: (weekday % 7) + 1,
      startsAt: '09:00',
      minutes: 30,
    });
    const routineId = await other.addRoutine(studentId);
    await other.call('put', `/students/${studentId}/condition`, { day: today, conditions: ['tired'] });
    await other.call(
      'put',
      `/runs/${v7()}`,
      run(studentId, [sungKey(60)], { endedAt: '2026-11-25T15:10:00Z', ease: 4 }),
    );
    const answer = await other.call('get', '/today');
    expect(answer.body).toMatchObject({
      day: today,
      lessons: [
        {
          lesson: { startsAt: '16:00' },
          conditions: ['tired'],
          routine: { id: routineId },
          lastRun: { ease: 4, highest: 67 },
        },
      ],
    });
  });
});

test('the routine of the day is the one chosen, else the one changed last; the condition beside it stays', async () => {
  const owner = await new Teacher(server).signUp();
  const studentId = await owner.addStudent();
  const [first, second] = [await owner.addRoutine(studentId), await owner.addRoutine(studentId)];
  const { today: day } = (await owner.call('get', '/session')).body as { today: string };
  const ready = async (): Promise<unknown> => {
    const { routine: of, conditions } = (await owner.call('get', `/students/${studentId}/today`)).body as {
      routine: { id: string };
      conditions: unknown;
    };
    return [of.id, conditions];
  };
  const choose = (routineId: string): Promise<{ readonly status: number }> =>
    owner.call('put', `/students/${studentId}/day-routine`, { day, routineId });
  expect(await ready()).toEqual([second, []]);
  await owner.call('put', `/students/${studentId}/condition`, { day, conditions: ['tired'] });
  expect((await choose(first)).status).toBe(200);
  expect(await ready()).toEqual([first, ['tired']]);
  await owner.call('put', `/students/${studentId}/condition`, { day, conditions: [] });
  expect(await ready()).toEqual([first, []]);
  const other = await owner.addStudent({ name: 'Teal' });
  expect((await choose(await owner.addRoutine(other))).status).toBe(404);
  await owner.call('delete', `/routines/${first}`);
  expect(await ready()).toEqual([second, []]);
});

test('a routine that is led for a group is no lesson of the singer who leads it, and goes with the group', async () => {
  const owner = await new Teacher(server).signUp();
  const [studentId, other] = [await owner.addStudent(), await owner.addStudent({ name: 'Teal' })];
  const own = await owner.addRoutine(studentId);
  const groupId = v7();
  await owner.call('put', `/groups/${groupId}`, { version: 0, name: 'The pair', members: [studentId, other] });
  const make = (group: string): Promise<{ readonly status: number; readonly body: unknown }> =>
    owner.call('post', '/routines', { ...routine(v7(), studentId), groupId: group });
  expect((await make(groupId)).body).toMatchObject({ groupId });
  expect((await make(v7())).status).toBe(404);
  const { routine: ready } = (await owner.call('get', `/students/${studentId}/today`)).body as { routine: unknown };
  expect(ready).toMatchObject({ id: own });
  await owner.call('delete', `/groups/${groupId}`);
  expect((await owner.call('get', '/routines')).body).toHaveLength(1);
});

test('a lesson that goes on past midnight is still there, before those of the new day', async () => {
  const owner = await new Teacher(server).signUp();
  const studentId = await owner.addStudent();
  // A zone in which it is between one and two in the night now.
  const hours = 1 - new Date().getUTCHours();
  const east = hours < -12 ? hours + 24 : hours;
  const timeZone = `Etc/GMT${east > 0 ? '-' : '+'}${String(Math.abs(east))}`;
  const studio = (await owner.call('get', '/studio')).body as object;
  expect((await owner.call('put', '/studio', { ...studio, timeZone })).status).toBe(200);
  const { today } = (await owner.call('get', '/session')).body as { today: string };
  const weekday = new Date(`${today}T12:00:00Z`).getUTCDay() || 7;
  const yesterday = weekday === 1 ? 7 : weekday - 1;
  const add = (day: number, startsAt: string, minutes: number): Promise<unknown> =>
    owner.call('post', '/lessons', { id: v7(), studentId, weekday: day, startsAt, minutes });
  await add(weekday, '10:00', 30);
  await add(yesterday, '23:30', 60);
  await add(yesterday, '23:30', 180);
  const { lessons } = (await owner.call('get', '/today')).body as {
    lessons: readonly { readonly lesson: { readonly startsAt: string; readonly minutes: number } }[];
  };
  expect(lessons.map(({ lesson }) => [lesson.startsAt, lesson.minutes])).toEqual([
    ['23:30', 180],
    ['10:00', 30],
  ]);
});

test('the committed OpenAPI document is the one of this code', () => {
  const committed: unknown = JSON.parse(readFileSync(join(__dirname, '../openapi.json'), 'utf8'));
  expect(JSON.parse(JSON.stringify(openApiDocument(server.app)))).toEqual(committed);
});

test('health tells database and migrations', async () => {
  expect((await new Teacher(server).call('get', '/health')).body).toMatchObject({
    status: 'ok',
    details: { database: { status: 'up' }, migrations: { status: 'up' } },
  });
});
