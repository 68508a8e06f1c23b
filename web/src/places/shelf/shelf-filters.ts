import {
  isForVoice,
  isNoLouder,
  isPossibleWith,
  LEVELS,
  NOISES,
  spanOf,
  STAGES,
  STYLES,
  VOICE_TYPES,
  type Exercise,
  type Obstacle,
  type Stage,
  type Style,
  type VoiceType,
} from '@soft-lark/core';

const NUMBERS = ['load', 'span', 'seconds'] as const;

/** What the shelf is narrowed down to; everything left out is any. It lives in the address. */
export interface ShelfFilters {
  readonly q: string;
  readonly stage?: Stage;
  readonly level?: (typeof LEVELS)[number];
  readonly noise?: (typeof NOISES)[number];
  readonly style?: Style;
  readonly voice?: VoiceType;
  readonly kit?: 'none';
  readonly known?: 'yes' | 'no';
  readonly from?: 'own' | 'archived';
  readonly collection?: string;
  /** At most. */
  readonly load?: number;
  readonly span?: number;
  readonly seconds?: number;
}

const CHOICES: Readonly<Record<string, readonly string[]>> = {
  stage: STAGES,
  level: LEVELS,
  noise: NOISES,
  style: STYLES,
  voice: VOICE_TYPES,
  kit: ['none'],
  known: ['yes', 'no'],
  from: ['own', 'archived'],
};

/** The filters an address names; what it misspells is left out. */
export function filtersOf(address: URLSearchParams): ShelfFilters {
  const choices = Object.entries(CHOICES).flatMap(([name, known]) => {
    const value = address.get(name);
    return value !== null && known.includes(value) ? [[name, value]] : [];
  });
  const numbers = NUMBERS.flatMap((name) => {
    const value = Number(address.get(name));
    return value > 0 ? [[name, value]] : [];
  });
  const collection = address.get('collection');
  return {
    ...(Object.fromEntries([...choices, ...numbers]) as Omit<ShelfFilters, 'q'>),
    q: address.get('q') ?? '',
    ...(collection && { collection }),
  };
}

/** An address that names some filters. */
export function addressOf(filters: ShelfFilters): Record<string, string> {
  return Object.fromEntries(
    Object.entries(filters).flatMap(([name, value]) =>
      value === undefined || value === '' ? [] : [[name, String(value)]],
    ),
  );
}

/** Whether an exercise passes the filters that it can answer alone. */
export function passes(
  exercise: Exercise,
  filters: ShelfFilters,
  obstacles: readonly Obstacle[],
  known: ReadonlySet<string>,
): boolean {
  const { stage, level, noise, style, voice, kit, load, span } = filters;
  return (
    (stage === undefined || exercise.stage === stage) &&
    (level === undefined || exercise.level === level) &&
    (noise === undefined || isNoLouder(exercise, noise)) &&
    (style === undefined || exercise.styles.length === 0 || exercise.styles.includes(style)) &&
    (voice === undefined || isForVoice(exercise, voice)) &&
    (kit === undefined || exercise.kit.length === 0) &&
    (load === undefined || exercise.load <= load) &&
    (span === undefined || (spanOf(exercise) ?? 0) <= span) &&
    (filters.known === undefined || known.has(exercise.id) === (filters.known === 'yes')) &&
    obstacles.every((obstacle) => isPossibleWith(exercise, obstacle))
  );
}
