import { Button, Group } from '@mantine/core';
import type { LaidStep, StepProblem as Problem } from '@soft-lark/core';
import type { Dispatch, ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import { sayProblem } from '../../text/say.ts';
import { useSharedScreen } from '../../ui/shared-screen.ts';
import type { BenchAction } from './bench.reducer.ts';
import classes from './bench.module.css';

interface StepProblemProps {
  readonly step: LaidStep;
  readonly act: Dispatch<BenchAction>;
}

function Mend({ step, problem, act }: StepProblemProps & { readonly problem: Problem }): ReactElement | null {
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

/** What stands in the way of a step today, and the nearest way round it. */
export function StepProblem({ step, act }: StepProblemProps): ReactElement | null {
  const { t } = useTranslation();
  const [isShared] = useSharedScreen();
  const { problem } = step;
  if (!problem) return null;
  const { message, remedy } = sayProblem(problem);
  return (
    <div className={classes['problem']} role="alert">
      <b>{t('bench.problem')}</b>
      {!isShared && <p>{message}</p>}
      {!isShared && <p>{remedy}</p>}
      <Group>
        <Mend step={step} problem={problem} act={act} />
      </Group>
    </div>
  );
}
