import { shippedExercises, type Exercise } from '@soft-lark/core';
import type { Response } from 'supertest';
import { v7 } from 'uuid';
import { startTestServer, Teacher, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
let teacher: Teacher;
const shipped = shippedExercises();
const [five] = shipped.filter(({ id }) => id === 'up-and-down-five');
const own = (id: string, change: Partial<Exercise> = {}): Exercise => {
  if (!five) throw new Error('the shelf lacks it');
  return { ...five, id, name: 'Mine', copyOf: five.id, ...change };
};
const codeOf = ({ status, body }: Response): readonly unknown[] => [status, (body as { code?: string }).code];

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
});
beforeEach(async () => {
  teacher = await new Teacher(server).signUp();
});
afterAll(() => server.close());

type Row = Exercise & { readonly own?: { readonly version: number; readonly isArchived: boolean } };
const shelf = async (): Promise<Row[]> => (await teacher.call('get', '/exercises')).body as Row[];
const onShelf = async (id: string): Promise<Row | undefined> => (await shelf()).find((row) => row.id === id);
const put = (id: string, version: number, exercise: object): Promise<Response> =>
  teacher.call('put', `/exercises/${id}`, { version, exercise });

describe('an exercise of one’s own', () => {
  test('is kept, changed on its version, put away and brought back; another studio never sees it', async () => {
    const id = v7();
    expect((await put(id, 0, own(id))).body).toMatchObject({ id, copyOf: 'up-and-down-five', own: { version: 1 } });
    expect((await put(id, 0, own(id))).status).toBe(200);
    expect((await put(id, 1, own(id, { name: 'Mine too' }))).body).toMatchObject({
      name: 'Mine too',
      own: { version: 2 },
    });
    const stale = await put(id, 1, own(id, { name: 'Other window' }));
    expect(codeOf(stale)).toEqual([409, 'STALE_WRITE']);
    expect((stale.body as { current: Row }).current.name).toBe('Mine too');
    const versions = (await teacher.call('get', `/exercises/${id}/versions`)).body as { exercise: Exercise }[];
    expect(versions.map(({ exercise }) => exercise.name)).toEqual(['Mine too', 'Mine']);
    await teacher.call('put', `/exercises/${id}/archive`, { isArchived: true });
    expect((await onShelf(id))?.own?.isArchived).toBe(true);
    await teacher.call('put', `/exercises/${id}/archive`, { isArchived: false });
    expect((await onShelf(id))?.own?.isArchived).toBe(false);
    const other = await new Teacher(server).signUp();
    expect(((await other.call('get', '/exercises')).body as Row[]).some((row) => row.id === id)).toBe(false);
    expect(codeOf(await other.call('put', `/exercises/${id}/archive`, { isArchived: true }))).toEqual([
      404,
      'NOT_FOUND',
    ]);
  });

  test('one that this version cannot read breaks nothing else, is said by name, and is kept', async () => {
    const [good, bad, song] = [v7(), v7(), v7()];
    await put(good, 0, own(good));
    await put(bad, 0, own(bad, { name: 'From tomorrow' }));
    const tune = { name: 'Lantern', events: [{ midi: 60, beats: 1 }] };
    await teacher.call('put', `/songs/${song}`, { version: 0, song: tune });
    await server.query(`update exercise set body = jsonb_set(body, '{exercise,load}', '99') where id = $1`, [bad]);
    await server.query(`update song set body = jsonb_set(body, '{song,beatsPerBar}', '0') where id = $1`, [song]);
    expect([await onShelf(bad), (await onShelf(good))?.name]).toEqual([undefined, 'Mine']);
    const broken = (await teacher.call('get', '/exercises/unreadable')).body as { reason: object }[];
    expect(broken).toEqual([
      { id: bad, name: 'From tomorrow', reason: expect.objectContaining({ code: 'fault.at' }) as object },
    ]);
    expect((await teacher.call('get', '/songs')).body).toEqual([]);
    expect((await teacher.call('get', '/songs/unreadable')).body).toMatchObject([{ id: song, name: 'Lantern' }]);
    await server.query(`update exercise set body = jsonb_set(body, '{exercise}', 'null') where id = $1`, [good]);
    expect((await teacher.call('get', '/exercises/unreadable')).body).toContainEqual({
      id: good,
      name: good,
      reason: expect.any(Object) as object,
    });
    // A routine that has it is shown without the step, and the row is what it was.
    const kept = await server.query(`select body->'exercise'->>'load' as load from exercise where id = $1`, [bad]);
    expect(kept).toEqual([{ load: '99' }]);
    expect(codeOf(await put(bad, 1, own(bad, { name: 'Written anew' })))).toEqual([200, undefined]);
    expect((await onShelf(bad))?.name).toBe('Written anew');
  });

  test.each<[string, string, object]>([
    ['one that ships', 'up-and-down-five', own('up-and-down-five')],
    ['a load over five', 'mine', { ...own('mine'), load: 6 }],
    [
      'a pattern that does not parse',
      'mine',
      own('mine', { work: { ...own('x').work, pattern: '1 z' } as Exercise['work'] }),
    ],
    ['a field there is not', 'mine', { ...own('mine'), colour: 'red' }],
    ['another id', 'mine', own('other')],
  ])('is refused where it is %s', async (_, id, exercise) => {
    expect(codeOf(await put(id, 0, exercise))).toEqual([422, 'INVALID']);
    expect(await onShelf('mine')).toBeUndefined();
  });

  test('can stand in a routine; one that is on nobody’s shelf cannot', async () => {
    const id = v7();
    await put(id, 0, own(id));
    const studentId = await teacher.addStudent();
    const routine = (exerciseId: string) => ({
      id: v7(),
      studentId,
      name: 'R',
      kind: 'lesson',
      minutes: 5,
      steps: [{ id: v7(), exerciseId, settings: {} }],
    });
    expect((await teacher.call('post', '/routines', routine(id))).status).toBe(201);
    expect(codeOf(await teacher.call('post', '/routines', routine('nowhere')))).toEqual([422, 'INVALID']);
  });
});

describe('an import', () => {
  const take = (id: string, exercises: object[], collections: object[] = []): Promise<Response> =>
    teacher.call('post', '/exercises/imports', { id, name: 'mornings.json', exercises, collections });

  test('is taken whole, twice the same as once, and undone as one', async () => {
    const kept = v7();
    await put(kept, 0, own(kept));
    const importId = v7();
    const items = [own('fresh'), own(kept, { name: 'Changed by import' })];
    const collections = [{ name: 'Mornings', exercises: ['fresh', kept] }];
    expect((await take(importId, items, collections)).body).toMatchObject({ items: 2, isUndone: false });
    expect((await take(importId, items, collections)).status).toBe(201);
    expect([(await onShelf('fresh'))?.name, (await onShelf(kept))?.name]).toEqual(['Mine', 'Changed by import']);
    expect((await teacher.call('get', '/collections')).body).toHaveLength(1);
    expect((await teacher.call('delete', `/exercises/imports/${importId}`)).body).toMatchObject({ isUndone: true });
    expect([await onShelf('fresh'), (await onShelf(kept))?.name]).toEqual([undefined, 'Mine']);
    expect((await teacher.call('get', '/collections')).body).toEqual([]);
  });

  test('is never half applied', async () => {
    const answer = await take(v7(), [own('good'), { ...own('bad'), load: 9 }]);
    expect(codeOf(answer)).toEqual([422, 'INVALID']);
    expect(codeOf(await take(v7(), [own('good'), own('up-and-down-five')]))).toEqual([422, 'INVALID']);
    expect(await onShelf('good')).toBeUndefined();
  });

  test('leaves what a routine has on the shelf, put away', async () => {
    const importId = v7();
    await take(importId, [own('used')]);
    const studentId = await teacher.addStudent();
    const steps = [{ id: v7(), exerciseId: 'used', settings: {} }];
    await teacher.call('post', '/routines', { id: v7(), studentId, name: 'R', kind: 'lesson', minutes: 5, steps });
    await teacher.call('delete', `/exercises/imports/${importId}`);
    expect((await onShelf('used'))?.own?.isArchived).toBe(true);
  });

  test('of a thousand goes in and out', async () => {
    const importId = v7();
    const many = Array.from({ length: 1000 }, (_, index) => own(`many-${String(index)}`));
    expect((await take(importId, many)).body).toMatchObject({ items: 1000 });
    expect(await shelf()).toHaveLength(1000 + shipped.length);
    await teacher.call('delete', `/exercises/imports/${importId}`);
    expect(await shelf()).toHaveLength(shipped.length);
  }, 30_000);
});

test('a song is kept whole, changed on its version and deleted; a broken one is refused with its reason', async () => {
  const id = v7();
  const song = { name: 'Lantern', events: [{ midi: 60, beats: 1.5, syllable: 'one' }, { beats: 0.5 }], beatsPerBar: 3 };
  const putSong = (version: number, body: object): Promise<Response> =>
    teacher.call('put', `/songs/${id}`, { version, song: body });
  expect((await putSong(0, song)).body).toEqual({ ...song, id, version: 1, tempo: 84, mode: 'major', pickupBeats: 0 });
  expect((await putSong(0, song)).status).toBe(200);
  expect((await putSong(1, { ...song, pickupBeats: 1 })).body).toMatchObject({ version: 2, pickupBeats: 1 });
  expect(codeOf(await putSong(1, { ...song, name: 'Other window' }))).toEqual([409, 'STALE_WRITE']);
  const silent = await putSong(2, { ...song, events: [{ beats: 1 }] });
  expect(codeOf(silent)).toEqual([422, 'INVALID']);
  expect(JSON.stringify(silent.body)).toContain('has no note');
  expect((await teacher.call('delete', `/songs/${id}`)).status).toBe(204);
  expect((await teacher.call('get', '/songs')).body).toEqual([]);
});

test('a rule of the review is muted with a reason, heard again, and never a caution', async () => {
  const mute = (body: object): Promise<Response> => teacher.call('post', '/mutes', { id: v7(), ...body });
  const id = v7();
  expect((await teacher.call('post', '/mutes', { id, rule: 'key-jump', reason: 'on purpose' })).body).toMatchObject({
    rule: 'key-jump',
    studentId: null,
    routineId: null,
  });
  expect((await mute({ rule: 'key-jump', reason: ' ' })).status).toBe(422);
  expect((await mute({ rule: 'caution', reason: 'no' })).status).toBe(422);
  expect((await mute({ rule: 'grit', reason: 'no' })).status).toBe(422);
  expect((await mute({ rule: 'key-jump', reason: 'whose', studentId: v7() })).status).toBe(404);
  expect((await teacher.call('get', '/mutes')).body).toHaveLength(1);
  expect((await teacher.call('delete', `/mutes/${id}`)).status).toBe(204);
  expect((await teacher.call('get', '/mutes')).body).toEqual([]);
});

test('a collection is named, changed on its version, and removed', async () => {
  const id = v7();
  const body = { version: 0, name: 'Mornings', exercises: ['up-and-down-five'] };
  expect((await teacher.call('put', `/collections/${id}`, body)).body).toMatchObject({ version: 1 });
  // Asked for again after a lost answer, the same content is no conflict; other content is, on any version but the stored one.
  for (const version of [0, 9])
    expect((await teacher.call('put', `/collections/${id}`, { ...body, version })).body).toMatchObject({ version: 1 });
  for (const version of [0, 9])
    expect(codeOf(await teacher.call('put', `/collections/${id}`, { ...body, version, name: 'Evenings' }))).toEqual([
      409,
      'STALE_WRITE',
    ]);
  expect(codeOf(await teacher.call('put', `/collections/${v7()}`, { ...body, version: 1 }))).toEqual([
    404,
    'NOT_FOUND',
  ]);
  expect(codeOf(await teacher.call('put', `/collections/${id}`, { ...body, exercises: ['UP'] }))).toEqual([
    422,
    'INVALID',
  ]);
  expect((await teacher.call('delete', `/collections/${id}`)).status).toBe(204);
  expect(codeOf(await teacher.call('delete', `/collections/${id}`))).toEqual([404, 'NOT_FOUND']);
});

test('the studio names notes its own way and moves a reference range; nonsense is refused', async () => {
  const studio = (await teacher.call('get', '/studio')).body as Record<string, unknown>;
  const noteNaming = { scheme: 'german', spelling: 'flats', middleDo: 4 };
  const rules = { 'ranges.tenor.comfortable.high': 67 };
  const changed = await teacher.call('put', '/studio', { ...studio, noteNaming, rules });
  expect(changed.body).toMatchObject({ noteNaming, rules });
  expect((await teacher.call('get', '/session')).body).toMatchObject({ noteNaming });
  const bad = { ...studio, version: 2, noteNaming: { ...noteNaming, scheme: 'numbers' } };
  expect(codeOf(await teacher.call('put', '/studio', bad))).toEqual([422, 'INVALID']);
});
