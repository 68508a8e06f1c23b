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
