import type { Exercise, StepResult } from '@soft-lark/core';
import { useTranslation } from 'react-i18next';
import { clockText } from './format.ts';

/** How far a step without pitch came, in a few words: its rounds and the most it held, or its time. */
export function useResultWords(): (result: StepResult, exercise: Exercise | undefined) => string {
  const { t } = useTranslation();
  return ({ rounds, most, seconds }, exercise) => {
    const work = exercise?.work;
    if (work?.kind !== 'breath') return clockText(seconds);
    const inRounds = t('course.roundsDone', { count: rounds });
    return most === undefined
      ? inRounds
      : `${inRounds} · ${t(work.longest ? 'course.most.seconds' : 'course.most.counts', { most })}`;
  };
}
