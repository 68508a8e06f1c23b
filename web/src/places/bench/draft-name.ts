import { dayIs, purposeOf, type RoutineContext, type RoutineKind, type RoutineStep } from '@soft-lark/core';
import { goalText } from '../../text/say.ts';
import type { TFunction } from 'i18next';

/**
 * What a draft is called: after what it is for, or after the day it was made for.
 *
 * @returns nothing where it serves nothing that has a name
 */
export function draftName(
  steps: readonly RoutineStep[],
  { exercises, voice, conditions }: Pick<RoutineContext, 'exercises' | 'voice' | 'conditions'>,
  kind: RoutineKind,
  t: TFunction,
): string | undefined {
  if (dayIs(conditions, 'heavy-work-rests')) return t('bench.purpose.gentle');
  const work = steps.flatMap(({ exerciseId }) => exercises.get(exerciseId) ?? []);
  const [first, second] = purposeOf(work, voice.goals).map(goalText);
  if (first === undefined) return undefined;
  const goals = second === undefined ? first : t('bench.and', { first, second });
  return t(`bench.purpose.${kind}`, { goals: goals.charAt(0).toUpperCase() + goals.slice(1) });
}
