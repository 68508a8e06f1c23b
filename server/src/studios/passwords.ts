import { hash, verify } from '@node-rs/argon2';

/** Source: OWASP password storage guidance for Argon2id, 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Argon2id hash of a password. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

let decoy: Promise<string> | undefined;

/** Whether a password is right; takes as long where there is no account, so that the answer does not tell. */
export async function isPassword(stored: string | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword('no account has this password');
  const matches = await verify(stored ?? (await decoy), password);
  return matches && stored !== undefined;
}
