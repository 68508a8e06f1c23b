import { shippedExercises } from '@soft-lark/core';
import { v7 } from 'uuid';
import { STUDENT_TABLE_NAMES } from './students/index.ts';
import {
  rangeCheck,
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
});
beforeEach(async () => {
  teacher = await new Teacher(server).signUp();
});
afterAll(() => server.close());

const several = (count: number): object[] =>
  Array.from({ length: count }, (_, index) => ({ ...student(v7()), name: `Reed ${String(index)}` }));
const namesHere = async (): Promise<readonly string[]> =>
  ((await teacher.call('get', '/students')).body as { name: string }[]).map(({ name }) => name);

describe('students of a table', () => {
  test('they are added together, twice the same as once', async () => {
    const students = several(60);
    const first = await teacher.call('post', '/students/several', { students });
    expect([first.status, (first.body as object[]).length]).toEqual([201, 60]);
    expect((await teacher.call('post', '/students/several', { students })).status).toBe(201);
    expect(await namesHere()).toHaveLength(60);
  });

  test.each<[string, (voice: object) => object, string]>([
    [
      'a range upside down',
      (voice) => ({ ...voice, measured: { low: 70, high: 60, date: '2026-11-01' } }),
      'BAD_RANGE',
    ],
    ['a voice there is not', (voice) => ({ ...voice, type: 'theremin' }), 'INVALID'],
    ['a figure nobody has', (voice) => ({ ...voice, rules: { 'no.such': 2 } }), 'INVALID'],
  ])('%s in one of them: none is added', async (_, broken, code) => {
    const [first, second] = several(2) as [{ voice: object }, { voice: object }];
    const students = [first, { ...second, voice: broken(second.voice) }];
    const answer = await teacher.call('post', '/students/several', { students });
    expect([answer.status, answer.body]).toMatchObject([422, { code }]);
    expect(await namesHere()).toEqual([]);
  });

  test('over what a studio holds: none is added', async () => {
    await teacher.call('post', '/students/several', { students: several(598) });
    const answer = await teacher.call('post', '/students/several', { students: several(3) });
    expect([answer.status, answer.body]).toMatchObject([409, { code: 'TOO_MANY' }]);
    expect(await namesHere()).toHaveLength(598);
  });

  test('they are taken back, but who was changed or has sung since', async () => {
    const students = several(4) as { id: string; voice: object }[];
    await teacher.call('post', '/students/several', { students });
    const [changed, sung] = students as [(typeof students)[0], (typeof students)[0]];
    await teacher.call('put', `/students/${changed.id}`, {
      name: 'Changed',
      note: '',
      voice: changed.voice,
      version: 1,
    });
    await teacher.call('put', `/runs/${v7()}`, run(sung.id, [sungKey(61)]));
    const ids = students.map(({ id }) => id);
    expect((await teacher.call('post', '/students/several/take-back', { ids })).body).toEqual({ count: 2 });
    expect(await namesHere()).toEqual(['Changed', 'Reed 1']);
  });

  test('nothing of another studio is taken back', async () => {
    const other = await new Teacher(server).signUp();
    const id = await other.addStudent();
    expect((await teacher.call('post', '/students/several/take-back', { ids: [id] })).status).toBe(404);
    expect((await other.call('get', `/students/${id}`)).status).toBe(200);
  });
});

describe('all that is kept of one student', () => {
  const call = async (method: 'post' | 'put', path: string, body: object): Promise<void> => {
    const { status, text } = await teacher.call(method, path, body);
    expect([path, status < 300 || text]).toEqual([path, true]);
  };

  /** A student with something in every table, beside another whose rows must stay. */
  async function fullStudent(name: string): Promise<string> {
    const id = await teacher.addStudent({ name });
    const routineId = v7();
    await call('post', '/routines', routine(routineId, id));
    await call('put', `/routines/${routineId}`, {
      ...{ ...routine(routineId, id), id: undefined, studentId: undefined, version: 1 },
      name: 'Changed',
    });
    await call('post', '/lessons', { id: v7(), studentId: id, weekday: 1, startsAt: '10:00', minutes: 30 });
    await call('put', `/students/${id}/condition`, { day: '2026-11-25', conditions: ['tired'] });
    await call('post', `/students/${id}/range-checks`, rangeCheck(v7()));
    await call('post', `/students/${id}/locks`, { id: v7(), level: 'urgent' });
    await call('post', `/students/${id}/home-links`, { id: v7(), weeks: 2 });
    await call('post', '/mutes', { id: v7(), rule: 'key-jump', reason: 'on purpose', routineId });
    const answer = { exerciseId: 'thirds', kind: 'ceiling', verdict: 'raise', answer: 'refused' };
    await call('post', `/students/${id}/advice`, { id: v7(), ...answer });
    const runId = v7();
    await call('put', `/runs/${runId}`, run(id, [sungKey(60), sungKey(61)], { endedAt: '2026-11-25T15:10:00Z' }));
    await call('post', `/runs/${runId}/corrections`, { id: v7(), ease: 3, keys: [] });
    const exercise = { ...shippedExercises()[0], id: `own-${id}`, name: 'For one alone' };
    await call('put', `/exercises/${exercise.id}`, { version: 0, exercise, studentId: id });
    return id;
  }

  const rowsIn = async (): Promise<readonly (readonly unknown[])[]> =>
    Promise.all(
      STUDENT_TABLE_NAMES.map(async (table) => {
        const [row] = (await server.query(`select count(*)::int as count from ${table}`)) as { count: number }[];
        return [table, row?.count];
      }),
    );

  test('every table that hangs on a student is among those that are looked through', async () => {
    const hanging = (await server.query(
      `with recursive hanging(id) as (
         select 'student'::regclass::oid
         union
         select bond.conrelid from pg_constraint bond join hanging on bond.confrelid = hanging.id
          where bond.contype = 'f' and bond.confdeltype = 'c')
       select id::regclass::text as name from hanging`,
    )) as { name: string }[];
    expect(hanging.map(({ name }) => name).sort()).toEqual([...STUDENT_TABLE_NAMES].sort());
  });

  test('a file has each row, and no key to anything; deleting counts what went and leaves nothing', async () => {
    await fullStudent('Stays');
    const before = await rowsIn();
    const id = await fullStudent('Goes');
    await call('put', `/groups/${v7()}`, { version: 0, name: 'Both', members: [id] });
    const answer = await teacher.call('get', `/students/${id}/file`);
    const { kind, tables } = answer.body as { kind: string; tables: Record<string, readonly object[]> };
    expect([answer.status, kind, Object.keys(tables)]).toEqual([200, 'soft-lark-student', [...STUDENT_TABLE_NAMES]]);
    for (const table of STUDENT_TABLE_NAMES) expect([table, (tables[table] ?? []).length > 0]).toEqual([table, true]);
    expect(tables['run_key']).toHaveLength(2);
    expect(answer.text).not.toMatch(/Stays|token_hash|account_id|studio_id/);
    const removed = (await teacher.call('delete', `/students/${id}`)).body as { gone: object[] };
    expect(removed).toMatchObject({ name: 'Goes', left: 0 });
    expect(removed.gone).toEqual(STUDENT_TABLE_NAMES.map((table) => ({ table, count: (tables[table] ?? []).length })));
    expect(await rowsIn()).toEqual(before);
    expect((await teacher.call('get', `/students/${id}/file`)).status).toBe(404);
    expect((await teacher.call('delete', `/students/${id}`)).status).toBe(404);
  });
});
