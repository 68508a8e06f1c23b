import { isRested, type Condition } from '../voice/index.ts';
import { isMissed, type KeyOutcome, type Mark } from './marks.ts';

/** Which way an exercise goes next: on where it was easy twice, back where it was marked twice. */
type Turn = 'on' | 'back';

/** What a ladder was set to when it was last sung, and which way it goes from there. */
export interface ReachedSetting {
  /** Tonic of its first key, MIDI, and beats per minute there. */
  readonly start: number;
  readonly tempo: number;
  /** Highest note of it that was sung, MIDI. */
  readonly highest: number;
  readonly turn?: Turn;
}

interface SettledKey {
  readonly exerciseId: string;
  readonly tonic: number;
  readonly high: number;
  readonly tempo: number;
  readonly outcome: KeyOutcome;
  readonly marks: readonly Mark[];
}

/** A run as far as its settings are looked at: what the day was, and the keys that were really sung, in order. */
export interface SettledRun {
  readonly startedAt: string;
  readonly conditions: readonly Condition[];
  /** 1–5, where it was asked. */
  readonly ease: number | null;
  readonly sung: readonly SettledKey[];
}

/** Source: usual advice, on after two easy days and back after trouble. House choice: this ease counts as easy. */
const EASY_FROM = 4;
const TWICE = 2;

/** One exercise in one run: its keys that were sung. */
interface Time {
  readonly day: string;
  readonly isEasy: boolean;
  readonly missed: number;
  readonly keys: readonly SettledKey[];
}

function timesOf(exerciseId: string, runs: readonly SettledRun[]): readonly Time[] {
  return runs.flatMap(({ startedAt, ease, sung }): readonly Time[] => {
    const keys = sung.filter((key) => key.exerciseId === exerciseId && key.outcome === 'sung');
    if (keys.length === 0) return [];
    const missed = keys.filter(isMissed).length;
    const isEasy = missed === 0 && ((ease ?? 0) >= EASY_FROM || keys.some(({ marks }) => marks.includes('easy')));
    return [{ day: startedAt.slice(0, 10), isEasy, missed, keys }];
  });
}

function turnAfter([last, before]: readonly Time[]): Turn | undefined {
  if (!last) return undefined;
  if (last.missed >= TWICE || (last.missed > 0 && (before?.missed ?? 0) > 0)) return 'back';
  return last.isEasy && before?.isEasy && before.day !== last.day ? 'on' : undefined;
}

/**
 * The settings the last runs reached, by exercise. Days that were not ordinary say nothing of the next one.
 *
 * @param runs the latest first
 * @example reachedIn([run that sang `five` from D4 at 92]).get('five') // { start: 62, tempo: 92, highest: 71 }
 */
export function reachedIn(runs: readonly SettledRun[]): ReadonlyMap<string, ReachedSetting> {
  const ordinary = runs.filter(({ conditions }) => isRested(conditions));
  const ids = new Set(ordinary.flatMap(({ sung }) => sung.map(({ exerciseId }) => exerciseId)));
  return new Map(
    [...ids].flatMap((id): readonly [string, ReachedSetting][] => {
      const times = timesOf(id, ordinary);
      const [first] = times[0]?.keys ?? [];
      if (!first) return [];
      const highest = Math.max(...(times[0]?.keys ?? []).map(({ high }) => high));
      const turn = turnAfter(times);
      return [[id, { start: first.tonic, tempo: first.tempo, highest, ...(turn && { turn }) }]];
    }),
  );
}
