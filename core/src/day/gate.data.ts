// Source: common first-aid and voice-care guidance for teachers; screening and referral only, local rules come first.
import type { ShorterDay } from '../voice/index.ts';

/** Everything is locked; medical help now. */
export const URGENT_SIGNS = [
  'breathing',
  'blood',
  'sudden-loss',
  'cannot-swallow',
  'injury',
  'faint',
  'face-or-speech',
] as const;

/** No singing today; whispering is not rest. */
export const NOT_TODAY_SIGNS = ['whisper-only', 'fever', 'laryngitis', 'cough-goes-on', 'procedure'] as const;

/** A laryngologist looks first, then a speech-language pathologist; gentle work only until a clearance is on file. */
export const SEE_SOMEONE_SIGNS = [
  'hoarse-long',
  'third-time',
  'top-lost',
  'neck-lump',
  'pain-long',
  'swallowing-long',
  'tremor',
] as const;

export type GateSign =
  (typeof URGENT_SIGNS)[number] | (typeof NOT_TODAY_SIGNS)[number] | (typeof SEE_SOMEONE_SIGNS)[number];

/** How much of a routine may be sung: all of it, up to modest middle work, or gentle work only. */
export const ALLOWANCES = ['all', 'middle', 'gentle'] as const;
export type Allowance = (typeof ALLOWANCES)[number];

/** Where a singer stands after an illness; `not-ill` where the roughness has another cause. */
export const RECOVERY_DAYS = ['not-ill', 'first-three', 'to-six', 'later'] as const;
export type RecoveryDays = (typeof RECOVERY_DAYS)[number];

/** After an illness: three days gentle, five minutes twice; then the middle at half the usual time. */
export const AFTER_ILLNESS: Readonly<
  Record<RecoveryDays, { readonly allowance: Allowance; readonly length?: ShorterDay }>
> = {
  'not-ill': { allowance: 'all' },
  'first-three': { allowance: 'gentle', length: { mostMinutes: 5, goes: 2 } },
  'to-six': { allowance: 'middle', length: { share: 0.5, goes: 1 } },
  later: { allowance: 'all' },
};
