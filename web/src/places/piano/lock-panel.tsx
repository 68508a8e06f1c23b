import { Button, Group, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useLocking, type VoiceLock } from '../../api/gate.queries.ts';
import { dayText } from '../../text/times.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import classes from './gate.module.css';

interface LockPanelProps {
  readonly studentId: string;
  readonly lock: VoiceLock;
  /** Why, where this gate led to it; a lock found here does not say. */
  readonly sentence: string;
  readonly onLift: () => void;
}

/** What is locked, in calm words, and the way back, which is the teacher's own and is logged. */
export function LockPanel({ studentId, lock, sentence, onLift }: LockPanelProps): ReactElement {
  const { t } = useTranslation();
  const [reason, setReason] = useState('');
  const locking = useLocking(studentId);
  const lift = (words: string): void => {
    onLift();
    locking.lift(lock.id, words);
  };
  return (
    <section className={classes['lock']} data-level={lock.level}>
      <p className={classes['locked']} role="alert">
        {sentence}
      </p>
      <p>
        {t('gate.lockedBy', { day: dayText(lock.since) })} {t('gate.localRules')}
      </p>
      <TextInput
        size="md"
        label={t('gate.ownDecision')}
        maxLength={400}
        value={reason}
        onChange={({ currentTarget }) => {
          setReason(currentTarget.value);
        }}
      />
      <Group mt="sm">
        <Button
          size="md"
          disabled={reason.trim() === ''}
          loading={locking.isBusy}
          onClick={() => {
            lift(reason);
          }}
        >
          {t('gate.lift')}
        </Button>
        <Button
          size="md"
          variant="subtle"
          disabled={locking.isBusy}
          onClick={() => {
            lift(t('gate.mistake'));
          }}
        >
          {t('gate.mistake')}
        </Button>
        {lock.level === 'see-someone' && (
          <Button size="md" variant="subtle" component={Link} to={`/students/${studentId}`}>
            {t('gate.clearance')}
          </Button>
        )}
      </Group>
      <FormProblem error={locking.error} />
    </section>
  );
}
