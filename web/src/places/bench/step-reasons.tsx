import { Button } from '@mantine/core';
import type { DraftedStep, Exercise, LaidStep } from '@soft-lark/core';
import { memo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { say, saySentence } from '../../text/say.ts';
import { WithTerms } from '../../ui/with-terms.tsx';
import classes from './bench-panel.module.css';

interface StepReasonsProps {
  readonly step: LaidStep;
  /** What the draft said of it, if it came from one. */
  readonly said: Pick<DraftedStep, 'exerciseId' | 'reasons' | 'passedOver'> | undefined;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** Why a draft took this step, and on request what it passed over for it. */
function Drafted({ step, said, shelf }: Pick<StepReasonsProps, 'step' | 'said' | 'shelf'>): ReactElement | null {
  const { t } = useTranslation();
  const [isOpen, setOpen] = useState(false);
  if (!said) return null;
  // Another exercise stands here since: what the draft said was said of the one before it.
  if (said.exerciseId !== step.exercise.id)
    return (
      <p className={classes['drafted']}>
        {t('bench.think.swapped', { name: shelf.get(said.exerciseId)?.name, why: step.exercise.why })}
      </p>
    );
  return (
    <div className={classes['drafted']}>
      <p>
        <WithTerms>{saySentence(said.reasons)}</WithTerms>
      </p>
      {said.passedOver.length > 0 && (
        <Button
          size="xs"
          variant="subtle"
          aria-expanded={isOpen}
          onClick={() => {
            setOpen(!isOpen);
          }}
        >
          {t('bench.think.passedOver')}
        </Button>
      )}
      {isOpen && (
        <ul>
          {said.passedOver.map(({ exerciseId, reason }) => (
            <li key={exerciseId}>
              <b>{shelf.get(exerciseId)?.name}</b> {say(reason)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** Why the step is here, and what it is good for. */
export const StepReasons = memo(function StepReasons({ step, said, shelf }: StepReasonsProps): ReactElement {
  const { t } = useTranslation();
  const { exercise, isNew } = step;
  return (
    <div className={classes['reasons']}>
      <h2>{t('bench.panel.hereBecause', { name: exercise.name })}</h2>
      <Drafted key={step.id} step={step} said={said} shelf={shelf} />
      {!said && (
        <p>
          <WithTerms>{exercise.why}</WithTerms>
        </p>
      )}
      <p className={classes['aside']}>{isNew ? t('bench.new') : t('bench.known')}</p>
    </div>
  );
});
