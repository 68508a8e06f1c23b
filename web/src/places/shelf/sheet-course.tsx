import { courseOf, type StillWork } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { CoursePicture } from '../../flight/course.tsx';
import { clockText } from '../../ui/format.ts';
import classes from './sheet.module.css';

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
