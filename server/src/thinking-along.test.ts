import type { Response } from 'supertest';
import { v7 } from 'uuid';
import { routine, run, startTestServer, sungKey, Teacher, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
let teacher: Teacher;
let studentId: string;
const DAY_MS = 86_400_000;
const ago = (days: number): string => new Date(Date.now() - days * DAY_MS).toISOString();
const codeOf = ({ status, body }: Response): readonly unknown[] => [status, (body as { code?: string }).code];

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
});
beforeEach(async () => {
  teacher = await new Teacher(server).signUp();
  studentId = await teacher.addStudent();
});
afterAll(() => server.close());

describe('what past runs say', () => {
  const sing = (
    daysAgo: number,
    exerciseId: string,
    marks: readonly string[] = [],
    change: object = {},
  ): Promise<Response> => {
    const stepId = v7();
    const key = { stepId, exerciseId, tempo: 60, marks };
    const plan = [{ stepId, exerciseId, name: 'A step', kind: 'pattern', seconds: 60, keys: [] }];
    const sung = [sungKey(60, key), sungKey(62, key), sungKey(64, { ...key, outcome: 'skipped' })];
    return teacher.call('put', `/runs/${v7()}`, run(studentId, sung, { startedAt: ago(daysAgo), plan, ...change }));
  };
  const history = async (): Promise<unknown> => (await teacher.call('get', `/students/${studentId}/history`)).body;

  test('nothing yet', async () => {
    expect(await history()).toEqual({ stuck: [], ease: [], results: [], lastSung: [], runsOf: [] });
    expect((await teacher.call('get', `/students/${v7()}/history`)).status).toBe(404);
  });

  test('load by the keys that were sung, news by what was not sung in twelve weeks, ease by run and marks', async () => {
    await sing(100, 'thirds');
    await sing(30, 'up-and-down-five', [], { ease: 4 });
    await sing(2, 'up-and-down-five', ['easy'], { ease: 4 });
    // Two keys of ten beats at 60; the skipped one weighs nothing.
    expect(await history()).toEqual({
      weekMinutes: expect.closeTo(20 / 60, 5) as number,
      usualWeekMinutes: expect.closeTo(20 / 60 / 4, 5) as number,
      daysSinceAnythingNew: 30,
      stuck: [],
      ease: [{ exerciseId: 'up-and-down-five', ease: 4.5 }],
      results: [],
      lastSung: [{ exerciseId: 'up-and-down-five', keys: 2, highest: 69, tempo: 60, manners: [] }],
      runsOf: [
        {
          exerciseId: 'up-and-down-five',
          runs: [expect.objectContaining({ marks: [] }), expect.objectContaining({ marks: ['easy'] })],
        },
      ],
    });
    await sing(1, 'thirds');
    expect(await history()).toMatchObject({ daysSinceAnythingNew: 1 });
  });

  test('an exercise that went badly four times at one setting is stuck; what was never begun counts for nothing', async () => {
    for (const days of [20, 15, 10, 5]) await sing(days, 'thirds', ['crack']);
    const stepId = v7();
    const plan = [{ stepId, exerciseId: 'chord-up-and-down', name: 'A step', kind: 'pattern', seconds: 60, keys: [] }];
    await teacher.call('put', `/runs/${v7()}`, run(studentId, [], { startedAt: ago(1), plan }));
    expect(await history()).toMatchObject({ stuck: ['thirds'], ease: [{ exerciseId: 'thirds', ease: 2 }] });
  });
});

describe('a template', () => {
  const steps = [{ id: v7(), exerciseId: 'up-and-down-five', settings: { tempo: 80 } }];
  const parts = [{ stage: 'middle', goals: ['line'], mostLoad: 2, keep: true }];
  const template = (change: object = {}): object => ({
    id: v7(),
    name: 'Before the boats',
    kind: 'late',
    minutes: 4,
    steps,
    parts: [],
    ...change,
  });
  const keep = (change: object = {}): Promise<Response> => teacher.call('post', '/templates', template(change));

  test('is kept as it is or as a recipe, listed by name, and removed', async () => {
    const id = v7();
    expect((await keep({ id, name: 'Zither' })).body).toMatchObject({ id, kind: 'late', steps, parts: [] });
    // Creating twice is the same as once.
    await keep({ id, name: 'Zither' });
    await keep({ steps: [], parts });
    const list = (await teacher.call('get', '/templates')).body as { name: string; parts: unknown }[];
    expect(list.map(({ name }) => name)).toEqual(['Before the boats', 'Zither']);
    expect(list[0]?.parts).toEqual(parts);
    expect((await teacher.call('delete', `/templates/${id}`)).status).toBe(204);
    expect((await teacher.call('delete', `/templates/${id}`)).status).toBe(404);
  });

  test.each([
    ['nothing in it', { steps: [] }],
    ['both steps and places', { parts }],
    ['an exercise that is not on the shelf', { steps: [{ id: v7(), exerciseId: 'no-such-thing', settings: {} }] }],
    ['a stage there is not', { steps: [], parts: [{ ...parts[0], stage: 'finale' }] }],
    ['no name', { name: ' ' }],
    ['a kind there is not', { kind: 'picnic' }],
  ])('with %s is refused, and nothing is kept', async (_, change) => {
    expect(codeOf(await keep(change))).toEqual([422, 'INVALID']);
    expect((await teacher.call('get', '/templates')).body).toEqual([]);
  });
});

describe('a group', () => {
  const put = (id: string, version: number, members: readonly string[], name = 'Duet'): Promise<Response> =>
    teacher.call('put', `/groups/${id}`, { version, name, members });

  test('keeps its singers in order, is changed on its version, and loses who leaves the studio', async () => {
    const other = await teacher.addStudent({ name: 'Wren' });
    const id = v7();
    expect((await put(id, 0, [other, studentId])).body).toMatchObject({ members: [other, studentId], version: 1 });
    expect((await put(id, 1, [studentId, other], 'Two boats')).body).toMatchObject({ name: 'Two boats', version: 2 });
    expect(codeOf(await put(id, 1, [studentId], 'Late'))).toEqual([409, 'STALE_WRITE']);
    // An answer that was lost on the way is asked for again.
    expect((await put(id, 1, [studentId, other], 'Two boats')).status).toBe(200);
    await teacher.call('delete', `/students/${other}`);
    expect((await teacher.call('get', '/groups')).body).toMatchObject([{ id, members: [studentId] }]);
    expect((await teacher.call('delete', `/groups/${id}`)).status).toBe(204);
    expect((await teacher.call('get', '/groups')).body).toEqual([]);
  });

  test.each<[string, () => readonly string[], readonly unknown[]]>([
    ['nobody', () => [], [422, 'INVALID']],
    ['one singer twice', () => [studentId, studentId], [422, 'INVALID']],
    ['a stranger', () => [studentId, v7()], [404, 'NOT_FOUND']],
    ['no ids', () => ['Linnet'], [422, 'INVALID']],
  ])('of %s is refused', async (_, members, expected) => {
    expect(codeOf(await put(v7(), 0, members()))).toEqual(expected);
    expect((await teacher.call('get', '/groups')).body).toEqual([]);
  });
});

test('a routine has a kind of its own, and the versions keep it', async () => {
  const id = v7();
  const made = routine(id, studentId) as { name: string; minutes: number; steps: object[] };
  const create = (kind: string): Promise<Response> => teacher.call('post', '/routines', { ...made, kind });
  expect((await create('picnic')).status).toBe(422);
  expect((await create('cool-down')).body).toMatchObject({ kind: 'cool-down' });
  const { name, minutes, steps } = made;
  await teacher.call('put', `/routines/${id}`, { name, minutes, steps, kind: 'late', version: 1 });
  const versions = (await teacher.call('get', `/routines/${id}/versions`)).body as { kind: string }[];
  expect(versions.map(({ kind }) => kind)).toEqual(['late', 'cool-down']);
});

test('the studio asks its own questions before the cool-down: none at first, three at most', async () => {
  type Settings = { readonly version: number; readonly readyQuestions: { readonly text: string }[] };
  const settings = async (): Promise<Settings> => (await teacher.call('get', '/studio')).body as Settings;
  const usual = await settings();
  expect(usual.readyQuestions).toEqual([]);
  const ask = (readyQuestions: readonly object[]): Promise<Response> =>
    teacher.call('put', '/studio', { ...usual, readyQuestions });
  const own = { text: 'Would you sing now?', goal: 'ease' };
  expect((await ask([own, own, own, own])).status).toBe(422);
  expect((await ask([{ ...own, text: '' }])).status).toBe(422);
  expect((await ask([{ ...own, goal: 'Not a goal!' }])).status).toBe(422);
  expect((await ask([own])).body).toMatchObject({ readyQuestions: [own] });
  expect((await teacher.call('get', '/session')).body).toMatchObject({ readyQuestions: [own] });
  expect(await settings()).toMatchObject({ readyQuestions: [own], version: 2 });
});

test('what the studio lays over steps is kept with it; what is none is refused at its field', async () => {
  const usual = (await teacher.call('get', '/studio')).body as object;
  const keep = (ownOverlays: readonly object[], version: number): Promise<Response> =>
    teacher.call('put', '/studio', { ...usual, ownOverlays, version });
  const { version } = usual as { readonly version: number };
  const own = { id: 'own-book', name: 'A book', text: 'It stays.', setUpSeconds: 12, touches: ['neck'] };
  for (const bad of [
    { ...own, id: 'mirror' },
    { ...own, name: ' ' },
    { ...own, touches: ['wings'] },
    { ...own, setUpSeconds: 90 },
  ])
    expect((await keep([own, bad], version)).status).toBe(422);
  const refused = await keep([{ ...own, setUpSeconds: -1 }], version);
  expect(JSON.stringify(refused.body)).toContain('ownOverlays.0.setUpSeconds');
  expect((await keep([own], version)).body).toMatchObject({ ownOverlays: [own] });
  expect((await teacher.call('get', '/session')).body).toMatchObject({ ownOverlays: [own] });
});
