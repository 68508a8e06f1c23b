import { Button, Textarea, UnstyledButton } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { closeRun, type KeptRun } from '../../runs/run-store.ts';
import { EASE } from '../piano/ease.ts';
import classes from './home.module.css';

/** After practising: how easy it was, and a line to the teacher. Nothing is scored. */
export function HomeClosing({ run, onDone }: { readonly run: KeptRun; readonly onDone: () => void }): ReactElement {
  const { t } = useTranslation();
  const [ease, setEase] = useState<number | undefined>(undefined);
  const [note, setNote] = useState('');
  const wasHurt = run.state.stops.some(({ mark }) => mark === 'pain');
  return (
    <>
      <h1 className="heading">{t('piano.closing')}</h1>
      {wasHurt && <p className={classes['locked']}>{t('piano.stop.pain')}</p>}
      <div className={classes['ease']} role="group" aria-label={t('piano.ease')}>
        {EASE.map((value) => (
          <UnstyledButton
            key={value}
            aria-pressed={ease === value}
            onClick={() => {
              setEase(value);
            }}
          >
            {t(`piano.easeWords.${String(value) as '1'}`)}
          </UnstyledButton>
        ))}
      </div>
      <Textarea
        label={t('home.line')}
        size="md"
        my="md"
        autosize
        minRows={2}
        maxLength={500}
        value={note}
        onChange={({ currentTarget }) => {
          setNote(currentTarget.value);
        }}
      />
      <Button
        size="xl"
        fullWidth
        variant="filled"
        onClick={() => {
          closeRun(run.id, { ...(ease !== undefined && { ease }), note });
          onDone();
        }}
      >
        {t('home.done')}
      </Button>
    </>
  );
}
