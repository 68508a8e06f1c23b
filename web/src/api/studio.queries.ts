import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';
import type { SessionWithCodes } from './session.queries.ts';

export type Studio = Schemas['StudioDto'];

export const studioQuery = queryOptions({ queryKey: ['studio'], queryFn: () => dataOf(api.GET('/api/studio')) });

export const changeStudio = (body: Studio): Promise<Studio> => dataOf(api.PUT('/api/studio', { body }));

export const changePassword = (body: Schemas['NewPasswordDto']): Promise<Schemas['RecoveryCodesDto']> =>
  dataOf(api.POST('/api/account/password', { body }));

export const newRecoveryCodes = (body: Schemas['PasswordDto']): Promise<Schemas['RecoveryCodesDto']> =>
  dataOf(api.POST('/api/account/recovery-codes', { body }));

export const openSessionsQuery = queryOptions({
  queryKey: ['open-sessions'],
  queryFn: () => dataOf(api.GET('/api/account/sessions')),
});

export const endSession = (sessionId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/account/sessions/{sessionId}', { params: { path: { sessionId } } }));

export const recover = (body: Schemas['RecoveryDto']): Promise<SessionWithCodes> =>
  dataOf(api.POST('/api/account/recovery', { body }));

export const closeAccount = (body: Schemas['PasswordDto']): Promise<unknown> =>
  dataOf(api.DELETE('/api/account', { body }));
