import { Button, Group, Modal } from '@mantine/core';
import { useTimeout } from '@mantine/hooks';
import { currentStep, runStepOf, type Exercise, type RunStep } from '@soft-lark/core';
import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { useLay } from '../../api/lay.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { useNow } from '../../ui/clock.ts';
import type { Running } from './use-run.ts';

/** So long a stop can be taken back; later it is remembered. */
const MISTAKE_MILLISECONDS = 10_000;

interface StopCardProps {
  readonly running: Running;
  readonly run: KeptRun;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** The first easier relative of the stopped step that can be sung today. */
function useEasier({ run, today, shelf }: Omit<StopCardProps, 'running'>): RunStep | null {
  const lay = useLay();
  const now = useNow(600);
  const stopped = shelf.get(currentStep(run.state)?.exerciseId ?? '');
  return useMemo(() => {
    const relatives = stopped?.relatives.filter(({ as }) => as === 'easier' || as === 'shorter') ?? [];
    const steps = relatives.map(({ id }) => ({ id: v7(), exerciseId: id, settings: {} }));
    const day = { ...today, conditions: [...run.conditions] };
    const found = lay({ steps, kind: 'lesson' }, day, shelf, now).steps.find(({ problem }) => !problem);
    return found ? runStepOf(found) : null;
  }, [stopped, today, run.conditions, lay, shelf, now]);
}

/** A stop: what to do now, calmly, and the ways on: rest, something easier, or the end. */
export function StopCard({ running, run, today, shelf }: StopCardProps): ReactElement {
  const { t } = useTranslation();
  const easier = useEasier({ run, today, shelf });
  const mark = run.state.stops.at(-1)?.mark;
  const cause = mark === 'tickle' || mark === 'cough' || mark === 'dizzy' || mark === 'effort' ? mark : 'pain';
  const mayGoOn = cause !== 'pain';
  const [isFresh, setFresh] = useState(true);
  const fade = useTimeout(() => {
    setFresh(false);
  }, MISTAKE_MILLISECONDS);
  useEffect(() => {
    fade.start();
    return fade.clear;
  }, [fade]);
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
      <Group>
        {mayGoOn && (
          <Button
            size="xl"
            variant="filled"
            data-autofocus
            onClick={() => {
              running.act('next-step');
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
              running.mistake();
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
