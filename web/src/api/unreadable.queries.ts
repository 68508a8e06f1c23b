import { queryOptions } from '@tanstack/react-query';
import { api, dataOf } from './client.ts';

/** Kinds of rows that a studio keeps as data of the core. */
export type UnreadableKind = 'exercises' | 'songs' | 'students' | 'routines' | 'templates';

/** What cannot be read stays so; whoever changes rows of the kind asks anew. */
const ASKED_EVERY_MS = 600_000;

/** What the studio keeps of a kind and this version cannot read, each with why. */
export const unreadableQuery = (kind: UnreadableKind) =>
  queryOptions({
    queryKey: [kind, 'unreadable'],
    queryFn: () => dataOf(api.GET(`/api/${kind}/unreadable`)),
    staleTime: ASKED_EVERY_MS,
  });
