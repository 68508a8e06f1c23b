import { Checkbox, Textarea } from '@mantine/core';
import { memo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { BenchAction } from './bench.reducer.ts';
import classes from './bench.module.css';

interface StepWordsProps {
  readonly stepId: string;
  /** The words as they are set; the same from one edit to the next, so that the fields are not measured anew. */
  readonly cue: string | undefined;
  readonly note: string | undefined;
  readonly isContrast: boolean;
  readonly act: Dispatch<BenchAction>;
}

/** What the teacher says in this step, and a note that nobody else sees. */
export const StepWords = memo(function StepWords({ stepId, cue, note, isContrast, act }: StepWordsProps): ReactElement {
  const { t } = useTranslation();
  const set = (name: 'cue' | 'note', text: string): void => {
    if (text.trim() === '') act({ type: 'set', stepId, settings: {}, clear: [name] });
    else act({ type: 'set', stepId, settings: { [name]: text } });
  };
  return (
    <div className={classes['words']}>
      <Textarea
        size="sm"
        autosize
        minRows={1}
        maxLength={240}
        label={t('bench.cue')}
        placeholder={t('bench.cueHint')}
        value={cue ?? ''}
        onChange={({ currentTarget }) => {
          set('cue', currentTarget.value.replace(/\n/g, ' '));
        }}
      />
      <Textarea
        size="sm"
        autosize
        minRows={1}
        maxLength={2000}
        label={t('bench.note')}
        value={note ?? ''}
        onChange={({ currentTarget }) => {
          set('note', currentTarget.value);
        }}
      />
      {isContrast && (
        <Checkbox
          label={t('bench.contrast')}
          checked
          onChange={() => {
            act({ type: 'set', stepId, settings: {}, clear: ['contrast'] });
          }}
        />
      )}
    </div>
  );
});
