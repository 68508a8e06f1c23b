import { UnstyledButton } from '@mantine/core';
import { currentKey, STOP_MARKS, type RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../../ui/key-cap.tsx';
import { MARK_KEYS, OVER_LIMIT } from './use-run-keys.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface MarkButtonsProps {
  readonly running: Running;
  readonly state: RunState;
  /** What is asked in this step; the others keep their place and are not pressed. */
  readonly asked: typeof MARK_KEYS;
}

/** Marks on the key being sung; the four that stop stand apart. */
export function MarkButtons({ running, state, asked }: MarkButtonsProps): ReactElement {
  const { t } = useTranslation();
  const hasKeys = currentKey(state) !== undefined;
  return (
    <div className={classes['marks']}>
      {MARK_KEYS.map(([mark, key]) => (
        <UnstyledButton
          key={mark}
          className={classes['mark'] ?? ''}
          data-stops={STOP_MARKS.has(mark)}
          disabled={(!hasKeys && !STOP_MARKS.has(mark)) || !asked.some(([name]) => name === mark)}
          title={asked.some(([name]) => name === mark) ? undefined : t('piano.onlyEase')}
          aria-pressed={state.marks.includes(mark)}
          onPointerUp={({ currentTarget }) => {
            currentTarget.blur();
          }}
          onClick={() => {
            running.mark(mark);
          }}
        >
          {t(`piano.marks.${mark}`)} <KeyCap>{key.toUpperCase()}</KeyCap>
        </UnstyledButton>
      ))}
      <UnstyledButton
        className={classes['mark'] ?? ''}
        data-stops
        onPointerUp={({ currentTarget }) => {
          currentTarget.blur();
        }}
        onClick={() => {
          running.effort(OVER_LIMIT);
        }}
      >
        {t('piano.effort')} <KeyCap>5</KeyCap>
      </UnstyledButton>
      <span className={classes['marksHint']}>{t('piano.marksHint')}</span>
    </div>
  );
}
