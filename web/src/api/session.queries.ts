import { queryOptions } from '@tanstack/react-query';
import { setNoteNaming } from '../text/note-names.ts';
import { api, dataOf, type Schemas } from './client.ts';

export type Session = Schemas['SessionDto'];
export type SessionWithCodes = Schemas['SessionWithCodesDto'];

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async () => {
    const session = await dataOf(api.GET('/api/session'));
    setNoteNaming(session.noteNaming);
    return session;
  },
  staleTime: 300_000,
});

export const openDemo = (): Promise<Session> => dataOf(api.POST('/api/demo/session'));
export const signIn = (body: Schemas['SignInDto']): Promise<Session> => dataOf(api.POST('/api/session', { body }));
export const signUp = (body: Schemas['SignUpDto']): Promise<SessionWithCodes> =>
  dataOf(api.POST('/api/studios', { body }));
export const signOut = (): Promise<unknown> => dataOf(api.DELETE('/api/session'));
