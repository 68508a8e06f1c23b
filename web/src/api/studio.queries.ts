import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';
import type { SessionWithCodes } from './session.queries.ts';

export type Studio = Schemas['StudioDto'];

export const studioQuery = queryOptions({ queryKey: ['studio'], queryFn: () => dataOf(api.GET('/api/studio')) });

export const changeStudio = (body: Studio): Promise<Studio> => dataOf(api.PUT('/api/studio', { body }));

export const changePassword = (body: Schemas['NewPasswordDto']): Promise<Schemas['RecoveryCodesDto']> =>
  dataOf(api.POST('/api/account/password', { body }));

export const changeEmail = (body: Schemas['NewEmailDto']): Promise<unknown> =>
  dataOf(api.POST('/api/account/email', { body }));

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

export type StudioFileContents = Schemas['StudioFileDto'];

/** Sends a studio's file as it is, to be compared with what is here or to take its place. */
export const sendStudioFile = (what: 'compare' | 'restore', file: File): Promise<StudioFileContents> => {
  const whole = {
    body: file as unknown as string,
    bodySerializer: () => file,
    headers: { 'Content-Type': 'application/gzip' },
  };
  return dataOf(
    what === 'compare' ? api.POST('/api/studio/file/compare', whole) : api.POST('/api/studio/file/restore', whole),
  );
};

export type Backup = Schemas['BackupDto'];
export type Backups = Schemas['BackupsDto'];

/** A backup takes seconds: while one is made it is asked for again so often. */
const LOOK_AGAIN_MS = 700;

/** The backups of the studio on the server's machine. */
export const backupsQuery = queryOptions({
  queryKey: ['backups'],
  queryFn: () => dataOf(api.GET('/api/studio/backups')),
  refetchInterval: ({ state }) => (state.data?.isBeingMade ? LOOK_AGAIN_MS : false),
});

export const askForBackup = (): Promise<Backups> => dataOf(api.POST('/api/studio/backups'));

export const callOffBackup = (): Promise<Backups> => dataOf(api.DELETE('/api/studio/backups'));

/** Compares a backup with what is here, or puts it in its place. */
export const sendBackup = (what: 'compare' | 'restore', name: string): Promise<StudioFileContents> => {
  const which = { params: { path: { name } } };
  return dataOf(
    what === 'compare'
      ? api.POST('/api/studio/backups/{name}/compare', which)
      : api.POST('/api/studio/backups/{name}/restore', which),
  );
};
