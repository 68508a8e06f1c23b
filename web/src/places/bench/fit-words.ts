import type { Exercise, RoutineStep } from '@soft-lark/core';
import type { TFunction } from 'i18next';

const LENGTHS = ['maxKeys', 'withinSeconds', 'repeats', 'seconds'] as const;
/** More than these are counted, not named. */
const MOST_CHANGES = 3;

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
    if (!length) return [];
    const count = step.settings[length];
    const name = nameOf(step);
    return [
      count === undefined
        ? t('bench.think.length.usual', { name })
        : t(`bench.think.length.${length}`, { name, count }),
    ];
  });
  const more = changed.length - MOST_CHANGES;
  return [
    gone.length > 0 ? [t('bench.think.goes', { names: gone.map(nameOf).join(' · ') })] : [],
    [...changed.slice(0, MOST_CHANGES), ...(more > 0 ? [t('bench.think.more', { count: more })] : [])],
  ]
    .filter((part) => part.length > 0)
    .map((part) => part.join(' · '))
    .join(' — ');
}
