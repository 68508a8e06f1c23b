import { Injectable } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';

/** Counts tries by address and by e-mail, so that one stubborn guesser does not lock a whole house out. */
@Injectable()
export class SignInThrottle extends ThrottlerGuard {
  protected override getTracker(request: Record<string, unknown>): Promise<string> {
    const body = request['body'];
    const email = typeof body === 'object' && body !== null && 'email' in body ? String(body.email).toLowerCase() : '';
    return Promise.resolve(`${String(request['ip'])} ${email}`);
  }
}

const USUAL_TRIES = 10;

/** Tries a minute that one address has at passwords and sign-ups; `SIGN_IN_TRIES` sets another number. */
export const TRIES = { default: { limit: Number(process.env['SIGN_IN_TRIES'] ?? USUAL_TRIES), ttl: 60_000 } };
