import { Button, Group, Modal } from '@mantine/core';
import { useInterval } from '@mantine/hooks';
import type { Exercise } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { StudentToday } from '../../api/students.queries.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { clockText } from '../../text/times.ts';
import { useIsFresh } from './take-back.tsx';
import { useEasier } from './use-easier.ts';
import type { Running } from './use-run.ts';

interface StopCardProps {
  readonly running: Running;
  readonly run: KeptRun;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

const REST_SECONDS = 60;

/** A minute of rest, counted down; the teacher may go on before it is over. */
function Resting({ onOver }: { readonly onOver: () => void }): ReactElement {
  const { t } = useTranslation();
  const [left, setLeft] = useState(REST_SECONDS);
  useInterval(
    () => {
      setLeft((seconds) => Math.max(0, seconds - 1));
    },
    1000,
    { autoInvoke: true },
  );
  return (
    <Group>
      <p role="timer" className="heading" style={{ fontSize: 64, lineHeight: 1, margin: '0 24px 0 0' }}>
        {clockText(left)}
      </p>
      <Button size="xl" variant={left === 0 ? 'filled' : 'default'} data-autofocus onClick={onOver}>
        {t('piano.acts.nextStep')}
      </Button>
    </Group>
  );
}

/** A stop: what to do now, calmly, and the ways on: rest, something easier, or the end. */
export function StopCard({ running, run, today, shelf }: StopCardProps): ReactElement {
  const { t } = useTranslation();
  const easier = useEasier(run, today, shelf);
  const [isResting, setResting] = useState(false);
  const mark = run.state.stops.at(-1)?.mark;
  const cause = mark === 'tickle' || mark === 'cough' || mark === 'dizzy' || mark === 'effort' ? mark : 'pain';
  const mayGoOn = cause !== 'pain';
  const isFresh = useIsFresh('stop');
  return (
    <Modal
      opened
      onClose={() => undefined}
      withCloseButton={false}
      title={t('piano.stopTitle')}
      size="lg"
      closeOnClickOutside={false}
      closeOnEscape={false}
    >
      <p style={{ fontSize: 'var(--step-4)', marginTop: 0 }}>{t(`piano.stop.${cause}`)}</p>
      {isResting && (
        <Resting
          onOver={() => {
            running.act('next-step');
          }}
        />
      )}
      <Group style={isResting ? { display: 'none' } : {}}>
        {mayGoOn && (
          <Button
            size="xl"
            variant="filled"
            data-autofocus
            onClick={() => {
              setResting(true);
            }}
          >
            {t('piano.stopRest')}
          </Button>
        )}
        {mayGoOn && cause !== 'dizzy' && easier && (
          <Button
            size="xl"
            onClick={() => {
              running.swap(easier);
            }}
          >
            {t('piano.stopEasier', { name: easier.name })}
          </Button>
        )}
        <Button
          size="xl"
          variant={mayGoOn ? 'default' : 'filled'}
          onClick={() => {
            running.act('finish');
          }}
        >
          {t('piano.stopEnd')}
        </Button>
        {isFresh && (
          <Button
            size="xl"
            variant="subtle"
            onClick={() => {
              running.does({ type: 'mistake' });
            }}
          >
            {t('piano.stopMistake')}
          </Button>
        )}
      </Group>
      <p style={{ color: 'var(--soft)' }}>{t('piano.stopNoCount')}</p>
    </Modal>
  );
}
