import type { Response } from 'supertest';
import { v7 } from 'uuid';
import { rangeCheck, run, startTestServer, student, sungKey, Teacher, type TestServer } from './testing/test-studio.ts';

const DAY_MS = 86_400_000;
const day = (daysAgo: number): string => new Date(Date.now() - daysAgo * DAY_MS).toISOString().slice(0, 10);

let server: TestServer;
let teacher: Teacher;
let studentId: string;

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
  teacher = await new Teacher(server).signUp();
});
beforeEach(async () => {
  studentId = await teacher.addStudent();
});
afterAll(() => server.close());

const today = async (): Promise<Record<string, unknown>> =>
  (await teacher.call('get', `/students/${studentId}/today`)).body as Record<string, unknown>;
const codeOf = ({ status, body }: Response): readonly unknown[] => [status, (body as { code?: string }).code];

describe('range checks', () => {
  test('a confirmed check is kept and becomes the measured range, twice the same as once', async () => {
    const check = rangeCheck(v7());
    const first = await teacher.call('post', `/students/${studentId}/range-checks`, check);
    expect(first.status).toBe(201);
    expect(first.body).toMatchObject({
      version: 2,
      voice: {
        speakingNote: 59,
        measured: { low: 57, high: 74, reachLow: 55, reachHigh: 78 },
        bridges: [{ low: 64, high: 65 }],
        gaps: [],
      },
    });
    const again = await teacher.call('post', `/students/${studentId}/range-checks`, check);
    expect([again.status, (again.body as { version: number }).version]).toEqual([201, 2]);
    const list = (await teacher.call('get', `/students/${studentId}/range-checks`)).body as object[];
    expect(list).toEqual([expect.objectContaining({ low: 57, high: 74, way: 'keys' })]);
  });

  test.each<[string, object, readonly unknown[]]>([
    ['made on an old version', { version: 7 }, [409, 'STALE_WRITE']],
    ['low above high', { low: 75 }, [422, 'BAD_RANGE']],
    ['comfortable outside reach', { reachHigh: 70 }, [422, 'BAD_RANGE']],
    ['gaps over the whole range', { gaps: [{ low: 50, high: 80 }] }, [422, 'NOTHING_LEFT']],
    ['a way there is not', { way: 'by ear' }, [422, 'INVALID']],
    ['an unknown field', { sound: 'raw' }, [422, 'INVALID']],
  ])('%s: nothing is written', async (_, change, expected) => {
    const answer = await teacher.call('post', `/students/${studentId}/range-checks`, rangeCheck(v7(), change));
    expect(codeOf(answer)).toEqual(expected);
    expect((await teacher.call('get', `/students/${studentId}/range-checks`)).body).toEqual([]);
    expect(await today()).toMatchObject({ student: { version: 1 } });
  });

  test('the next check is due after ninety days', async () => {
    const voice = { ...(student(v7()) as { voice: object }).voice, measured: { low: 58, high: 76, date: day(100) } };
    studentId = await teacher.addStudent({ voice });
    expect(await today()).toMatchObject({ changeSince: null, checkDueInDays: -10 });
  });
});

describe('the gate', () => {
  const lock = (level: string, id = v7()): Promise<Response> =>
    teacher.call('post', `/students/${studentId}/locks`, { id, level });
  const lift = (id: string, reason: string): Promise<Response> =>
    teacher.call('post', `/students/${studentId}/locks/${id}/lift`, { reason });

  test('the strictest lock holds until the teacher lifts it, which is logged with name and words', async () => {
    const id = v7();
    await lock('see-someone');
    await lock('urgent', id);
    expect(await today()).toMatchObject({ lock: { level: 'urgent' } });
    const lifted = await lift(id, 'Seen at the clinic, cleared by phone');
    expect(lifted.body).toMatchObject({ liftedBy: 'Ada', reason: 'Seen at the clinic, cleared by phone' });
    expect((await lift(id, 'another reason')).body).toMatchObject({ reason: 'Seen at the clinic, cleared by phone' });
    expect(await today()).toMatchObject({ lock: { level: 'see-someone' } });
    expect((await teacher.call('get', `/students/${studentId}/locks`)).body).toHaveLength(2);
  });

  test('a referral ends with a clearance on file', async () => {
    await lock('see-someone');
    const { student: file } = (await today()) as { student: { name: string; note: string; voice: object } };
    const { name, note, voice } = file;
    const change = { version: 1, name, note, voice: { ...voice, clearedOn: day(0) } };
    expect((await teacher.call('put', `/students/${studentId}`, change)).status).toBe(200);
    expect(await today()).toMatchObject({ lock: null });
  });

  test.each<[string, object, readonly unknown[]]>([
    ['a level there is not', { id: v7(), level: 'fine' }, [422, 'INVALID']],
    ['answers are not kept', { id: v7(), level: 'urgent', signs: ['faint'] }, [422, 'INVALID']],
  ])('%s', async (_, body, expected) => {
    expect(codeOf(await teacher.call('post', `/students/${studentId}/locks`, body))).toEqual(expected);
  });

  test('a lift wants a reason, and a lock that is there', async () => {
    const id = v7();
    await lock('urgent', id);
    expect(codeOf(await lift(id, ''))).toEqual([422, 'INVALID']);
    expect(codeOf(await lift(v7(), 'why not'))).toEqual([404, 'NOT_FOUND']);
  });
});

test('dizziness in a run ends breath work for the day, and holds until they are turned on again', async () => {
  const dizzy = run(studentId, [], { startedAt: new Date().toISOString(), stops: [{ stepId: v7(), mark: 'dizzy' }] });
  await teacher.call('put', `/runs/${v7()}`, dizzy);
  expect(await today()).toMatchObject({ breathOff: true, holdsOff: true });
  studentId = await teacher.addStudent();
  const before = run(studentId, [sungKey(60)], {
    stops: [{ stepId: v7(), mark: 'dizzy' }],
    startedAt: new Date(Date.now() - 3 * DAY_MS).toISOString(),
  });
  await teacher.call('put', `/runs/${v7()}`, before);
  expect(await today()).toMatchObject({ breathOff: false, holdsOff: true });
  const { student: file } = (await today()) as { student: { name: string; note: string; voice: object } };
  const change = { version: 1, name: file.name, note: file.note, voice: { ...file.voice, holdsOnSince: day(1) } };
  await teacher.call('put', `/students/${studentId}`, change);
  expect(await today()).toMatchObject({ holdsOff: false });
});

test('two easy days at the belt ceiling are evidence; a strained one takes it back', async () => {
  const belt = (daysAgo: number, mark: string): Promise<Response> =>
    teacher.call(
      'put',
      `/runs/${v7()}`,
      run(studentId, [sungKey(62, { exerciseId: 'speech-like-call', high: 69, marks: [mark] })], {
        startedAt: new Date(Date.now() - daysAgo * DAY_MS).toISOString(),
      }),
    );
  const evidence = async (): Promise<unknown> =>
    (await teacher.call('get', `/students/${studentId}/belt-evidence`)).body;
  expect(await evidence()).toMatchObject({ ceiling: 69, easyDays: [], isEnough: false });
  await belt(5, 'easy');
  await belt(3, 'easy');
  expect(await evidence()).toMatchObject({ easyDays: [day(5), day(3)], isEnough: true });
  await belt(1, 'strain');
  expect(await evidence()).toMatchObject({ hardDays: [day(1)], isEnough: false });
});

describe('the studio’s settings', () => {
  const noteNaming = { scheme: 'scientific', spelling: 'usual', middleDo: 4 };
  const usual = {
    ...{ name: 'Weir House', timeZone: 'Europe/London', approach: {}, rules: {} },
    ...{ noteNaming, readyQuestions: [], ownOverlays: [], clock: '24', usualMinutes: 10, backupsKept: 7 },
  };

  test('are changed on the version they were read from, and come with the session', async () => {
    const wanted = { ...usual, approach: { travel: 'rise-only' }, rules: { 'condition.tired': 3 }, version: 1 };
    expect((await teacher.call('put', '/studio', wanted)).body).toMatchObject({ version: 2 });
    expect(codeOf(await teacher.call('put', '/studio', wanted))).toEqual([409, 'STALE_WRITE']);
    const session = (await teacher.call('get', '/session')).body as object;
    expect(session).toMatchObject({ approach: { travel: 'rise-only' }, rules: { 'condition.tired': 3 } });
    const other = await new Teacher(server).signUp();
    expect((await other.call('get', '/studio')).body).toMatchObject({ rules: {}, version: 1 });
  });

  test.each<[string, object, readonly unknown[]]>([
    ['a rule table that makes no sense', { rules: { 'condition.tired': 6 } }, [422, 'OUT_OF_ORDER']],
    ['a figure out of bounds', { rules: { 'home.narrower': 99 } }, [422, 'OUT_OF_BOUNDS']],
    ['a row there is not', { rules: { 'home.wider': 1 } }, [422, 'INVALID']],
    ['an answer there is not', { approach: { chin: 'high' } }, [422, 'INVALID']],
    ['a question there is not', { approach: { hair: 'long' } }, [422, 'INVALID']],
    ['a figure in words', { rules: { 'home.narrower': 'two' } }, [422, 'INVALID']],
    ['no zone of this world', { timeZone: 'Moon/Tycho' }, [422, 'INVALID']],
  ])('%s is refused', async (_, change, expected) => {
    const { version } = (await teacher.call('get', '/studio')).body as { version: number };
    expect(codeOf(await teacher.call('put', '/studio', { ...usual, ...change, version }))).toEqual(expected);
  });

  test('one student’s figures are checked over the studio’s', async () => {
    const base = (student(v7()) as { voice: object }).voice;
    const put = (rules: object): Promise<Response> =>
      teacher.call('put', `/students/${studentId}`, {
        version: 1,
        name: 'Linnet',
        note: '',
        voice: { ...base, rules },
      });
    expect(codeOf(await put({ 'condition.mostDrop': 2 }))).toEqual([422, 'OUT_OF_ORDER']);
    expect((await put({ 'condition.mostDrop': 4 })).status).toBe(200);
  });
});

describe('the voice file', () => {
  const voice = (change: object): object => ({
    ...student(v7()),
    voice: { ...(student(v7()) as { voice: object }).voice, ...change },
  });

  test.each<[string, object, readonly unknown[]]>([
    ['measured tomorrow', { measured: { low: 58, high: 76, date: day(-2) } }, [422, 'BAD_DATE']],
    ['cleared tomorrow', { clearedOn: day(-2) }, [422, 'BAD_DATE']],
    ['zones that cover it', { avoid: [{ low: 40, high: 90, kind: 'never-sounded' }] }, [422, 'NOTHING_LEFT']],
    ['a grown-up of 130', { age: 130 }, [422, 'INVALID']],
    ['a caution there is not', { cautions: ['broken heart'] }, [422, 'INVALID']],
  ])('%s is refused', async (_, change, expected) => {
    expect(codeOf(await teacher.call('post', '/students', voice(change)))).toEqual(expected);
  });

  test('all that may stand on file comes back as it was sent', async () => {
    const file = {
      gritAllowed: true,
      otherStyles: ['pop', 'folk'],
      gaps: [{ low: 60, high: 61 }],
      wanted: 'An easy E',
      piece: 'The lamplighter, second verse',
      cautions: ['jaw', 'eyes-or-ears'],
      clearedOn: day(3),
      beltEaseOn: day(4),
      consentOn: day(5),
      approach: { jaw: 'steady' },
      rules: { 'margin.usual': 2 },
    };
    const made = await teacher.call('post', '/students', voice(file));
    expect([made.status, made.body]).toEqual([
      201,
      expect.objectContaining({ voice: expect.objectContaining(file) as object }),
    ]);
  });

  test('a student is deleted with all that belongs to them', async () => {
    await teacher.call('post', `/students/${studentId}/range-checks`, rangeCheck(v7()));
    await teacher.call('put', `/runs/${v7()}`, run(studentId, [sungKey(60)]));
    expect((await teacher.call('delete', `/students/${studentId}`)).status).toBe(200);
    expect(codeOf(await teacher.call('get', `/students/${studentId}`))).toEqual([404, 'NOT_FOUND']);
    expect((await teacher.call('get', `/runs?studentId=${studentId}`)).body).toEqual([]);
  });
});
