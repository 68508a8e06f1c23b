import { queryOptions, type QueryClient } from '@tanstack/react-query';
import { setNoteNaming } from '../text/note-names.ts';
import { setStudioTime } from '../text/times.ts';
import { api, dataOf, type Schemas } from './client.ts';

export type Session = Schemas['SessionDto'];
export type SessionWithCodes = Schemas['SessionWithCodesDto'];

/** Notes and times are written from now on as this studio writes them. */
function spokenAs(session: Session): Session {
  setNoteNaming(session.noteNaming);
  setStudioTime(session);
  return session;
}

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async () => spokenAs(await dataOf(api.GET('/api/session'))),
  staleTime: 300_000,
});

export const openDemo = (): Promise<Session> => dataOf(api.POST('/api/demo/session'));
export const signIn = (body: Schemas['SignInDto']): Promise<Session> => dataOf(api.POST('/api/session', { body }));
export const signUp = (body: Schemas['SignUpDto']): Promise<SessionWithCodes> =>
  dataOf(api.POST('/api/studios', { body }));
export const signOut = (): Promise<unknown> => dataOf(api.DELETE('/api/session'));

/** Takes a session that was just opened as the one of every page. */
export function takeSession(queries: QueryClient, session: Session): void {
  queries.setQueryData(sessionQuery.queryKey, spokenAs(session));
}
