import type { HomeRoutine, LockLevel } from '@soft-lark/core';
import { queryOptions } from '@tanstack/react-query';
import { dropFromDevice, isRecord, keepOnDevice, readParsed } from '../device/device-store.ts';
import { api, dataOf, type Schemas } from './client.ts';
import { ApiProblem, mayPass } from './problem.ts';

export type HomeLink = Schemas['HomeLinkDto'];
export type SentHomeRun = Schemas['SentHomeRunDto'];
export type MadeHomeLink = Schemas['MadeHomeLinkDto'];

/** What a link opens, as this page reads it. */
export interface Home extends Pick<Schemas['HomeDto'], 'voiceType' | 'isChild' | 'lock' | 'expiresAt'> {
  readonly routines: readonly { readonly usual: HomeRoutine; readonly gentle: HomeRoutine }[];
}

/** Enough of a token to tell links apart on one device, and too little to open one. */
const keyOf = (token: string): string => `soft-lark.home.${token.slice(0, 8)}`;

function readHome(value: unknown): Home | null {
  if (!isRecord(value) || !Array.isArray(value['routines'])) return null;
  const isRoutine = (one: unknown): boolean => isRecord(one) && isRecord(one['usual']) && isRecord(one['gentle']);
  return value['routines'].every(isRoutine) ? (value as unknown as Home) : null;
}

/** The page of a link: from the server, or as it was kept when it was opened last. */
async function fetchHome(token: string): Promise<Home> {
  try {
    const home = await dataOf(api.GET('/api/home/{token}', { params: { path: { token } } }));
    keepOnDevice(keyOf(token), JSON.stringify(home));
    return home as unknown as Home;
  } catch (error) {
    // What was revoked is gone from here as well.
    if (error instanceof ApiProblem && error.status === 404) dropFromDevice(keyOf(token));
    const kept = mayPass(error) ? readParsed(keyOf(token), readHome) : null;
    if (kept && Date.parse(kept.expiresAt) > Date.now()) return kept;
    throw error;
  }
}

export const homeQuery = (token: string) =>
  queryOptions({ queryKey: ['home', token], queryFn: () => fetchHome(token), retry: 2 });

export const sendHomeRun = (token: string, runId: string, body: SentHomeRun): Promise<unknown> =>
  dataOf(api.PUT('/api/home/{token}/runs/{runId}', { params: { path: { token, runId } }, body }));

export const lockFromHome = (token: string, id: string, level: LockLevel): Promise<unknown> =>
  dataOf(api.POST('/api/home/{token}/locks', { params: { path: { token } }, body: { id, level } }));

export const homeLinksQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['home-links', studentId],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/home-links', { params: { path: { studentId } } })),
  });

export const makeHomeLink = (studentId: string, id: string, weeks: number): Promise<MadeHomeLink> =>
  dataOf(api.POST('/api/students/{studentId}/home-links', { params: { path: { studentId } }, body: { id, weeks } }));

/** Where a link leads, as it is handed over. */
export const homeAddress = ({ token }: MadeHomeLink): string => `${window.location.origin}/home/${token}`;

export const revokeHomeLink = (studentId: string, linkId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/students/{studentId}/home-links/{linkId}', { params: { path: { studentId, linkId } } }));
