// Source: common first-aid and voice-care guidance for teachers; screening and referral only, local rules come first.

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
