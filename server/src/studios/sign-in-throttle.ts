import { Injectable, type ExecutionContext } from '@nestjs/common';
import { ThrottlerGuard, type ThrottlerOptions } from '@nestjs/throttler';
import type { Request } from 'express';

const MINUTE = 60_000;
const USUAL_TRIES = 10;
/** One address may be a whole house of teachers, one account may be tried from many addresses. */
const HOUSES = 6;
const PLACES = 3;

const tries = (): number => Number(process.env['SIGN_IN_TRIES'] ?? USUAL_TRIES);

/** The account a call is about: the one that is signed in, or the e-mail address that was typed. */
function accountOf(request: Request): string | null {
  const { signedIn } = request.session;
  if (signedIn) return signedIn.accountId;
  const body: unknown = request.body;
  const email = typeof body === 'object' && body !== null && 'email' in body ? body.email : undefined;
  return typeof email === 'string' ? email.trim().toLowerCase().slice(0, 250) : null;
}

const requestOf = (context: ExecutionContext): Request => context.switchToHttp().getRequest<Request>();
const addressOf = ({ ip = '' }: Request): string => ip;

/**
 * How often sign-in, sign-up, recovery, passwords and the demo may be tried: by address, by account, and by both, so that
 * one stubborn guesser locks no whole house out, and many addresses do not guess at one account. `SIGN_IN_TRIES` sets
 * how many tries a minute one address has at one account (10).
 */
export const SIGN_IN_THROTTLERS: ThrottlerOptions[] = [
  {
    name: 'address',
    limit: () => tries() * HOUSES,
    ttl: MINUTE,
    getTracker: (request) => addressOf(request as unknown as Request),
  },
  {
    name: 'account',
    limit: () => tries() * PLACES,
    ttl: MINUTE,
    skipIf: (context) => accountOf(requestOf(context)) === null,
    getTracker: (request) => accountOf(request as unknown as Request) ?? '',
  },
  {
    name: 'address-and-account',
    limit: tries,
    ttl: MINUTE,
    getTracker: (request: Record<string, unknown>): string => {
      const call = request as unknown as Request;
      return `${addressOf(call)} ${accountOf(call) ?? ''}`;
    },
  },
];

/** Refuses tries over the limits; every route it stands at is counted by itself. */
@Injectable()
export class SignInThrottle extends ThrottlerGuard {}
