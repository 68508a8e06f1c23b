import type { Request } from 'express';
import type { SignedIn } from '../common/index.ts';

/** Starts a fresh session, so that an id known before the sign-in is worth nothing after it. */
export async function openSession(request: Request, signedIn: SignedIn): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) reject(error instanceof Error ? error : new Error('The session could not be opened.'));
      else resolve();
    });
  });
  request.session.signedIn = signedIn;
}

export function closeSession(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.destroy((error: unknown) => {
      if (error) reject(error instanceof Error ? error : new Error('The session could not be closed.'));
      else resolve();
    });
  });
}
