import { Button, Group } from '@mantine/core';
import type { Finding, Fix } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Mute } from '../../api/mutes.queries.ts';
import { say, sayFinding } from '../../text/say.ts';
import { WithTerms } from '../../ui/with-terms.tsx';
import { MuteForm } from './mute-form.tsx';
import { MutedList } from './muted-list.tsx';
import classes from './bench-panel.module.css';

interface ReviewListProps {
  readonly findings: readonly Finding[];
  /** The step in hand: what concerns it comes first. */
  readonly chosenId: string;
  readonly mutes: readonly Mute[];
  readonly routineId: string;
  readonly studentId: string;
  readonly onChoose: (stepId: string) => void;
  readonly onFix: (fix: Fix) => void;
}

function FindingRow({
  finding,
  chosenId,
  routineId,
  studentId,
  onChoose,
  onFix,
}: { readonly finding: Finding } & Omit<ReviewListProps, 'findings' | 'mutes'>): ReactElement {
  const { t } = useTranslation();
  const [isWhy, setWhy] = useState(false);
  const [isMuting, setMuting] = useState(false);
  const { severity, fixes, stepId, rule } = finding;
  // Cautions are never muted.
  const mutable = rule === 'caution' || rule === 'grit' ? null : rule;
  return (
    <li data-severity={severity} data-here={stepId === chosenId}>
      <p>
        <b>{t(`bench.think.severity.${severity}`)}</b> <WithTerms>{sayFinding(finding)}</WithTerms>
      </p>
      {isWhy && <p className={classes['source']}>{t(`said.source.${rule}`)}</p>}
      <Group gap={6}>
        {fixes.map((fix) => (
          <Button
            key={say(fix.said)}
            size="xs"
            onClick={() => {
              onFix(fix);
            }}
          >
            {say(fix.said)}
          </Button>
        ))}
        {stepId !== undefined && stepId !== chosenId && (
          <Button
            size="xs"
            variant="subtle"
            onClick={() => {
              onChoose(stepId);
            }}
          >
            {t('bench.think.show')}
          </Button>
        )}
        <Button
          size="xs"
          variant="subtle"
          aria-expanded={isWhy}
          onClick={() => {
            setWhy(!isWhy);
          }}
        >
          {t('bench.think.whyRule')}
        </Button>
        {mutable && (
          <Button
            size="xs"
            variant="subtle"
            aria-expanded={isMuting}
            onClick={() => {
              setMuting(!isMuting);
            }}
          >
            {t('bench.mute.open')}
          </Button>
        )}
      </Group>
      {isMuting && mutable && (
        <MuteForm
          rule={mutable}
          routineId={routineId}
          studentId={studentId}
          onDone={() => {
            setMuting(false);
          }}
        />
      )}
    </li>
  );
}

/** What the review has to say, live as the routine is edited; fixes are applied with a press and taken back with undo. */
export function ReviewList({ findings, mutes, ...rest }: ReviewListProps): ReactElement {
  const { t } = useTranslation();
  const isHere = ({ stepId }: Finding): boolean => stepId === rest.chosenId;
  const inOrder = [
    ...findings.filter(({ severity }) => severity === 'stop'),
    ...findings.filter((finding) => finding.severity !== 'stop' && isHere(finding)),
    ...findings.filter((finding) => finding.severity !== 'stop' && !isHere(finding)),
  ];
  return (
    <section className={classes['review']} aria-label={t('bench.think.review')}>
      {findings.length === 0 && <p>{t('bench.think.allWell')}</p>}
      <ul>
        {inOrder.map((finding) => (
          <FindingRow key={finding.id} finding={finding} {...rest} />
        ))}
      </ul>
      <MutedList mutes={mutes} />
    </section>
  );
}
