export const VOICE_TYPES = [
  'soprano',
  'mezzo-soprano',
  'contralto',
  'countertenor',
  'tenor',
  'baritone',
  'bass-baritone',
  'bass',
  'treble',
  'changing',
] as const;
export type VoiceType = (typeof VOICE_TYPES)[number];

export const CHANGING_STAGES = ['first', 'second', 'third', 'new', 'settling', 'early', 'peak', 'young-adult'] as const;
export type ChangingStage = (typeof CHANGING_STAGES)[number];

export const STYLES = [
  'classical',
  'theatre',
  'pop',
  'jazz',
  'folk',
  'choral',
  'heavy',
  'gospel',
  'rock',
  'rnb',
] as const;
export type Style = (typeof STYLES)[number];

export const OCCASIONS = ['lesson', 'home', 'performance'] as const;
export type Occasion = (typeof OCCASIONS)[number];

export const REGISTERS = ['light', 'mixed', 'heavy', 'any'] as const;
export type Register = (typeof REGISTERS)[number];

/** Never sounded binds every sound; the other kinds are findings of the review. */
export const ZONE_KINDS = ['never-sounded', 'not-held', 'not-loud', 'not-heavy'] as const;
export type ZoneKind = (typeof ZONE_KINDS)[number];
