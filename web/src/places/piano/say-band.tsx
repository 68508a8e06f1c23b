import { currentStep, keyName, nextKey, type Approach, type Exercise, type RunState } from '@soft-lark/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import { ByEye } from './by-eye.tsx';
import { useCountWords } from './count-words.ts';
import { FewMore } from './few-more.tsx';
import type { FarSide } from './use-far-side.ts';
import type { Running } from './use-run.ts';
import { whatToSay } from './what-to-say.ts';
import classes from './run.module.css';

interface SayBandProps {
  readonly running: Running;
  readonly state: RunState;
  readonly exercise: Exercise | undefined;
  /** Answers on which schools differ. */
  readonly approach: Approach;
  readonly far: FarSide;
}

/** What to say, how many keys to the turn, and what comes next. */
export function SayBand({ running, state, exercise, approach, far }: SayBandProps): ReactElement {
  const { t } = useTranslation();
  const countWords = useCountWords();
  const step = currentStep(state);
  const keys = step?.keys ?? [];
  const count = countWords(state);
  const { text, triedFor } = whatToSay(state, exercise, approach);
  const next = nextKey(state);
  const later = state.steps[state.stepIndex + 1];
  return (
    <section className={classes['band']}>
      <div>
        <small>{triedFor === undefined ? t('piano.say') : t('piano.tryFor', { seen: triedFor })}</small>
        <p className={`${classes['cue'] ?? ''} heading`} data-testid="say">
          {text}
        </p>
        {!state.begun && exercise && exercise.cautions.length > 0 && (
          <p className={classes['heed']} role="note" aria-label={t('piano.heed')}>
            <IconAlertTriangle size={18} aria-hidden />
            {exercise.cautions.join(' ')}
          </p>
        )}
        {far.isOn && <ByEye running={running} state={state} far={far} />}
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
