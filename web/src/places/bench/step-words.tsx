import { Checkbox, Textarea } from '@mantine/core';
import type { LaidStep } from '@soft-lark/core';
import type { Dispatch, ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { BenchAction } from './bench.reducer.ts';
import classes from './bench.module.css';

interface StepWordsProps {
  readonly step: LaidStep;
  readonly act: Dispatch<BenchAction>;
}

/** What the teacher says in this step, and a note that nobody else sees. */
export function StepWords({ step: { id, settings }, act }: StepWordsProps): ReactElement {
  const { t } = useTranslation();
  const set = (name: 'cue' | 'note', text: string): void => {
    if (text.trim() === '') act({ type: 'set', stepId: id, settings: {}, clear: [name] });
    else act({ type: 'set', stepId: id, settings: { [name]: text } });
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
        value={settings.cue ?? ''}
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
        value={settings.note ?? ''}
        onChange={({ currentTarget }) => {
          set('note', currentTarget.value);
        }}
      />
      {settings.contrast && (
        <Checkbox
          label={t('bench.contrast')}
          checked
          onChange={() => {
            act({ type: 'set', stepId: id, settings: {}, clear: ['contrast'] });
          }}
        />
      )}
    </div>
  );
}
