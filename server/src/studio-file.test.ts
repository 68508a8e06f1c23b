import { gunzipSync, gzipSync } from 'node:zlib';
import { shippedExercises } from '@soft-lark/core';
import type { Response } from 'supertest';
import { v7 } from 'uuid';
import { LEFT_BEHIND, STUDIO_TABLES } from './studio-file/index.ts';
import { rangeCheck, run, startTestServer, sungKey, Teacher, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
let owner: Teacher;
let other: Teacher;
let file: Buffer;

/** Some of everything a studio can have. */
async function fill(teacher: Teacher): Promise<void> {
  // A name with all that a line of text could be broken by.
  const studentId = await teacher.addStudent({
    name: 'Maud “Low\\\\water” Pellow',
    note: 'first\\\\nline\nsecond \\\\.\n\\\\.',
  });
  const routineId = await teacher.addRoutine(studentId);
  const exercise = { ...shippedExercises()[0], id: 'low-water-hum', name: 'Low water hum' };
  const runId = v7();
  const song = { name: 'Lantern', events: [{ midi: 60, beats: 1 }] };
  const parts = [{ stage: 'middle', goals: [], mostLoad: 2 }];
  const calls: readonly (readonly ['post' | 'put', string, object])[] = [
    ['post', '/lessons', { id: v7(), studentId, weekday: 1, startsAt: '10:00', minutes: 30 }],
    [
      'put',
      `/runs/${runId}`,
      run(studentId, [sungKey(60), sungKey(62)], { endedAt: '2026-11-25T15:10:00Z', note: 'a\nb' }),
    ],
    ['post', `/runs/${runId}/corrections`, { id: v7(), ease: 3, keys: [] }],
    ['post', `/students/${studentId}/locks`, { id: v7(), level: 'urgent' }],
    ['post', `/students/${studentId}/range-checks`, rangeCheck(v7())],
    ['post', `/students/${studentId}/home-links`, { id: v7(), weeks: 4 }],
    ['put', '/exercises/low-water-hum', { version: 0, exercise }],
    [
      'post',
      '/exercises/imports',
      { id: v7(), name: 'a', exercises: [{ ...exercise, id: 'brought' }], collections: [] },
    ],
    ['put', `/collections/${v7()}`, { version: 0, name: 'Mornings', exercises: ['low-water-hum'] }],
    ['post', '/mutes', { id: v7(), rule: 'key-jump', reason: 'on purpose', routineId }],
    [
      'post',
      `/students/${studentId}/advice`,
      { id: v7(), exerciseId: 'thirds', kind: 'tempo', verdict: 'ease', answer: 'taken' },
    ],
    ['put', `/songs/${v7()}`, { version: 0, song }],
    ['post', '/templates', { id: v7(), name: 'Short', kind: 'lesson', minutes: 5, steps: [], parts }],
    ['put', `/groups/${v7()}`, { version: 0, name: 'Two boats', members: [studentId] }],
    ['put', `/students/${studentId}/condition`, { day: '2026-11-25', conditions: ['tired'] }],
  ];
  for (const [method, path, body] of calls) {
    const { status } = await teacher.call(method, path, body);
    expect([path, status < 300]).toEqual([path, true]);
  }
}

const studioOf = async ({ email }: Teacher): Promise<string> => {
  const rows = (await server.query('select studio_id from account where email = $1', [email])) as {
    studio_id: string;
  }[];
  return rows[0]?.studio_id ?? '';
};
/** Every row of a studio, as the database has it. */
const rowsOf = async (teacher: Teacher): Promise<Record<string, readonly string[]>> => {
  const studioId = await studioOf(teacher);
  const rows = STUDIO_TABLES.map(async (table) => {
    const found = await server.query(
      `select (to_jsonb(t) - 'studio_id' - 'account_id')::text as row from ${table} t where studio_id = $1 order by 1`,
      [studioId],
    );
    return [table, (found as { row: string }[]).map(({ row }) => row)] as const;
  });
  return Object.fromEntries(await Promise.all(rows));
};
const UUID = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;
const withoutIds = (rows: Record<string, readonly string[]>): object =>
  Object.fromEntries(
    Object.entries(rows).map(([table, all]) => [table, all.map((row) => row.replace(UUID, 'id')).sort()]),
  );

const take = async (teacher: Teacher): Promise<Buffer> => {
  const response = await teacher.agent
    .get('/api/studio/file')
    .buffer(true)
    .parse((stream, done) => {
      const pieces: Buffer[] = [];
      stream.on('data', (piece: Buffer) => pieces.push(piece));
      stream.on('end', () => {
        done(null, Buffer.concat(pieces));
      });
    });
  expect(response.headers['content-disposition']).toMatch(/^attachment; filename="studio-.*\.softlark\.gz"$/);
  return response.body as Buffer;
};
const send = (teacher: Teacher, what: 'compare' | 'restore', bytes: Buffer): Promise<Response> =>
  teacher.agent
    .post(`/api/studio/file/${what}`)
    .set({ 'x-soft-lark': '1', 'content-type': 'application/gzip' })
    .send(bytes)
    .then((response) => response);

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
  owner = await new Teacher(server).signUp();
  other = await new Teacher(server).signUp();
  await fill(owner);
  const settings = (await owner.call('get', '/studio')).body as object;
  const changed = await owner.call('put', '/studio', { ...settings, clock: '12', usualMinutes: 14 });
  expect(changed.status).toBe(200);
  file = await take(owner);
});
afterAll(() => server.close());

test('every table of a studio is either in its file or left behind on purpose', async () => {
  const rows = (await server.query(
    `select table_name from information_schema.columns where table_schema = 'public' and column_name = 'studio_id'`,
  )) as { table_name: string }[];
  expect(rows.map(({ table_name: name }) => name).sort()).toEqual([...STUDIO_TABLES, ...LEFT_BEHIND].sort());
});

test('compared it says what is in it and what is here, and changes nothing', async () => {
  const before = await rowsOf(owner);
  const answer = await send(owner, 'compare', file);
  expect([answer.status, answer.body]).toMatchObject([200, { studioName: 'Weir House', isSame: true }]);
  const { counts } = answer.body as { counts: { table: string; inFile: number; here: number }[] };
  expect(counts.map(({ table }) => table)).toEqual([...STUDIO_TABLES]);
  for (const { table, inFile, here } of counts) {
    expect([table, inFile]).toEqual([table, here]);
    expect([table, inFile > 0]).toEqual([table, true]);
  }
  expect(await rowsOf(owner)).toEqual(before);
});

test('restored where it came from, everything changed since is as it was', async () => {
  const before = await rowsOf(owner);
  await owner.addStudent({ name: 'Came later' });
  const [student] = (await owner.call('get', '/students')).body as { id: string }[];
  await owner.call('delete', `/students/${student?.id ?? ''}`);
  expect((await send(owner, 'restore', file)).status).toBe(200);
  expect(await rowsOf(owner)).toEqual(before);
  const settings = (await owner.call('get', '/studio')).body as object;
  expect(settings).toMatchObject({ clock: '12', usualMinutes: 14 });
});

test('restored in another studio everything is there under ids of its own, twice as once; the first is untouched', async () => {
  const first = await rowsOf(owner);
  expect((await send(other, 'restore', file)).body).toMatchObject({ isSame: false, studioName: 'Weir House' });
  const there = await rowsOf(other);
  expect(withoutIds(there)).toEqual(withoutIds(first));
  expect((await send(other, 'restore', file)).status).toBe(200);
  expect(await rowsOf(other)).toEqual(there);
  expect(await rowsOf(owner)).toEqual(first);
  const [student] = (await other.call('get', '/students')).body as { id: string; name: string }[];
  expect(student?.name).toContain('Pellow');
  expect((await other.call('get', `/runs?studentId=${student?.id ?? ''}`)).body).toMatchObject([{ sungKeys: 2 }]);
  expect((await owner.call('get', `/students/${student?.id ?? ''}`)).status).toBe(404);
});

test('a file of no studio, cut off, edited, or of a later version is refused whole, and nothing is changed', async () => {
  const text = gunzipSync(file).toString();
  const lines = text.split('\n');
  const bad: readonly (readonly [string, Buffer, string])[] = [
    ['a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47]), 'BROKEN_FILE'],
    ['nothing', Buffer.alloc(0), 'BROKEN_FILE'],
    ['other words', gzipSync('Low water'), 'BROKEN_FILE'],
    ['another file of ours', gzipSync('{"kind":"soft-lark-routine","version":1}'), 'WRONG_KIND'],
    ['half of it', file.subarray(0, file.length / 2), 'BROKEN_FILE'],
    ['without its end', gzipSync(lines.slice(0, -2).join('\n')), 'BROKEN_FILE'],
    ['a note that was changed', gzipSync(text.replace('on purpose', 'by chance!')), 'BROKEN_FILE'],
    ['a row that was taken out', gzipSync([...lines.slice(0, 3), ...lines.slice(4)].join('\n')), 'BROKEN_FILE'],
    ['a table there is not', gzipSync(text.replace('{"table":"lesson"', '{"table":"account"')), 'BROKEN_FILE'],
    ['a column there is not', gzipSync(text.replace('"weekday"', '"weekend"')), 'BROKEN_FILE'],
    ['a day there is not', gzipSync(text.replace(/\t10:00\t30/, '\t10:00\tlong')), 'BROKEN_FILE'],
    ['of a later form', gzipSync(text.replace('"version":1', '"version":2')), 'NEWER_FILE'],
    ['of later tables', gzipSync(text.replace(/"schema":\d+/, '"schema":9999999999999')), 'NEWER_FILE'],
  ];
  const before = await rowsOf(owner);
  for (const [what, bytes, code] of bad) {
    const answer = await send(owner, 'restore', bytes);
    const said = answer.body as { code: string; remedy?: string };
    expect([what, answer.status, said.code]).toEqual([what, 422, code]);
    expect(said.remedy ?? '').not.toBe('');
  }
  expect(await rowsOf(owner)).toEqual(before);
});

test('readers and senders that go away in the middle hold nothing up', async () => {
  const before = await rowsOf(owner);
  const { email, password } = owner;
  const signedIn = await owner.call('post', '/session', { email, password });
  const [cookie = ''] = (signedIn.headers['set-cookie'] as unknown as string[])[0]?.split(';') ?? [];
  const headers = { cookie, 'x-soft-lark': '1', 'content-type': 'application/gzip' };
  await Promise.all(
    Array.from({ length: 24 }, async (_, index) => {
      const gone = new AbortController();
      const half = new ReadableStream<Uint8Array>({
        start: (pieces) => {
          pieces.enqueue(new Uint8Array(file.subarray(0, file.length - 200)));
        },
      });
      const sent = { method: 'POST', headers, body: half, duplex: 'half', signal: gone.signal };
      const call =
        index % 2 === 0
          ? fetch(`${server.url}/api/studio/file`, { headers, signal: gone.signal })
          : fetch(`${server.url}/api/studio/file/restore`, sent as RequestInit);
      setTimeout(() => {
        gone.abort();
      }, 150);
      await call.catch(() => undefined);
    }),
  );
  // More than there are connections: one that was held would be missed now.
  const answers = await Promise.all(Array.from({ length: 24 }, () => send(owner, 'compare', file)));
  expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 24 }, () => 200));
  expect(await rowsOf(owner)).toEqual(before);
});

test('links are keys to this server and no part of the file', () => {
  const text = gunzipSync(file).toString();
  expect(text).not.toContain('home_link');
  expect(text).not.toContain(owner.email);
});
