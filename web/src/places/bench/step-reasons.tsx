import { Button, Group } from '@mantine/core';
import type { DraftedStep, Exercise, LaidStep, StepProblem } from '@soft-lark/core';
import { memo, useState, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Ledger } from '../../ui/ledger.tsx';
import { useSharedScreen } from '../../ui/shared-screen.ts';
import type { BenchAction } from './bench.reducer.ts';
import { sentence, writeNote } from '../../text/note-names.ts';
import classes from './bench.module.css';

interface StepReasonsProps {
  readonly step: LaidStep;
  /** What the draft said of it, if it came from one. */
  readonly said: Pick<DraftedStep, 'exerciseId' | 'reason' | 'passedOver'> | undefined;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly act: Dispatch<BenchAction>;
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
      <p>{said.reason}</p>
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
              <b>{shelf.get(exerciseId)?.name}</b> {reason}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Mend({
  step,
  problem,
  act,
}: {
  readonly step: LaidStep;
  readonly problem: StepProblem;
  readonly act: Dispatch<BenchAction>;
}): ReactElement | null {
  const { t } = useTranslation();
  const { nearest } = problem;
  if (step.settings.floor !== undefined || step.settings.ceiling !== undefined) {
    return (
      <Button
        size="sm"
        onClick={() => {
          act({ type: 'set', stepId: step.id, settings: {}, clear: ['floor', 'ceiling'] });
        }}
      >
        {t('bench.mend.removeOverride')}
      </Button>
    );
  }
  if (nearest === undefined || nearest.value === null) return null;
  const { setting, value } = nearest;
  if (setting === 'pattern') return <p>{t('bench.mend.pattern', { value })}</p>;
  if (setting !== 'start' && setting !== 'tempo' && setting !== 'step') return null;
  const shown = setting === 'start' ? writeNote(Number(value)) : String(value);
  return (
    <Button
      size="sm"
      onClick={() => {
        act({ type: 'set', stepId: step.id, settings: { [setting]: Number(value) } });
      }}
    >
      {t(`bench.mend.${setting}`, { value: shown })}
    </Button>
  );
}

/** Why the step is as it is today: what stands in its way, and the limit ledger. */
export const StepReasons = memo(function StepReasons({ step, said, shelf, act }: StepReasonsProps): ReactElement {
  const { t } = useTranslation();
  const { problem, limits, exercise } = step;
  const [isShared] = useSharedScreen();
  return (
    <aside className={classes['reasons']}>
      <Drafted key={step.id} step={step} said={said} shelf={shelf} />
      {problem && (
        <div className={classes['problem']} role="alert">
          <b>{t('bench.problem')}</b>
          {!isShared && <p>{sentence(problem.message)}</p>}
          {!isShared && <p>{sentence(problem.remedy)}</p>}
          <Group>
            <Mend step={step} problem={problem} act={act} />
          </Group>
        </div>
      )}
      {limits ? <Ledger limits={limits} context={step.limitContext} /> : !problem && <p>{t('bench.noPitch')}</p>}
      {exercise.cautions.map((caution) => (
        <p key={caution} className={classes['caution']}>
          {caution}
        </p>
      ))}
    </aside>
  );
});
