import { queryOptions, useQuery } from '@tanstack/react-query';
import type { LessonPast, SongDemands, StudentHistory, VoiceFile } from '@soft-lark/core';
import { useMemo } from 'react';
import { api, dataOf, type Schemas } from './client.ts';
import { sessionQuery } from './session.queries.ts';
import { pieceInHand, songsQuery } from './songs.queries.ts';

/** What the runs of a student say for a review and a draft. */
export const historyQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['runs', { studentId }, 'history'],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/history', { params: { path: { studentId } } })),
  });

/** What the last twelve weeks say of a student. */
export const progressQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['runs', { studentId }, 'progress'],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/progress', { params: { path: { studentId } } })),
  });

export type StudentProgress = Schemas['ProgressDto'];

/** A student's history as the core reads it. */
export function historyFrom({
  ease,
  stuck,
  ...figures
}: Omit<Schemas['HistoryDto'], 'results' | 'lastSung' | 'runsOf'>): StudentHistory {
  return {
    ...figures,
    stuck: new Set(stuck),
    ease: new Map(ease.map(({ exerciseId, ease: value }) => [exerciseId, value])),
  };
}

/** What the piece on a voice file asks of that voice, where the studio has a song of its name. */
export function usePieceInHand(voice: VoiceFile): SongDemands | undefined {
  const songs = useQuery(songsQuery).data;
  return useMemo(() => pieceInHand(voice, songs), [songs, voice]);
}

export type AdviceAnswer = Schemas['AdviceAnswerDto'];

/** What was done with advice for a student. */
export const adviceAnswersQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['advice', { studentId }],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/advice', { params: { path: { studentId } } })),
  });

export const answerAdvice = (studentId: string, body: Schemas['NewAdviceAnswerDto']): Promise<AdviceAnswer> =>
  dataOf(api.POST('/api/students/{studentId}/advice', { params: { path: { studentId } }, body }));

export const takeAdviceAnswerBack = (studentId: string, answerId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/students/{studentId}/advice/{answerId}', { params: { path: { studentId, answerId } } }));

/** All that advice for a student rests on; nothing until it is there. */
export function useAdvicePast(studentId: string): LessonPast | undefined {
  const history = useQuery(historyQuery(studentId)).data;
  const answers = useQuery(adviceAnswersQuery(studentId)).data;
  const today = useQuery(sessionQuery).data?.today;
  return useMemo(() => {
    if (!history || !answers || today === undefined) return undefined;
    const { daysSinceAnythingNew } = history;
    return {
      runsOf: new Map(history.runsOf.map(({ exerciseId, runs }) => [exerciseId, runs])),
      answers,
      today,
      stuck: new Set(history.stuck),
      ...(daysSinceAnythingNew !== undefined && { daysSinceAnythingNew }),
    };
  }, [history, answers, today]);
}
