import { startTestServer, Teacher, type TestServer } from '../testing/test-studio.ts';

let server: TestServer;
let teacher: Teacher;

beforeAll(async () => {
  delete process.env['DEMO'];
  server = await startTestServer();
  teacher = new Teacher(server);
}, 60_000);
afterAll(() => server.close());

test('Tern Lock opens with one press: nine students, lessons today, four weeks of uneven runs', async () => {
  expect((await teacher.call('post', '/demo/session')).body).toMatchObject({ studioName: 'Tern Lock', isDemo: true });
  const students = (await teacher.call('get', '/students')).body as { id: string; name: string }[];
  expect(students.map(({ name }) => name)).toEqual([
    'Barnaby Quill',
    'Corwin Dace',
    'Idris Fallow',
    'Juniper Vance',
    'Maud Pellow',
    'Otis Wren',
    'Pip Anstey',
    'Rook Hallam',
    'Tamsin Orrock',
  ]);
  const { lessons } = (await teacher.call('get', '/today')).body as { lessons: unknown[] };
  expect(lessons.length).toBeGreaterThanOrEqual(2);
  const runs = (await teacher.call('get', '/runs')).body as {
    studentName: string;
    sungKeys: number;
    plannedKeys: number;
    startedAt: string;
  }[];
  expect(runs.length).toBeGreaterThan(50);
  expect(runs.some(({ sungKeys, plannedKeys }) => sungKeys !== plannedKeys)).toBe(true);
  const days = (Date.now() - Date.parse(runs.at(-1)?.startedAt ?? '')) / 86_400_000;
  expect(days).toBeGreaterThan(20);
});

test('no run of the demo ever sounded a zone that is never sounded', async () => {
  const runs = (await teacher.call('get', '/runs')).body as { id: string; studentName: string }[];
  const own = runs.filter(({ studentName }) => studentName === 'Juniper Vance');
  expect(own.length).toBeGreaterThan(3);
  for (const { id } of own) {
    const { sung } = (await teacher.call('get', `/runs/${id}`)).body as { sung: { low: number }[] };
    expect(sung.every(({ low }) => low > 56)).toBe(true);
  }
});
