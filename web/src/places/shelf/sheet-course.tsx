import {
  buildSiren,
  courseOf,
  glideOf,
  LadderError,
  type LaidStep,
  type SirenWork,
  type StillWork,
} from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { CoursePicture } from '../../flight/course.tsx';
import { GlidePicture } from '../../flight/glide-picture.tsx';
import { clockText } from '../../text/times.ts';
import classes from './sheet.module.css';

/** A voice of two octaves, to show a glide in while nobody is in hand. */
const ANY_VOICE = { floor: 57, ceiling: 78 };

/** A glide as it goes in the voice in hand, or in one like any other; nothing while it cannot be laid out. */
export function SheetGlide({
  work,
  placed,
}: {
  readonly work: SirenWork;
  readonly placed: LaidStep | null;
}): ReactElement | null {
  const { t } = useTranslation();
  const siren = useMemo(() => {
    if (placed) return placed.laid?.kind === 'siren' ? placed.laid.siren : null;
    try {
      return buildSiren(glideOf(work, ANY_VOICE.floor, ANY_VOICE.ceiling));
    } catch (error) {
      if (error instanceof LadderError) return null;
      throw error;
    }
  }, [work, placed]);
  if (!siren) return null;
  return (
    <section className={classes['course']} aria-label={t('shelf.work.course')}>
      <p>{t('shelf.work.lasts', { time: clockText(siren.seconds) })}</p>
      <GlidePicture siren={siren} height={120} />
    </section>
  );
}

/** What happens when in work without pitch, as it stands, with its seconds. */
export function SheetCourse({ work }: { readonly work: StillWork }): ReactElement {
  const { t } = useTranslation();
  const course = useMemo(() => courseOf(work), [work]);
  return (
    <section className={classes['course']} aria-label={t('shelf.work.course')}>
      <p>{t('shelf.work.lasts', { time: clockText(course.seconds) })}</p>
      <CoursePicture course={course} height={130} />
    </section>
  );
}
