import { SegmentedControl } from '@mantine/core';
import { exerciseSchema } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { BEGINNINGS, formOf, WORK_FORMS } from './kinds-of-work.data.ts';
import type { Draft } from './use-draft.ts';
import classes from './sheet.module.css';

/** What a new exercise is: a tune, a glide, breath, the body, words or calls. What was written of another kind goes. */
export function KindOfWork({ draft: { exercise, change } }: { readonly draft: Draft }): ReactElement {
  const { t } = useTranslation();
  return (
    <SegmentedControl
      className={classes['kinds'] ?? ''}
      classNames={{ label: classes['kind'] ?? '' }}
      aria-label={t('shelf.work.kind')}
      data={WORK_FORMS.map((value) => ({ value, label: t(`shelf.work.kinds.${value}`) }))}
      value={formOf(exercise.work)}
      onChange={(value) => {
        const { stage, load, work } = BEGINNINGS[value];
        change({ stage, load, work: exerciseSchema.shape.work.parse(work) });
      }}
    />
  );
}
