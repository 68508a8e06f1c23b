import { v7 } from 'uuid';
import { expectProblem, run, startTestServer, sungKey, Teacher, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
let teacher: Teacher;

const ago = (days: number): string => new Date(Date.now() - days * 86_400_000).toISOString();

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
  teacher = await new Teacher(server).signUp();
});
afterAll(() => server.close());

describe('runs', () => {
  test('kept as far as they have come; late, double and disordered sendings lose nothing', async () => {
    const studentId = await teacher.addStudent();
    const id = v7();
    const keys = [60, 61, 62].map((tonic) => sungKey(tonic));
    const marked = sungKey(63, { marks: ['crack'], outcome: 'sung' });
    await teacher.call('put', `/runs/${id}`, run(studentId, keys.slice(0, 2)));
    await teacher.call(
      'put',
      `/runs/${id}`,
      run(studentId, [...keys, marked], { revision: 4, endedAt: '2026-11-25T15:10:00Z', ease: 5, note: 'light' }),
    );
    const late = await teacher.call('put', `/runs/${id}`, run(studentId, keys, { revision: 3, note: '' }));
    expect(late.body).toMatchObject({
      note: 'light',
      ease: 5,
      revision: 4,
      sungKeys: 4,
      lowest: 60,
      highest: 70,
      marks: ['crack'],
      plannedKeys: 1,
    });
    expect((late.body as { sung: { tonic: number }[] }).sung.map(({ tonic }) => tonic)).toEqual([60, 61, 62, 63]);
    const known = (await teacher.call('get', `/students/${studentId}`)).body as { known: string[] };
    expect(known.known).toEqual(['up-and-down-five']);
  });

  test('what became of steps without keys is kept with the run, and the last time is told', async () => {
    const studentId = await teacher.addStudent();
    const stepId = v7();
    const plan = [{ stepId, exerciseId: 'long-hiss', name: 'Long hiss', kind: 'breath', seconds: 84, keys: [] }];
    const result = { stepId, exerciseId: 'long-hiss', outcome: 'done', seconds: 84, rounds: 4, most: 14 };
    const send = (id: string, results: object[] | undefined, change: object) =>
      teacher.call('put', `/runs/${id}`, run(studentId, [], { plan, ...(results && { results }), ...change }));
    const [first, second, old] = [v7(), v7(), v7()];
    expect((await send(first, [result], { startedAt: ago(3), revision: 2 })).body).toMatchObject({ results: [result] });
    // An older sending takes nothing back.
    expect((await send(first, [], { startedAt: ago(3), revision: 1 })).body).toMatchObject({ results: [result] });
    await send(second, [{ ...result, outcome: 'passed-over', seconds: 0, rounds: 0 }], { startedAt: ago(1) });
    expect((await send(old, undefined, { startedAt: ago(2) })).body).toMatchObject({ results: null });
    const history = await teacher.call('get', `/students/${studentId}/history`);
    expect(history.body).toMatchObject({ results: [result], runsOf: [] });
    const refused = await send(v7(), [{ ...result, outcome: 'nearly' }], { startedAt: ago(1) });
    expect(expectProblem(refused, 422, 'INVALID')['errors']).toMatchObject([{ field: 'results.0.outcome' }]);
  });

  test('a last run that was stopped for pain is told on Today, of that student alone and until another run', async () => {
    const [hurt, other] = [await teacher.addStudent(), await teacher.addStudent()];
    const stepId = v7();
    const pain = [{ stepId, mark: 'pain' }];
    await teacher.call('put', `/runs/${v7()}`, run(hurt, [], { startedAt: ago(3), stops: pain }));
    await teacher.call('put', `/runs/${v7()}`, run(other, [], { startedAt: ago(1) }));
    const weekday = new Date().getDay() || 7;
    for (const studentId of [hurt, other])
      await teacher.call('post', '/lessons', { id: v7(), studentId, weekday, startsAt: '10:00', minutes: 30 });
    const painOf = async (): Promise<ReadonlyMap<string, string | null>> => {
      const { lessons } = (await teacher.call('get', '/today')).body as {
        lessons: readonly { readonly student: { readonly id: string }; readonly painOn: string | null }[];
      };
      return new Map(lessons.map(({ student, painOn }) => [student.id, painOn]));
    };
    expect((await painOf()).get(hurt)).toBe(ago(3).slice(0, 10));
    expect((await painOf()).get(other)).toBeNull();
    await teacher.call('put', `/runs/${v7()}`, run(hurt, [], { startedAt: ago(1) }));
    expect((await painOf()).get(hurt)).toBeNull();
  });

  test('the last eight runs of an exercise are told as advice reads them', async () => {
    const studentId = await teacher.addStudent();
    for (let days = 12; days > 2; days -= 1)
      await teacher.call(
        'put',
        `/runs/${v7()}`,
        run(studentId, [sungKey(60 + days, { marks: days === 3 ? ['strain'] : [] })], {
          startedAt: ago(days),
          ease: 4,
        }),
      );
    const { runsOf } = (await teacher.call('get', `/students/${studentId}/history`)).body as {
      runsOf: readonly { readonly exerciseId: string; readonly runs: readonly object[] }[];
    };
    expect(runsOf).toHaveLength(1);
    expect(runsOf[0]?.runs).toHaveLength(8);
    expect(runsOf[0]?.runs.at(-1)).toMatchObject({
      ...{ date: ago(3).slice(0, 10), highest: 70, ease: 4, marks: ['strain'], occasion: 'lesson' },
    });
  });

  test('advice that was taken moves the top in every lesson from then on, until it is taken back', async () => {
    const studentId = await teacher.addStudent();
    const send = async (change: object): Promise<string> => {
      const id = v7();
      const answer = { exerciseId: 'thirds', kind: 'ceiling', verdict: 'ease', answer: 'taken', ...change };
      expect((await teacher.call('post', `/students/${studentId}/advice`, { id, ...answer })).status).toBe(201);
      return id;
    };
    const advised = async (): Promise<unknown> =>
      ((await teacher.call('get', `/students/${studentId}/today`)).body as { advised: unknown }).advised;
    expect(await advised()).toEqual([]);
    const lower = await send({ movesBy: -3 });
    await send({ movesBy: 1, verdict: 'raise' });
    await send({ movesBy: 5, answer: 'refused' });
    await send({ kind: 'tempo' });
    expect(await advised()).toEqual([{ exerciseId: 'thirds', semitones: -2 }]);
    await teacher.call('delete', `/students/${studentId}/advice/${lower}`);
    expect(await advised()).toEqual([{ exerciseId: 'thirds', semitones: 1 }]);
    const wild = { exerciseId: 'thirds', kind: 'ceiling', verdict: 'raise', answer: 'taken', movesBy: 25 };
    const refused = await teacher.call('post', `/students/${studentId}/advice`, { id: v7(), ...wild });
    expect(expectProblem(refused, 422, 'INVALID')['errors']).toMatchObject([{ field: 'movesBy' }]);
  });

  test('progress: how far it went and was meant to, which notes were marked, the load of each week', async () => {
    const studentId = await teacher.addStudent();
    const path = `/students/${studentId}/progress`;
    expect((await teacher.call('get', path)).body).toEqual({
      ranges: [],
      weeks: [],
      stages: [],
      stoodStill: [],
      notes: [],
      ease: [],
      courses: [],
    });
    const keys = [
      sungKey(60),
      sungKey(62, { marks: ['easy'] }),
      sungKey(64, { marks: ['strain', 'easy'] }),
      sungKey(65, { outcome: 'skipped', marks: ['crack'] }),
    ];
    await teacher.call('put', `/runs/${v7()}`, run(studentId, keys, { startedAt: ago(2) }));
    await teacher.call('put', `/runs/${v7()}`, run(studentId, [sungKey(64)], { startedAt: ago(100) }));
    const { body } = (await teacher.call('get', path)) as { body: Record<string, readonly object[]> };
    expect(body['ranges']).toEqual([
      { date: ago(2).slice(0, 10), lowest: 60, highest: 71, plannedHighest: 67, isOrdinary: true },
    ]);
    expect(body['notes']).toEqual([
      { midi: 67, keys: 1, marked: 0 },
      { midi: 69, keys: 1, marked: 0 },
      { midi: 71, keys: 1, marked: 1 },
    ]);
    // Two days ago may be this week or the one before, which then comes first.
    expect(body['weeks']?.[0]).toMatchObject({ mark: null, minutes: expect.closeTo(0.326, 3) as number });
    expect((await teacher.call('get', `/students/${v7()}/progress`)).status).toBe(404);
  });

  test('a mark that was taken back is gone, whatever comes late; a key that is sent twice at once is one', async () => {
    const studentId = await teacher.addStudent();
    const id = v7();
    const key = sungKey(60, { marks: ['strain'] });
    const send = (revision: number, ...keys: object[]) =>
      teacher.call('put', `/runs/${id}`, run(studentId, keys, { revision }));
    await send(1, key, key);
    expect((await send(3, { ...key, marks: [] })).body).toMatchObject({
      marks: [],
      sungKeys: 1,
      sung: [{ marks: [] }],
    });
    expect((await send(2, key)).body).toMatchObject({ marks: [], sung: [{ marks: [] }] });
  });

  test('a run is thrown away and can come back as it was; one that was stopped stays', async () => {
    const studentId = await teacher.addStudent();
    const [id, stopped] = [v7(), v7()];
    const sent = run(studentId, [sungKey(60)]);
    await teacher.call('put', `/runs/${id}`, sent);
    expect((await teacher.call('delete', `/runs/${id}`)).status).toBe(204);
    expectProblem(await teacher.call('get', `/runs/${id}`), 404, 'NOT_FOUND');
    expect((await teacher.call('put', `/runs/${id}`, sent)).body).toMatchObject({ sungKeys: 1 });
    await teacher.call('put', `/runs/${stopped}`, run(studentId, [], { stops: [{ stepId: v7(), mark: 'pain' }] }));
    expectProblem(await teacher.call('delete', `/runs/${stopped}`), 409, 'STOPPED_RUN');
  });

  test('a run that is over is corrected, what was there stays beside it, and a late sending changes nothing of it', async () => {
    const studentId = await teacher.addStudent();
    const id = v7();
    const plain = sungKey(60);
    const high = sungKey(63, { marks: ['strain', 'pain'] });
    const open = run(studentId, [plain, high]);
    await teacher.call('put', `/runs/${id}`, open);
    const correct = (body: object, runId = id) =>
      teacher.call('post', `/runs/${runId}/corrections`, { id: v7(), keys: [], ...body });
    expectProblem(await correct({ ease: 2 }), 409, 'STILL_SUNG');
    const over = { ...open, revision: 2, endedAt: '2026-11-25T15:10:00Z', ease: 5, note: 'light' };
    await teacher.call('put', `/runs/${id}`, over);
    const keyId = (key: object): string => (key as { id: string }).id;
    const wanted = {
      ...{ id: v7(), ease: 2, note: 'heavy' },
      keys: [{ id: keyId(high), outcome: 'skipped', marks: ['crack'] }],
    };
    const body = (await teacher.call('post', `/runs/${id}/corrections`, wanted)).body as object;
    expect(body).toMatchObject({ ease: 2, note: 'heavy', sungKeys: 1, highest: 67, marks: ['crack', 'pain'] });
    expect((body as { corrections: object[] }).corrections).toMatchObject([
      { ease: 5, note: 'light', keys: [{ id: keyId(high), outcome: 'sung', marks: ['strain', 'pain'] }] },
    ]);
    await teacher.call('post', `/runs/${id}/corrections`, wanted);
    const same = await correct({ ease: 2, note: 'heavy' });
    expect((same.body as { corrections: object[] }).corrections).toHaveLength(1);
    const late = await teacher.call('put', `/runs/${id}`, { ...over, revision: 9, sung: [plain, high, sungKey(64)] });
    expect(late.body).toMatchObject({ ease: 2, note: 'heavy', sungKeys: 2, marks: ['crack', 'pain'] });
    expectProblem(await correct({ keys: [{ id: v7(), outcome: 'sung', marks: [] }] }), 422, 'NO_SUCH_KEY');
    expectProblem(await correct({ ease: 9 }), 422, 'INVALID');
    expectProblem(await correct({}, v7()), 404, 'NOT_FOUND');
  });

  test('a step that was passed over is not known, one that was done is', async () => {
    const studentId = await teacher.addStudent();
    const known = async () => ((await teacher.call('get', `/students/${studentId}`)).body as { known: string[] }).known;
    const stepId = v7();
    const plan = [{ stepId, exerciseId: 'long-hiss', name: 'Long hiss', kind: 'breath', seconds: 84, keys: [] }];
    const result = { stepId, exerciseId: 'long-hiss', outcome: 'passed-over', seconds: 0, rounds: 0 };
    await teacher.call('put', `/runs/${v7()}`, run(studentId, [], { plan, startedAt: ago(2), results: [result] }));
    expect(await known()).toEqual([]);
    const done = { ...result, outcome: 'shortened', seconds: 30 };
    await teacher.call('put', `/runs/${v7()}`, run(studentId, [], { plan, startedAt: ago(1), results: [done] }));
    expect(await known()).toEqual(['long-hiss']);
  });

  test('skipped keys are kept but not counted as sung, and a deleted routine does not take its runs along', async () => {
    const studentId = await teacher.addStudent();
    const routineId = await teacher.addRoutine(studentId);
    const id = v7();
    await teacher.call(
      'put',
      `/runs/${id}`,
      run(studentId, [sungKey(60), sungKey(72, { outcome: 'skipped' })], { routineId }),
    );
    expect((await teacher.call('delete', `/routines/${routineId}`)).status).toBe(204);
    expect((await teacher.call('get', `/runs/${id}`)).body).toMatchObject({
      routineId: null,
      routineName: 'Ten minutes',
      sungKeys: 1,
      highest: 67,
    });
  });
});

describe('the log', () => {
  let visitor: Teacher;
  let ids: readonly string[];
  let studentId: string;

  beforeAll(async () => {
    visitor = await new Teacher(server).signUp();
    studentId = await visitor.addStudent();
    const other = await visitor.addStudent();
    // The third and the fourth began at the same moment.
    const starts = [9, 10, 11, 11, 12].map((hour) => `2026-11-${String(hour).padStart(2, '0')}T10:00:00Z`);
    const made = starts.map((startedAt, index) => ({
      id: v7(),
      startedAt,
      studentId: index === 1 ? other : studentId,
    }));
    for (const one of made)
      await visitor.call('put', `/runs/${one.id}`, run(one.studentId, [], { startedAt: one.startedAt }));
    ids = made.map(({ id }) => id);
  });
  const pageOf = async (query: string): Promise<string[]> => {
    const page = (await visitor.call('get', `/runs?${query}`)).body as { id: string }[];
    return page.map(({ id }) => id);
  };

  test('comes page by page, the latest first, and no run twice', async () => {
    const seen: string[] = [];
    for (
      let page = await pageOf('most=2');
      page.length > 0;
      page = await pageOf(`most=2&olderThan=${seen.at(-1) ?? ''}`)
    )
      seen.push(...page);
    expect(seen).toEqual(await pageOf(''));
    expect(seen).toEqual([...ids].reverse());
  });

  test('of one student', async () => {
    const own = [...ids].reverse().filter((id) => id !== ids[1]);
    expect(await pageOf(`studentId=${studentId}&most=3`)).toEqual(own.slice(0, 3));
    expect(await pageOf(`studentId=${studentId}&most=3&olderThan=${own[2] ?? ''}`)).toEqual(own.slice(3));
  });

  test('is searched by names and notes, by a mark, and by where it was sung, page by page all the same', async () => {
    const others = await visitor.addStudent({ name: 'Zoë 100% Reed' });
    const found = v7();
    const body = run(others, [sungKey(61, { marks: ['strain'] })], {
      note: 'Easier after the Straw',
      startedAt: '2026-11-01T10:00:00Z',
    });
    await visitor.call('put', `/runs/${found}`, body);
    for (const query of ['words=the+straw', 'words=ZOË+100%25', 'mark=strain', 'words=reed&mark=strain&place=lesson'])
      expect([query, await pageOf(query)]).toEqual([query, [found]]);
    for (const query of [
      'words=no+such',
      'words=100_',
      'words=%5C',
      'mark=crack',
      'place=home',
      'words=straw&olderThan=' + found,
    ])
      expect([query, await pageOf(query)]).toEqual([query, []]);
    await visitor.call('delete', `/students/${others}`);
  });

  test('has nothing after a run that is gone, and after another studio’s', async () => {
    const foreign = v7();
    await teacher.call('put', `/runs/${foreign}`, run(await teacher.addStudent(), []));
    expect([await pageOf(`olderThan=${v7()}`), await pageOf(`olderThan=${foreign}`)]).toEqual([[], []]);
  });

  test('says the last run of each, ended or not', async () => {
    const last = (await visitor.call('get', '/runs/last')).body as { id: string }[];
    expect(last.map(({ id }) => id).sort()).toEqual([ids[1], ids[4]].sort());
  });

  test.each([
    'most=0',
    'most=201',
    'most=many',
    'olderThan=the-first',
    'studentId=1',
    'colour=red',
    'mark=loud',
    'place=choir',
  ])('%s is refused', async (query) => {
    expectProblem(await visitor.call('get', `/runs?${query}`), 422, 'INVALID');
  });
});
