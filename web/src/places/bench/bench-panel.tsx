import { Tabs } from '@mantine/core';
import type { Exercise, LaidStep } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Ledger } from '../../ui/ledger.tsx';
import { LeftOut } from './left-out.tsx';
import { ReviewList } from './review-list.tsx';
import { StepReasons } from './step-reasons.tsx';
import type { Thinking } from './use-thinking.ts';
import classes from './bench-panel.module.css';

const TABS = ['review', 'why', 'limits'] as const;

interface BenchPanelProps {
  readonly step: LaidStep;
  readonly routineId: string;
  readonly studentId: string;
  readonly thinking: Thinking;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly onChoose: (stepId: string) => void;
}

/** What there is to look at, why the chosen step is here, and where its limits come from. */
export function BenchPanel({ step, routineId, studentId, thinking, shelf, onChoose }: BenchPanelProps): ReactElement {
  const { t } = useTranslation();
  const [tab, setTab] = useState<string | null>('review');
  const { drafting, settled } = thinking;
  const { findings } = settled;
  const isStop = findings.some(({ severity }) => severity === 'stop');
  return (
    <Tabs value={tab} onChange={setTab} className={classes['panel'] ?? ''} keepMounted={false}>
      <Tabs.List aria-label={t('bench.panel.name')}>
        {TABS.map((name) => (
          <Tabs.Tab key={name} value={name} data-stops={name === 'review' && isStop}>
            {t(`bench.panel.${name}`)}
            {name === 'review' && findings.length > 0 && <b> {findings.length}</b>}
          </Tabs.Tab>
        ))}
      </Tabs.List>
      <Tabs.Panel value="review">
        <ReviewList
          findings={findings}
          chosenId={step.id}
          mutes={thinking.mutes}
          routineId={routineId}
          studentId={studentId}
          onChoose={onChoose}
          onFix={thinking.fix}
        />
      </Tabs.Panel>
      <Tabs.Panel value="why">
        <StepReasons step={step} said={drafting.reasons.get(step.id)} shelf={shelf} />
        <LeftOut leftOut={drafting.leftOut} shelf={shelf} />
      </Tabs.Panel>
      <Tabs.Panel value="limits">
        {step.limits ? <Ledger limits={step.limits} context={step.limitContext} /> : <p>{t('bench.noPitch')}</p>}
      </Tabs.Panel>
    </Tabs>
  );
}
