import {
  cueFor,
  currentKey,
  currentStep,
  keyName,
  nextKey,
  remedyFor,
  type Approach,
  type Exercise,
  type RunState,
} from '@soft-lark/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import { useCountWords } from './count-words.ts';
import { FewMore } from './few-more.tsx';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface SayBandProps {
  readonly running: Running;
  readonly state: RunState;
  readonly exercise: Exercise | undefined;
  /** Answers on which schools differ. */
  readonly approach: Approach;
}

/** What to say, how many keys to the turn, and what comes next. */
export function SayBand({ running, state, exercise, approach }: SayBandProps): ReactElement {
  const { t } = useTranslation();
  const countWords = useCountWords();
  const step = currentStep(state);
  const key = currentKey(state);
  const keys = step?.keys ?? [];
  const place = {
    zone: key?.zone ?? ('low' as const),
    isTop: key !== undefined && key.high === Math.max(...keys.map(({ high }) => high)) && keys.length > 2,
    isLast: keys.length > 0 && state.keyIndex === keys.length - 1,
    index: state.keyIndex,
  };
  const count = countWords(state);
  const ofStep = state.sung.filter(({ stepId }) => stepId === step?.stepId);
  const offered = exercise ? remedyFor(exercise, ofStep, state.marks, approach) : null;
  const next = nextKey(state);
  const later = state.steps[state.stepIndex + 1];
  return (
    <section className={classes['band']}>
      <div>
        <small>{offered ? t('piano.tryFor', { seen: offered.seen }) : t('piano.say')}</small>
        <p className={`${classes['cue'] ?? ''} heading`} data-testid="say">
          {offered?.text ?? step?.cue ?? (exercise ? cueFor(exercise, place, approach) : '')}
        </p>
        {!state.begun && exercise && exercise.cautions.length > 0 && (
          <p className={classes['heed']} role="note" aria-label={t('piano.heed')}>
            <IconAlertTriangle size={18} aria-hidden />
            {exercise.cautions.join(' ')}
          </p>
        )}
      </div>
      <div className={classes['counting']}>
        <div>
          <small>{count?.to ?? ''}</small>
          <p className={`${classes['countWords'] ?? ''} heading`} data-testid="count">
            {count?.words ?? ''}
          </p>
        </div>
        <FewMore running={running} state={state} />
      </div>
      <div>
        <small>{t('piano.next')}</small>
        {next && step?.kind === 'pattern' ? (
          <p className={classes['nextKey']}>
            <span className="heading">{keyName(next.tonic)}</span>
            <small>{t('piano.top', { note: writeNote(next.high) })}</small>
          </p>
        ) : (
          <p className={`${classes['nextStep'] ?? ''} heading`}>
            {next
              ? t('piano.glideNow', { index: state.keyIndex + 2, count: keys.length })
              : (later?.name ?? t('piano.thenEnd'))}
          </p>
        )}
      </div>
    </section>
  );
}
