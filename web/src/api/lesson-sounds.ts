import type { LessonSound } from '@soft-lark/core';
import { api, dataOf, type Schemas } from './client.ts';

/** Lets something sound at the side of a student who listens by a link. It is not tried again: late it is worth nothing. */
export const sendLessonSound = (studentId: string, sound: LessonSound): Promise<unknown> =>
  dataOf(
    api.POST('/api/students/{studentId}/lesson-sounds', {
      params: { path: { studentId } },
      body: { sound: sound as unknown as Schemas['LessonSound'] },
    }),
  );

/** Where a student’s page hears what its teacher lets sound. */
export const lessonAddress = (token: string): string => `/api/home/${encodeURIComponent(token)}/lesson`;
