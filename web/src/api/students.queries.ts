import { queryOptions } from '@tanstack/react-query';
import type { Condition } from '@soft-lark/core';
import { api, dataOf, type Schemas } from './client.ts';

export type Student = Schemas['StudentDto'];
export type Lesson = Schemas['LessonDto'];
export type StudentToday = Schemas['StudentTodayDto'];
export type LessonToday = Schemas['LessonTodayDto'];

export const studentsQuery = queryOptions({ queryKey: ['students'], queryFn: () => dataOf(api.GET('/api/students')) });

/** Those whose name has these letters in it, whatever their case. */
export function studentsNamed(students: readonly Student[], letters: string): readonly Student[] {
  const wanted = letters.trim().toLocaleLowerCase();
  return students.filter(({ name }) => name.toLocaleLowerCase().includes(wanted));
}

export const todayQuery = queryOptions({ queryKey: ['today'], queryFn: () => dataOf(api.GET('/api/today')) });

export const lessonsQuery = queryOptions({ queryKey: ['lessons'], queryFn: () => dataOf(api.GET('/api/lessons')) });

/** One student with today's condition, the ready routine and the last run. */
export const studentTodayQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['students', studentId, 'today'],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/today', { params: { path: { studentId } } })),
  });

export const beltEvidenceQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['students', studentId, 'belt-evidence'],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/belt-evidence', { params: { path: { studentId } } })),
  });

export const addStudent = (body: Schemas['NewStudentDto']): Promise<Student> =>
  dataOf(api.POST('/api/students', { body }));

export const addStudents = (students: Schemas['NewStudentDto'][]): Promise<Student[]> =>
  dataOf(api.POST('/api/students/several', { body: { students } }));

/** Removes those who were just added, but who was changed or has sung since. */
export const takeStudentsBack = (ids: string[]): Promise<{ readonly count: number }> =>
  dataOf(api.POST('/api/students/several/take-back', { body: { ids }, keepalive: true }));

export const changeStudent = (studentId: string, body: Schemas['ChangedStudentDto']): Promise<Student> =>
  dataOf(api.PUT('/api/students/{studentId}', { params: { path: { studentId } }, body }));

export type RemovedStudent = Schemas['RemovedStudentDto'];

/** Deletes a student; what went is counted, and that nothing is left. */
export const removeStudent = (studentId: string): Promise<RemovedStudent> =>
  dataOf(api.DELETE('/api/students/{studentId}', { params: { path: { studentId } }, keepalive: true }));

/** All that the studio keeps of a student. */
export const studentFile = (studentId: string): Promise<Schemas['StudentFileDto']> =>
  dataOf(api.GET('/api/students/{studentId}/file', { params: { path: { studentId } } }));

export const setCondition = (studentId: string, day: string, conditions: readonly Condition[]): Promise<unknown> =>
  dataOf(
    api.PUT('/api/students/{studentId}/condition', {
      params: { path: { studentId } },
      body: { day, conditions: [...conditions] },
    }),
  );

export const setDayRoutine = (studentId: string, day: string, routineId: string): Promise<unknown> =>
  dataOf(
    api.PUT('/api/students/{studentId}/day-routine', {
      params: { path: { studentId } },
      body: { day, routineId },
    }),
  );

export const addLesson = (body: Lesson): Promise<Lesson> => dataOf(api.POST('/api/lessons', { body }));

export const removeLesson = (lessonId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/lessons/{lessonId}', { params: { path: { lessonId } } }));
