import { shippedExercises } from '@soft-lark/core';
import type { OpenAPIObject } from '@nestjs/swagger';
import { v7 } from 'uuid';
import { lessonSound, rangeCheck, routine, run, student, sungKey } from './test-studio.ts';

export type Method = 'get' | 'post' | 'put' | 'delete';

export interface Route {
  readonly method: Method;
  /** As the document has it, without `/api`: `/students/{studentId}`. */
  readonly path: string;
}

/** Whose answers go on until they are left; they are tried by themselves. */
const ENDLESS = new Set(['/home/{token}/lesson']);

/** Every route there is that answers once. */
export function routesOf(document: OpenAPIObject): readonly Route[] {
  return Object.entries(document.paths).flatMap(([path, item]) =>
    (['get', 'post', 'put', 'delete'] as const)
      .filter((method) => method in item)
      .map((method) => ({ method, path: path.replace(/^\/api/, '') }))
      .filter((route) => !ENDLESS.has(route.path)),
  );
}

/** The address of a route among some things of a studio. */
export function addressOf(path: string, ids: Readonly<Record<string, string>>): string {
  return path.replace(/\{(\w+)\}/g, (_, name: string) => ids[name] ?? '');
}

/** A body that the owner of some things could send to a route; nothing where it takes none. */
export function bodyFor(path: string, method: Method, ids: Readonly<Record<string, string>>): object | undefined {
  const { studentId = '', routineId = '', lessonId = '' } = ids;
  if (method === 'get' || method === 'delete') return undefined;
  if (path === '/students') return student(studentId);
  if (path === '/students/several') return { students: [student(studentId)] };
  if (path === '/students/several/take-back') return { ids: [studentId] };
  if (path.endsWith('/home-links')) return { id: v7(), weeks: 4 };
  if (path.endsWith('/lesson-sounds')) return { sound: lessonSound() };
  if (path === '/home/{token}/runs/{runId}') return { ...run('', [sungKey(61)]), studentId: undefined };
  if (path.endsWith('/range-checks')) return rangeCheck(v7());
  if (path.endsWith('/locks')) return { id: v7(), level: 'urgent' };
  if (path.endsWith('/lift')) return { reason: 'seen by a doctor' };
  if (path === '/students/{studentId}') return { ...student(studentId), id: undefined, version: 1 };
  if (path === '/routines') return routine(v7(), studentId);
  if (path === '/routines/{routineId}')
    return { ...routine(routineId, studentId), id: undefined, studentId: undefined, version: 1 };
  if (path === '/lessons') return { id: lessonId, studentId, weekday: 1, startsAt: '10:00', minutes: 30 };
  if (path === '/exercises/imports') return { id: ids['importId'], name: 'a', exercises: [], collections: [] };
  if (path === '/exercises/{exerciseId}')
    return { version: 1, exercise: { ...shippedExercises()[0], id: 'secret-linnet', name: 'Taken' } };
  if (path.endsWith('/corrections')) return { id: v7(), ease: 2, keys: [] };
  if (path.endsWith('/advice'))
    return { id: ids['answerId'], exerciseId: 'thirds', kind: 'ceiling', verdict: 'raise', answer: 'refused' };
  if (path === '/mutes') return { id: ids['muteId'], rule: 'key-jump', reason: 'taken' };
  if (path === '/songs/{songId}') return { version: 1, song: { name: 'Taken', events: [{ midi: 61, beats: 1 }] } };
  if (path === '/templates')
    return {
      id: ids['templateId'],
      name: 'Taken',
      kind: 'lesson',
      minutes: 5,
      steps: [],
      parts: [{ stage: 'cool', goals: [], mostLoad: 1 }],
    };
  if (path === '/groups/{groupId}') return { version: 1, name: 'Taken', members: [studentId] };
  if (path.endsWith('/archive')) return { isArchived: true };
  if (path === '/collections/{collectionId}') return { version: 0, name: 'Taken', exercises: [] };
  if (path.endsWith('/condition')) return { day: '2026-11-25', conditions: ['tired'] };
  if (path.endsWith('/day-routine')) return { day: '2026-11-25', routineId };
  return path === '/runs/{runId}' ? run(studentId, [sungKey(61)]) : undefined;
}
