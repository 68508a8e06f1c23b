import type { Exercise, StepResult } from '@soft-lark/core';
import { useTranslation } from 'react-i18next';
import type { Schemas } from '../api/client.ts';
import { writeNote } from '../text/note-names.ts';
import { clockText } from '../text/times.ts';

/** How far a sung exercise came when it was last sung: its keys, its top, its tempo, and the furthest of its manners. */
export function useLastSungWords(): (last: Schemas['LastSungDto'], exercise: Exercise | undefined) => string {
  const { t } = useTranslation();
  return ({ keys, highest, tempo, manners }, exercise) => {
    const isGlide = exercise?.work.kind === 'siren';
    const furthest = (exercise?.manners ?? []).filter((manner) => manners.includes(manner)).at(-1) ?? manners.at(-1);
    return [
      t(isGlide ? 'course.sung.glides' : 'course.sung.keys', { count: keys }),
      t('bench.top', { note: writeNote(highest) }),
      ...(isGlide ? [] : [t('log.tempo', { tempo })]),
      ...(furthest === undefined ? [] : [furthest]),
    ].join(' · ');
  };
}

/** How far a step without pitch came, in a few words: its rounds and the most it held, or its time. */
export function useResultWords(): (result: StepResult, exercise: Exercise | undefined) => string {
  const { t } = useTranslation();
  return ({ rounds, most, seconds, tempo }, exercise) => {
    const work = exercise?.work;
    if (work?.kind === 'spoken' && tempo !== undefined && work.quickening > 0)
      return [t('course.roundsDone', { count: rounds }), t('course.most.tempo', { tempo })].join(' · ');
    if (work?.kind !== 'breath') return clockText(seconds);
    const inRounds = t('course.roundsDone', { count: rounds });
    return most === undefined
      ? inRounds
      : `${inRounds} · ${t(work.longest ? 'course.most.seconds' : 'course.most.counts', { most })}`;
  };
}
