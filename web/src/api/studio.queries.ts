import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';
import type { Session } from './session.queries.ts';

export type Studio = Schemas['StudioDto'];

export const studioQuery = queryOptions({ queryKey: ['studio'], queryFn: () => dataOf(api.GET('/api/studio')) });

export const changeStudio = (body: Studio): Promise<Studio> => dataOf(api.PUT('/api/studio', { body }));

export const changePassword = (body: Schemas['NewPasswordDto']): Promise<unknown> =>
  dataOf(api.POST('/api/account/password', { body }));

export const newRecoveryCodes = (): Promise<Schemas['RecoveryCodesDto']> =>
  dataOf(api.POST('/api/account/recovery-codes'));

export const recover = (body: Schemas['RecoveryDto']): Promise<Session> =>
  dataOf(api.POST('/api/account/recovery', { body }));

export const closeAccount = (body: Schemas['PasswordDto']): Promise<unknown> =>
  dataOf(api.DELETE('/api/account', { body }));
