import { hash, verify } from '@node-rs/argon2';
import pLimit from 'p-limit';

/** Source: OWASP password storage guidance for Argon2id, 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** A hash takes a whole core: many guessers at once wait for one another, and nobody else for them. */
const oneAtATime = pLimit(1);

/** Argon2id hash of a password. */
export function hashPassword(password: string): Promise<string> {
  return oneAtATime(() => hash(password, COST));
}

let decoy: Promise<string> | undefined;

/** Whether a password is right; takes as long where there is no account, so that the answer does not tell. */
export async function isPassword(stored: string | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword('no account has this password');
  const against = stored ?? (await decoy);
  const matches = await oneAtATime(() => verify(against, password));
  return matches && stored !== undefined;
}
