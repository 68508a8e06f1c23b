import { shippedExercises } from '@soft-lark/core';
import type { OpenAPIObject } from '@nestjs/swagger';
import type { Response } from 'supertest';
import { v7 } from 'uuid';
import { openApiDocument } from './open-api.ts';
import { addressOf, bodyFor, routesOf, type Method } from './testing/bodies.ts';
import { routine, startTestServer, student, Teacher, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
let teacher: Teacher;
let ids: Record<string, string>;

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  // Every body is to be read, none refused as guessing.
  process.env['SIGN_IN_TRIES'] = '100000';
  server = await startTestServer();
  teacher = await new Teacher(server).signUp();
  const studentId = await teacher.addStudent();
  const routineId = await teacher.addRoutine(studentId);
  const lockId = v7();
  await teacher.call('post', `/students/${studentId}/locks`, { id: lockId, level: 'urgent' });
  const link = await teacher.call('post', `/students/${studentId}/home-links`, { id: v7(), weeks: 4 });
  const { token } = link.body as { token: string };
  const own = [
    'lessonId',
    'importId',
    'muteId',
    'answerId',
    'songId',
    'templateId',
    'groupId',
    'collectionId',
    'runId',
  ];
  ids = {
    studentId,
    routineId,
    lockId,
    token,
    exerciseId: 'secret-linnet',
    ...Object.fromEntries(own.map((id) => [id, v7()])),
  };
});
afterAll(async () => {
  delete process.env['SIGN_IN_TRIES'];
  await server.close();
});

const send = (method: Method, path: string, body: object): Promise<Response> => teacher.call(method, path, body);

/** A voice file on which everything stands that may. */
const FULL_VOICE = {
  type: 'mezzo-soprano',
  age: 31,
  style: 'theatre',
  otherStyles: ['folk'],
  goals: ['ease'],
  bridges: [{ low: 64, high: 65, date: '2026-11-03' }],
  gaps: [{ low: 63, high: 64 }],
  avoid: [{ low: 60, high: 60, kind: 'not-held', seconds: 1.5 }],
  measured: { low: 58, high: 76, reachLow: 56, reachHigh: 79, date: '2026-11-03' },
  speakingNote: 59,
  hardCeiling: 77,
  margin: 1,
  wanted: 'An easy E',
  piece: 'The lamplighter',
  cautions: ['jaw'],
  approach: { jaw: 'steady' },
  rules: { 'margin.usual': 2 },
};
const exercises = shippedExercises();
const pattern = exercises.find(({ id }) => id === 'up-and-down-five');
const breath = exercises.find(({ work }) => work.kind === 'breath');

/** Bodies that are fuller than the usual ones, so that every corner of them can be broken. */
const FULL: readonly (readonly [Method, string, () => object])[] = [
  ['post', '/students', () => ({ ...student(v7()), voice: FULL_VOICE })],
  [
    'put',
    '/studio',
    () => ({
      ...{ version: 1, name: 'Weir House', timeZone: 'Europe/London', approach: { jaw: 'steady' } },
      ...{ rules: { 'home.narrower': 2 }, readyQuestions: [], ownOverlays: [], noteNaming: { scheme: 'german' } },
    }),
  ],
  [
    'post',
    '/routines',
    () => ({
      ...routine(v7(), ids['studentId'] ?? ''),
      steps: [
        {
          ...{ id: v7(), exerciseId: 'up-and-down-five', locked: true, block: 'First' },
          settings: {
            ...{ start: 60, step: 2, returnStep: 1, travel: 'rise', maxKeys: 5, timesPerKey: 1, touchLimit: false },
            ...{ tempo: 92, floor: 58, ceiling: 70, struck: [61], added: [63], withinSeconds: 60, cue: 'a', note: 'b' },
          },
        },
      ],
    }),
  ],
  [
    'post',
    '/exercises/imports',
    () => ({
      ...{ id: v7(), name: 'Mine' },
      exercises: [pattern, breath].map((exercise, index) => ({ ...exercise, id: `mine-${String(index)}` })),
      collections: [{ id: v7(), name: 'Both', exercises: ['mine-0'] }],
    }),
  ],
  ['post', '/session', () => ({ email: teacher.email, password: 'not the one' })],
  ['post', '/account/recovery', () => ({ email: teacher.email, code: 'AAAA-BBBB', password: 'ten other characters' })],
];

/** What a careless or hostile page may send in a place. A zero byte and half a character are what a database chokes on. */
const POISONS: readonly unknown[] = [
  ...[null, -1, 1e300, '', 'x'.repeat(6000), 'a\u0000b', 'a\ud800b', '__proto__'],
  ...[[], [null], {}, Array.from({ length: 600 }, () => 'x')],
];

/** Every place is broken in a third of the ways, its neighbours in the others; `npm run long` breaks them at random. */
const SHARE = 3;

/** Lists in lists without end, as text: the tools of this test would not survive the thing itself. */
const BOTTOMLESS = `{"voice":${'['.repeat(200_000)}${']'.repeat(200_000)}}`;

type Path = readonly (string | number)[];

/** Every place in a body, containers too; of a list the first entry stands for all. */
function placesIn(value: unknown): readonly Path[] {
  if (typeof value !== 'object' || value === null) return [];
  const entries = Array.isArray(value) ? Object.entries(value).slice(0, 1) : Object.entries(value);
  return entries.flatMap(([key, inner]) => {
    const part = Array.isArray(value) ? Number(key) : key;
    return [[part], ...placesIn(inner).map((rest) => [part, ...rest])];
  });
}

function broken(body: unknown, [first, ...rest]: Path, poison: unknown): unknown {
  if (first === undefined) return poison;
  if (Array.isArray(body))
    return body.map((entry: unknown, index) => (index === first ? broken(entry, rest, poison) : entry));
  const record = body as Record<string, unknown>;
  return { ...record, [first]: broken(record[first], rest, poison) };
}

/** Whether an answer is a good one, or a refusal in words; nothing else may ever come. */
function isTold({ status, text }: Response): boolean {
  if (status < 300) return true;
  const told = JSON.parse(text) as { code?: unknown; detail?: unknown };
  return status < 500 && typeof told.code === 'string' && typeof told.detail === 'string';
}

/** Places of a body where something breaks the server, each with what did. */
async function breakEverywhere(method: Method, path: string, bodyOf: () => object): Promise<readonly string[]> {
  const places = placesIn(JSON.parse(JSON.stringify(bodyOf())));
  expect([path, places.length]).not.toEqual([path, 0]);
  const wrong: string[] = [];
  for (const [at, place] of places.entries()) {
    const poisons = POISONS.filter((_, index) => index % SHARE === at % SHARE);
    const answers = await Promise.all(
      poisons.map((poison) => send(method, addressOf(path, ids), broken(bodyOf(), place, poison) as object)),
    );
    for (const [index, response] of answers.entries()) {
      const what = JSON.stringify(poisons[index]).slice(0, 30);
      if (!isTold(response)) wrong.push(`${method} ${path}: ${what} at ${place.join('.')} ${String(response.status)}`);
    }
  }
  return wrong;
}

function usualBodies(): readonly (readonly [Method, string, () => object])[] {
  return routesOf(openApiDocument(server.app)).flatMap(({ method, path }) => {
    const body = bodyFor(path, method, ids);
    return body ? [[method, path, () => bodyFor(path, method, ids) ?? {}] as const] : [];
  });
}

interface Described {
  readonly $ref?: string;
  readonly required?: readonly string[];
}

/** The fields a body must have, by the OpenAPI document. */
function requiredOf(document: OpenAPIObject, method: Method, path: string): readonly string[] {
  const body = document.paths[`/api${path}`]?.[method]?.requestBody;
  const schema =
    body && 'content' in body ? (body.content['application/json']?.schema as Described | undefined) : undefined;
  const name = schema?.$ref?.split('/').at(-1) ?? '';
  return (document.components?.schemas?.[name] as Described | undefined)?.required ?? [];
}

test('whatever stands in any place of any body is taken or refused in words, and never breaks the server', async () => {
  const usual = usualBodies();
  expect(usual.length).toBeGreaterThanOrEqual(14);
  const wrong: string[] = [];
  for (const [method, path, bodyOf] of [...usual, ...FULL])
    wrong.push(...(await breakEverywhere(method, path, bodyOf)));
  expect(wrong).toEqual([]);
}, 300_000);

test('what a body must have and has not is named', async () => {
  const document = openApiDocument(server.app);
  const wrong: string[] = [];
  for (const [method, path, bodyOf] of [...usualBodies(), ...FULL]) {
    for (const field of requiredOf(document, method, path)) {
      const rest = Object.fromEntries(Object.entries(bodyOf()).filter(([name]) => name !== field));
      const { status, text } = await send(method, addressOf(path, ids), rest);
      const { errors = [] } = JSON.parse(text) as { errors?: readonly { field: string }[] };
      if (status !== 422 || !errors.some((error) => error.field === field))
        wrong.push(`${method} ${path} without ${field}: ${text}`);
    }
  }
  expect(wrong).toEqual([]);
});

test('a body that is nested without end is refused', async () => {
  const { status, text } = await teacher.agent
    .post('/api/students')
    .set({ 'x-soft-lark': '1', 'content-type': 'application/json' })
    .send(BOTTOMLESS);
  expect([status, JSON.parse(text)]).toMatchObject([422, { code: 'INVALID', detail: 'voice: is nested too deep.' }]);
});

test('what was taken of it can be read again', async () => {
  for (const { path } of routesOf(openApiDocument(server.app)).filter(({ method }) => method === 'get')) {
    const response = await teacher.call('get', addressOf(path, ids));
    expect([path, isTold(response)]).toEqual([path, true]);
  }
});

test.each(['x', '%00', '%ff', '..%2f..', encodeURIComponent('🐦'), 'x'.repeat(3000), "' or 1=1 --"])(
  '%.20s for an id finds nothing, and says so',
  async (id) => {
    const wrong: string[] = [];
    for (const { method, path } of routesOf(openApiDocument(server.app))) {
      if (!path.includes('{')) continue;
      const response = await teacher.call(method, path.replace(/\{\w+\}/g, id), bodyFor(path, method, ids));
      if (response.status < 300 || !isTold(response)) wrong.push(`${method} ${path} ${String(response.status)}`);
    }
    expect(wrong).toEqual([]);
  },
);
