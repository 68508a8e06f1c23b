import type { Exercise, RoutineStep } from '@soft-lark/core';
import type { TFunction } from 'i18next';

const LENGTHS = ['maxKeys', 'repeats', 'seconds'] as const;

/** What is different between a routine and a fit of it, in words: how many steps change their length, and which go. */
export function changeWords(
  before: readonly RoutineStep[],
  after: readonly RoutineStep[],
  exercises: ReadonlyMap<string, Exercise>,
  t: TFunction,
): string {
  const nameOf = ({ exerciseId }: RoutineStep): string => exercises.get(exerciseId)?.name ?? exerciseId;
  const gone = before.filter(({ id }) => !after.some((step) => step.id === id));
  const changed = after.flatMap((step) => {
    const was = before.find(({ id }) => id === step.id);
    const length = LENGTHS.find((name) => was && was.settings[name] !== step.settings[name]);
    return length
      ? [t(`bench.think.length.${length}`, { name: nameOf(step), value: String(step.settings[length] ?? '') })]
      : [];
  });
  return [
    ...gone.map((step) => t('bench.think.goes', { name: nameOf(step) })),
    ...changed.slice(0, 3),
    ...(changed.length > 3 ? [t('bench.think.more', { count: changed.length - 3 })] : []),
  ].join(' · ');
}
