import { dictionary } from '@zxcvbn-ts/language-common';

/** Source: the list of common passwords of zxcvbn, of those as long as ours must be. */
const COMMON = new Set(dictionary['passwords-common'].map(String).filter((word) => word.length >= 8));

/** Whether a password is one that guessers try first, plainly or with the usual figures behind it. */
export function isCommonPassword(password: string): boolean {
  const lower = password.trim().toLowerCase();
  return COMMON.has(lower) || COMMON.has(lower.replace(/[\d!.]{1,4}$/, '')) || new Set(lower).size < 4;
}
