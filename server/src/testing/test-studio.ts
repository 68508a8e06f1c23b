import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import pg from 'pg';
import request, { type Agent, type Response } from 'supertest';
import { DataSource } from 'typeorm';
import { v7 } from 'uuid';
import { createApp, type ServerSettings } from '../create-app.ts';
import { migrate } from '../migrate.ts';

/** A server on an empty database of its own. */
export interface TestServer {
  readonly app: NestExpressApplication;
  readonly url: string;
  readonly databaseUrl: string;
  readonly close: () => Promise<void>;
  /** For what no route can bring about. */
  readonly query: (sql: string, values?: readonly unknown[]) => Promise<unknown>;
}

/** @param settings with a database of its own where none is named */
export async function startTestServer(settings: Partial<ServerSettings> = {}): Promise<TestServer> {
  const databaseUrl = settings.databaseUrl ?? (await emptyDatabase());
  const app = await createApp({ logLevel: process.env['TEST_LOG'] ?? 'silent', ...settings, databaseUrl });
  await app.listen(0, '127.0.0.1');
  return {
    app,
    url: await app.getUrl(),
    databaseUrl,
    close: () => app.close(),
    query: (sql, values = []) => app.get(DataSource).query(sql, [...values]),
  };
}

async function emptyDatabase(): Promise<string> {
  const base = process.env['TEST_DATABASE_SERVER'] ?? '';
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: `${base}postgres` });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  await migrate(base + name);
  return base + name;
}

type Method = 'get' | 'post' | 'put' | 'delete';

/** A teacher at a browser: a cookie jar, and the header that only the pages send. */
export class Teacher {
  readonly email = `${randomUUID()}@example.org`;
  readonly password = 'ten plain characters';
  readonly agent: Agent;

  constructor(server: TestServer) {
    this.agent = request.agent(server.url);
  }

  async call(method: Method, path: string, body?: object): Promise<Response> {
    const call = this.agent[method](`/api${path}`).set('x-soft-lark', '1');
    return body === undefined ? call : call.send(body);
  }

  async signUp(): Promise<this> {
    const { email, password } = this;
    const response = await this.call('post', '/studios', {
      studioName: 'Weir House',
      name: 'Ada',
      email,
      password,
      timeZone: 'Europe/London',
    });
    if (response.status !== 201) throw new Error(`sign-up answered ${String(response.status)}: ${response.text}`);
    return this;
  }

  async addStudent(change: object = {}): Promise<string> {
    const id = v7();
    const response = await this.call('post', '/students', { ...student(id), ...change });
    if (response.status !== 201) throw new Error(`adding a student answered ${response.text}`);
    return id;
  }

  async addRoutine(studentId: string): Promise<string> {
    const id = v7();
    const response = await this.call('post', '/routines', routine(id, studentId));
    if (response.status !== 201) throw new Error(`adding a routine answered ${response.text}`);
    return id;
  }
}

/** That an answer is a problem with a status, a code and words for people; gives its body. */
export function expectProblem(response: Response, status: number, code: string): Record<string, unknown> {
  const body = JSON.parse(response.text) as Record<string, unknown>;
  expect([response.status, body['code']]).toEqual([status, code]);
  expect(response.get('content-type')).toContain('application/problem+json');
  expect(String(body['detail']).length).toBeGreaterThan(0);
  return body;
}

export function student(id: string): object {
  const voice = {
    type: 'mezzo-soprano',
    style: 'theatre',
    goals: [],
    bridges: [],
    avoid: [],
    measured: { low: 58, high: 76, date: '2026-11-03' },
  };
  return { id, name: 'Linnet', note: '', voice };
}

/** A range check that was made on the first version of a student. */
export function rangeCheck(id: string, change: object = {}): object {
  return {
    id,
    version: 1,
    way: 'keys',
    low: 57,
    high: 74,
    reachLow: 55,
    reachHigh: 78,
    speakingNote: 59,
    gaps: [],
    bridges: [{ low: 64, high: 65 }],
    ...change,
  };
}

export function routine(id: string, studentId: string): object {
  const steps = [
    { id: v7(), exerciseId: 'standing-check', settings: {} },
    { id: v7(), exerciseId: 'up-and-down-five', settings: { start: 60, step: 2 } },
  ];
  return { id, studentId, name: 'Ten minutes', kind: 'lesson', minutes: 10, steps };
}

/** A run with so many keys sung. */
export function run(studentId: string, sung: readonly object[], change: object = {}): object {
  const plan = [
    {
      stepId: v7(),
      exerciseId: 'up-and-down-five',
      name: 'Up and down five',
      kind: 'pattern',
      seconds: 60,
      keys: [{ tonic: 60, leg: 'up', low: 60, high: 67 }],
    },
  ];
  return {
    studentId,
    routineName: 'Ten minutes',
    startedAt: '2026-11-25T15:00:00Z',
    conditions: ['tired'],
    plan,
    sung,
    stops: [],
    note: '',
    revision: 1,
    ...change,
  };
}

export function sungKey(tonic: number, change: object = {}): object {
  return {
    id: v7(),
    stepId: v7(),
    exerciseId: 'up-and-down-five',
    tonic,
    leg: 'up',
    low: tonic,
    high: tonic + 7,
    tempo: 92,
    outcome: 'sung',
    marks: [],
    ...change,
  };
}

/** A key of a lesson over video, on its way to the student. */
export function lessonSound(change: object = {}): object {
  return {
    ...{ sentAt: 1_764_000_000_000, inSeconds: 0.1, tuning: 440, sounds: [['tune', 61, 0, 0.5, 0.8]] },
    shown: { step: 'Up and down five', tonic: 61, text: 'mee', say: 'Think down as you go up.', key: 1, keys: 8 },
    ...change,
  };
}
