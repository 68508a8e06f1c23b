import { Button, Group, Modal } from '@mantine/core';
import type { RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Running } from './use-run.ts';

/** A stop: what to do now, calmly, and two ways on. */
export function StopCard({ running, state }: { readonly running: Running; readonly state: RunState }): ReactElement {
  const { t } = useTranslation();
  const mark = state.stops.at(-1)?.mark;
  const cause = mark === 'tickle' || mark === 'cough' || mark === 'dizzy' ? mark : 'pain';
  const mayGoOn = cause !== 'pain';
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
        <Button
          size="xl"
          variant={mayGoOn ? 'default' : 'filled'}
          onClick={() => {
            running.act('finish');
          }}
        >
          {t('piano.stopEnd')}
        </Button>
      </Group>
      <p style={{ color: 'var(--soft)' }}>{t('piano.stopNoCount')}</p>
    </Modal>
  );
}
