import {
  createParamDecorator,
  Injectable,
  SetMetadata,
  type CanActivate,
  type CustomDecorator,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import 'express-session';
import { Problem } from './problem.ts';

/** Whom a session belongs to. */
export interface SignedIn {
  readonly accountId: string;
  readonly studioId: string;
}

declare module 'express-session' {
  interface SessionData {
    signedIn?: SignedIn;
  }
}

const OPEN = 'soft-lark:open';
const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** A header no other site's form can send; its value does not matter. */
const OWN_REQUEST_HEADER = 'x-soft-lark';

/** Lets a route be used without a session. */
export const Open = (): CustomDecorator => SetMetadata(OPEN, true);

/** The account and studio of the session. */
export const Who = createParamDecorator((_: unknown, context: ExecutionContext): SignedIn => {
  const signedIn = context.switchToHttp().getRequest<Request>().session.signedIn;
  if (!signedIn)
    throw new Problem(401, 'SIGNED_OUT', 'You are signed out.', { remedy: 'Sign in again; what you typed is kept.' });
  return signedIn;
});

/** Refuses calls without a session, and state-changing calls that another site could have sent. */
@Injectable()
export class SessionGuard implements CanActivate {
  private readonly reflector: Reflector;

  constructor(reflector: Reflector) {
    this.reflector = reflector;
  }

  canActivate(context: ExecutionContext): boolean {
    const request = context.switchToHttp().getRequest<Request>();
    if (!SAFE_METHODS.has(request.method) && request.get(OWN_REQUEST_HEADER) === undefined) {
      throw new Problem(403, 'NOT_FROM_HERE', 'This call did not come from Soft Lark.', {
        remedy: `Send the header ${OWN_REQUEST_HEADER}.`,
      });
    }
    const isOpen = this.reflector.getAllAndOverride<boolean>(OPEN, [context.getHandler(), context.getClass()]);
    if (isOpen || request.session.signedIn) return true;
    throw new Problem(401, 'SIGNED_OUT', 'You are signed out.', { remedy: 'Sign in again; what you typed is kept.' });
  }
}
