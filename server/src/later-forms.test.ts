import { v7 } from 'uuid';
import { expectProblem, routine, startTestServer, student, Teacher, type TestServer } from './testing/test-studio.ts';

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

const read = async (path: string): Promise<unknown> => (await teacher.call('get', path)).body;
const nameOf = (rows: unknown): readonly string[] => (rows as { name: string }[]).map(({ name }) => name);

test('a voice file of a later form is said by name and kept; the other students stand', async () => {
  const [later, plain] = [await teacher.addStudent({ name: 'From tomorrow' }), await teacher.addStudent()];
  await server.query(`update student set voice = jsonb_set(voice, '{schema}', '9') where id = $1`, [later]);
  expect(nameOf(await read('/students'))).toEqual(['Linnet']);
  expect(await read('/students/unreadable')).toEqual([
    { id: later, name: 'From tomorrow', reason: { code: 'fault.later-form' } },
  ]);
  const problem = expectProblem(await teacher.call('get', `/students/${later}`), 422, 'UNREADABLE');
  expect(problem['remedy']).toContain('kept as it is');
  expect((await teacher.call('get', `/students/${plain}/today`)).status).toBe(200);
  expect((await teacher.call('get', '/today')).status).toBe(200);
  expect(await server.query(`select voice->>'schema' as form from student where id = $1`, [later])).toEqual([
    { form: '9' },
  ]);
  expect((await teacher.call('delete', `/students/${later}`)).status).toBe(200);
});

test('a voice file that is damaged says where', async () => {
  const id = await teacher.addStudent({ name: 'Torn' });
  await server.query(`update student set voice = jsonb_set(voice, '{measured,low}', '"C4"') where id = $1`, [id]);
  expect(await read('/students/unreadable')).toEqual([
    {
      id,
      name: 'Torn',
      reason: { code: 'fault.at', values: { place: 'measured low', fault: { code: 'fault.no-number' } } },
    },
  ]);
  // Whoever has it open may still write it anew.
  const change = { ...student(id), id: undefined, version: 1 };
  expect((await teacher.call('put', `/students/${id}`, change)).status).toBe(200);
  expect(await read('/students/unreadable')).toEqual([]);
});

test('a routine of a later form is left out of the lists and of Today, and said', async () => {
  const studentId = await teacher.addStudent();
  const [later, plain] = [v7(), v7()];
  await teacher.call('post', '/routines', routine(plain, studentId));
  await teacher.call('post', '/routines', { ...routine(later, studentId), name: 'From tomorrow' });
  await server.query(`update routine set steps = jsonb_set(steps, '{schema}', '9') where id = $1`, [later]);
  expect(nameOf(await read('/routines'))).toEqual(['Ten minutes']);
  expect(nameOf(await read('/routines/unreadable'))).toEqual(['From tomorrow']);
  expectProblem(await teacher.call('get', `/routines/${later}`), 422, 'UNREADABLE');
  expect((await teacher.call('get', `/students/${studentId}/today`)).status).toBe(200);
});

test('a template of a later form is left out of the list, and said', async () => {
  const { steps } = routine(v7(), v7()) as { steps: unknown };
  const body = { kind: 'lesson', minutes: 10, steps, parts: [] };
  const id = v7();
  expect((await teacher.call('post', '/templates', { ...body, id, name: 'From tomorrow' })).status).toBe(201);
  expect((await teacher.call('post', '/templates', { ...body, id: v7(), name: 'Plain' })).status).toBe(201);
  await server.query(`update template set body = body || '{"minutes": 0}' where id = $1`, [id]);
  expect(nameOf(await read('/templates'))).toEqual(['Plain']);
  expect(await read('/templates/unreadable')).toEqual([
    {
      id,
      name: 'From tomorrow',
      reason: {
        code: 'fault.at',
        values: { place: 'minutes', fault: { code: 'fault.too-low', values: { least: 1 } } },
      },
    },
  ]);
});
