import { BadRequestException, NotFoundException, type ArgumentsHost } from '@nestjs/common';
import { PatternError } from '@soft-lark/core';
import type { Logger } from 'pino';
import { BodyReading } from './body-reading.ts';
import { Clock, isTimeZone } from './clock.ts';
import { databaseFault, isTwice, type DatabaseFault } from './database-faults.ts';
import { ProblemFilter } from './problem.filter.ts';
import { notFound, type Problem, staleWrite } from './problem.ts';
import { demandRoom } from './quota.ts';
import { written } from './written.ts';

const coded = (code: string): Error => Object.assign(new Error('failed'), { code });
const driven = (code: string): Error => Object.assign(new Error('failed'), { driverError: { code } });

test.each<[string, unknown, DatabaseFault | null]>([
  ['a socket that broke', coded('ECONNRESET'), 'away'],
  ['no such host', coded('EAI_AGAIN'), 'away'],
  ['a server that shuts down', driven('57P01'), 'away'],
  ['no place for another connection', coded('53300'), 'away'],
  ['a stand-by', coded('25006'), 'away'],
  ['a pool that was closed', new Error('Cannot use a pool after calling end'), 'away'],
  ['a full disk', coded('53100'), 'full'],
  ['a disk that fails', coded('58030'), 'full'],
  ['a statement that took too long', coded('57014'), 'slow'],
  ['a lock that took too long', driven('55P03'), 'slow'],
  ['a deadlock', coded('40P01'), 'crossed'],
  ['a serialisation failure', coded('40001'), 'crossed'],
  ['a row that is there already', coded('23505'), 'twice'],
  ['a row that belongs to nothing', coded('23503'), 'orphan'],
  ['a check that failed', coded('23514'), null],
  ['an error of ours', new Error('odd'), null],
  ['a text', 'away', null],
  ['nothing', undefined, null],
])('what an error tells of the database: %s', (_, error, fault) => {
  expect(databaseFault(error)).toBe(fault);
  expect(isTwice(error)).toBe(fault === 'twice');
});

const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)]);
const fields = (count: number): object =>
  Object.fromEntries(Array.from({ length: count }, (_, index) => [`f${String(index)}`, 1]));

test.each<[string, unknown, object | null]>([
  ['a body as they come', { name: 'Maud', voice: { goals: ['bridge'] }, age: null }, null],
  ['signs beyond the usual plane', { name: '🎵' }, null],
  ['a zero byte', { name: 'a\0b' }, { field: 'name', message: 'holds characters that cannot be kept' }],
  ['half a sign', { voice: { goals: ['\ud83c'] } }, { field: 'voice.goals.0' }],
  ['a zero byte in a name', { voice: { 'a\0': 1 } }, { field: 'voice' }],
  ['as deep as may be', { at: nested(39) }, null],
  ['a level deeper', { at: nested(40) }, { field: 'at', message: 'is nested too deep' }],
  ['as many fields as may be', { at: fields(400) }, null],
  ['one more', { at: fields(401) }, { field: 'at', message: 'has too many fields' }],
])('a body is read to its end: %s', (_, body, fault) => {
  const found = new BodyReading().fault(body, '');
  if (fault === null) expect(found).toBeNull();
  else expect(found).toMatchObject(fault);
});

test('a body has an end: so many values, and no more', () => {
  const list = { at: Array.from({ length: 50 }, (_, index) => index) };
  expect(new BodyReading(52).fault(list, '')).toBeNull();
  expect(new BodyReading(51).fault(list, '')).toMatchObject({
    field: 'at',
    message: 'holds more than can be taken at once',
  });
});

test.each<[string, boolean, { text: string } | null, string | null]>([
  ['written', true, { text: 'mine' }, null],
  ['written before, the answer was lost', false, { text: 'mine' }, null],
  ['stale', false, { text: 'theirs' }, 'STALE_WRITE'],
  ['gone', true, null, 'NOT_FOUND'],
])('what is stored after a write: %s', (_, isWritten, current, code) => {
  const write = (): object => written('thing', isWritten, current, { text: 'mine' }, (now) => now);
  if (code === null) expect(write()).toBe(current);
  else {
    const thrown = ((): unknown => {
      try {
        return write();
      } catch (error) {
        return error;
      }
    })();
    expect(thrown).toMatchObject({ code });
    if (code === 'STALE_WRITE') expect((thrown as Problem).extras.current).toBe(current);
  }
});

test('there is room up to the most, and then a sentence', () => {
  expect(() => {
    demandRoom('students', 599, 600);
  }).not.toThrow();
  expect(() => {
    demandRoom('students', 600, 600);
  }).toThrow('There are 600 students already; 600 is the most there may be.');
  expect(() => {
    demandRoom('students', 598, 600, 3);
  }).toThrow('With 3 more there would be 601 students; 600 is the most there may be.');
});

/** What a client gets for an error, and what is logged of it. */
function answerTo(error: unknown, headersSent = false) {
  const sent: { status?: number; type?: string; body?: Record<string, unknown>; retry?: string } = {};
  const logged: string[] = [];
  const response = {
    headersSent,
    set: (name: string, value: string) => {
      if (name === 'Retry-After') sent.retry = value;
    },
    status: (status: number) => ({
      type: (type: string) => ({
        send: (body: string) => {
          Object.assign(sent, { status, type, body: JSON.parse(body) as object });
        },
      }),
    }),
  };
  const log = { error: () => logged.push('error'), warn: () => logged.push('warn') } as unknown as Logger;
  const host = { switchToHttp: () => ({ getResponse: () => response }) } as unknown as ArgumentsHost;
  new ProblemFilter(log).catch(error, host);
  return { ...sent, logged };
}

test.each<[string, unknown, number, string, string | undefined]>([
  ['a refusal of ours', notFound('routine'), 404, 'NOT_FOUND', undefined],
  ['a stale write', staleWrite('routine', { version: 3 }), 409, 'STALE_WRITE', undefined],
  ['an error of the core', new PatternError('EMPTY', 0, 'Nothing is written.', 'a note'), 422, 'EMPTY', undefined],
  ['a database that is away', coded('ECONNREFUSED'), 503, 'DATABASE_AWAY', '3'],
  ['a database that is full', coded('53100'), 503, 'DATABASE_FULL', '3'],
  ['a statement too slow', coded('57014'), 503, 'DATABASE_SLOW', '3'],
  ['two changes that crossed', coded('40P01'), 503, 'CROSSED', '3'],
  ['a row twice', coded('23505'), 409, 'TWICE', undefined],
  ['what it belongs to is gone', coded('23503'), 404, 'NOT_FOUND', undefined],
  ['a body too large', Object.assign(new Error('large'), { status: 413 }), 413, 'TOO_LARGE', undefined],
  ['too many tries', Object.assign(new Error('tries'), { status: 429 }), 429, 'TOO_MANY_TRIES', '60'],
  ['a body that is no JSON', new BadRequestException('Unexpected token'), 400, 'BAD_REQUEST', undefined],
  ['a route there is not', new NotFoundException('Cannot GET /api/x'), 404, 'NOT_FOUND', undefined],
  ['a status without a name', Object.assign(new Error('teapot'), { status: 418 }), 418, 'REFUSED', undefined],
])('%s is answered in words', (_, error, status, code, retry) => {
  const answer = answerTo(error);
  expect([answer.status, answer.body?.['code'], answer.retry]).toEqual([status, code, retry]);
  expect(answer.type).toBe('application/problem+json');
  expect(answer.body?.['detail']).toMatch(/\w/);
  expect(answer.logged).toEqual(status === 503 ? ['warn'] : []);
});

test('what nobody foresaw is a plain 500 with a number to report, and nothing of its inside', () => {
  const answer = answerTo(new Error('password=secret at db.internal'));
  expect([answer.status, answer.body?.['code']]).toEqual([500, 'UNFORESEEN']);
  expect(JSON.stringify(answer.body)).not.toMatch(/secret|internal/);
  expect(answer.body?.['remedy']).toContain(answer.body?.['id']);
  expect(answer.logged).toEqual(['error']);
});

test('an answer that is on its way already is left alone', () => {
  expect(answerTo(new Error('late'), true)).toEqual({ logged: [] });
});

test.each([
  ['Europe/London', true],
  ['America/St_Johns', true],
  ['Mars/Olympus', false],
  ['', false],
])('whether %s is a time zone', (name, is) => {
  expect(isTimeZone(name)).toBe(is);
});

test.each<[string, string, string, number]>([
  ['2026-11-25T23:30:00Z', 'Europe/London', '2026-11-25', 3],
  ['2026-11-25T23:30:00Z', 'Europe/Berlin', '2026-11-26', 4],
  ['2026-11-29T03:00:00Z', 'America/New_York', '2026-11-28', 6],
  ['2026-11-29T12:00:00Z', 'Pacific/Auckland', '2026-11-30', 1],
  ['2026-11-29T12:00:00Z', 'UTC', '2026-11-29', 7],
])('at %s it is in %s the day %s, weekday %i', (now, zone, date, weekday) => {
  const clock = new Clock();
  Object.assign(clock, { fixed: now });
  expect(clock.today(zone)).toEqual({ date, weekday });
});
