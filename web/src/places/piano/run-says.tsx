import { countdownOf, currentStep, keySungNow, type Exercise, type RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { markText } from '../../text/mark-text.ts';
import { keyWords } from './key-words.ts';

interface RunSaysProps {
  readonly state: RunState;
  readonly exercise: Exercise | undefined;
}

/** What changed, said to whoever does not see it; nothing that a clock moves, and only the part that is new. */
export function RunSays({ state, exercise }: RunSaysProps): ReactElement {
  const { t } = useTranslation();
  const step = currentStep(state);
  const key = keySungNow(state);
  const count = countdownOf(state);
  const isLast = count !== null && count.keys <= 1;
  return (
    <div className="visually-hidden" role="status" aria-atomic="false">
      <p>{step?.name}</p>
      <p>{step && key && keyWords(step, key)}</p>
      <p>{key && t(`bench.legs.${key.leg}`)}</p>
      <p>{isLast && t('piano.lastOne')}</p>
      <p>{state.phase === 'paused' && t('piano.isPaused')}</p>
      <p>{state.marks.map((mark) => markText(mark, exercise)).join(', ')}</p>
    </div>
  );
}
