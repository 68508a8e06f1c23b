import { isRested, type Condition } from '../voice/index.ts';
import type { KeyOutcome } from './marks.ts';

/** What a ladder was set to when it was last sung: tonic of its first key, MIDI, and beats per minute there. */
export interface ReachedSetting {
  readonly start: number;
  readonly tempo: number;
}

/** A run as far as its settings are looked at: what the day was, and the keys that were really sung, in order. */
export interface SettledRun {
  readonly conditions: readonly Condition[];
  readonly sung: readonly {
    readonly exerciseId: string;
    readonly tonic: number;
    readonly tempo: number;
    readonly outcome: KeyOutcome;
  }[];
}

/**
 * The settings the last runs reached, by exercise. Days that were not ordinary say nothing of the next one.
 *
 * @param runs the latest first
 * @example reachedIn([run that sang `five` from D4 at 92]).get('five') // { start: 62, tempo: 92 }
 */
export function reachedIn(runs: readonly SettledRun[]): ReadonlyMap<string, ReachedSetting> {
  const reached = new Map<string, ReachedSetting>();
  for (const { sung } of runs.filter(({ conditions }) => isRested(conditions))) {
    const first = new Map<string, ReachedSetting>();
    for (const { exerciseId, tonic, tempo, outcome } of sung)
      if (outcome === 'sung' && !first.has(exerciseId)) first.set(exerciseId, { start: tonic, tempo });
    for (const [exerciseId, setting] of first) if (!reached.has(exerciseId)) reached.set(exerciseId, setting);
  }
  return reached;
}
