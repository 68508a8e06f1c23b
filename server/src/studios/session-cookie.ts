import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { SignedIn } from '../common/index.ts';
import { deviceOf } from './open-sessions.ts';

declare module 'express-session' {
  interface SessionData {
    /** When it was opened and last seen, ISO instants, and where. */
    openedAt?: string;
    seenAt?: string;
    device?: string;
  }
}

const HOUR = 3_600_000;
/** Source: ASVS 4, 3.3.2: a session of long use is ended at last, however often it is used. */
const LONGEST = 90 * 24 * HOUR;

/** Starts a fresh session, so that an id known before the sign-in is worth nothing after it. */
export async function openSession(request: Request, signedIn: SignedIn): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) reject(error instanceof Error ? error : new Error('The session could not be opened.'));
      else resolve();
    });
  });
  const now = new Date().toISOString();
  Object.assign(request.session, { signedIn, openedAt: now, seenAt: now, device: deviceOf(request.get('user-agent')) });
}

export function closeSession(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.destroy((error: unknown) => {
      if (error) reject(error instanceof Error ? error : new Error('The session could not be closed.'));
      else resolve();
    });
  });
}

/**
 * Keeps a session that is in use, written down once an hour and not at every call, and ends one that grew too old. A
 * clock that was set back or forward neither ends it early nor writes it at every call.
 */
export function keepSession(): RequestHandler {
  return (request: Request, _response: Response, next: NextFunction) => {
    const { session } = request;
    if (session.signedIn) {
      const now = Date.now();
      const ago = (instant: string | undefined): number => now - (instant === undefined ? 0 : Date.parse(instant));
      session.openedAt ??= new Date(now).toISOString();
      if (ago(session.openedAt) > LONGEST) delete session.signedIn;
      else if (Math.abs(ago(session.seenAt)) > HOUR) session.seenAt = new Date(now).toISOString();
    }
    next();
  };
}
