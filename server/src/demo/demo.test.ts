import { startTestServer, Teacher, type TestServer } from '../testing/test-studio.ts';

let server: TestServer;
let teacher: Teacher;

beforeAll(async () => {
  delete process.env['DEMO'];
  server = await startTestServer();
  teacher = new Teacher(server);
}, 60_000);
afterAll(() => server.close());

test('Tern Lock opens with one press: nine students, lessons today, twelve weeks of uneven runs', async () => {
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
  const daysAgo = runs.map(({ startedAt }) => (Date.now() - Date.parse(startedAt)) / 86_400_000);
  expect(Math.max(...daysAgo)).toBeGreaterThan(75);
  const weeks = Array.from({ length: 12 }, (_, week) => daysAgo.filter((days) => Math.floor(days / 7) === week).length);
  expect(Math.max(...weeks) - Math.min(...weeks)).toBeGreaterThan(5);
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

test('what was worked on has grown over the weeks: quick work quicker, a long breath longer', async () => {
  const students = (await teacher.call('get', '/students')).body as { id: string }[];
  const grown = { tempo: 0, breath: 0 };
  for (const { id } of students) {
    const { courses } = (await teacher.call('get', `/students/${id}/progress`)).body as {
      courses: { figure: 'tempo' | 'breath'; points: { value: number }[] }[];
    };
    for (const { figure, points } of courses)
      if ((points.at(-1)?.value ?? 0) > (points[0]?.value ?? 0)) grown[figure] += 1;
  }
  expect(grown.tempo).toBeGreaterThan(0);
  expect(grown.breath).toBeGreaterThan(2);
});

test('nobody takes the demo for themselves: no codes, no closing, no new password', async () => {
  const answers = await Promise.all([
    teacher.call('post', '/account/recovery-codes', { password: 'a guess' }),
    teacher.call('delete', '/account', { password: 'a guess' }),
    teacher.call('post', '/account/password', { current: 'a guess', next: 'eleven plain characters' }),
  ]);
  expect(answers.map(({ status, body }) => [status, (body as { code: string }).code])).toEqual([
    [403, 'DEMO_STAYS'],
    [403, 'DEMO_STAYS'],
    [403, 'DEMO_STAYS'],
  ]);
  expect((await teacher.call('get', '/students')).body).toHaveLength(9);
});

test('range checks stand over time, and the one whose voice is changing is flagged as such', async () => {
  const students = (await teacher.call('get', '/students')).body as { id: string; name: string }[];
  const flagged: string[] = [];
  for (const { id, name } of students) {
    const today = (await teacher.call('get', `/students/${id}/today`)).body as {
      changeSince: string | null;
      checkDueInDays: number | null;
      student: { voice: { measured?: { low: number; date: string } } };
    };
    const checks = (await teacher.call('get', `/students/${id}/range-checks`)).body as { day: string; low: number }[];
    expect(checks.at(-1)).toMatchObject({
      day: today.student.voice.measured?.date,
      low: today.student.voice.measured?.low,
    });
    expect(checks.map(({ day }) => day)).toEqual(checks.map(({ day }) => day).sort());
    if (today.changeSince !== null) flagged.push(name);
    if (name === 'Corwin Dace') expect(today.checkDueInDays).toBeLessThan(0);
  }
  expect(flagged).toEqual(['Idris Fallow']);
});
