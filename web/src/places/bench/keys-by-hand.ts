import type { LaidStep, StepSettings } from '@soft-lark/core';

interface Setting {
  readonly settings: Pick<StepSettings, 'struck' | 'added'>;
  readonly clear?: readonly (keyof StepSettings)[];
}

/** A list of tonics without one; a list that is empty then is not set at all. */
export function without(name: 'struck' | 'added', tonics: readonly number[], tonic: number): Setting {
  const rest = tonics.filter((other) => other !== tonic);
  return rest.length === 0 ? { settings: {}, clear: [name] } : { settings: { [name]: rest } };
}

/** Tonics that could be put into a step within today’s limits: those that are not sung on the way out. */
export function tonicsToAdd({ laid }: LaidStep): readonly number[] {
  if (laid?.kind !== 'pattern') return [];
  const { pattern, input, ladder } = laid;
  const lowest = input.floor - pattern.low;
  const count = Math.max(0, input.ceiling - pattern.high - lowest + 1);
  const sung = new Set(ladder.rungs.map(({ tonic }) => tonic));
  const struck = new Set(ladder.skipped.map(({ tonic }) => tonic));
  return Array.from({ length: count }, (_, index) => lowest + index).filter(
    (tonic) => !sung.has(tonic) && !struck.has(tonic),
  );
}
