import { Button, Group, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { Brand } from '../../shell/brand.tsx';
import { ShelfPicker } from '../bench/add-step.tsx';
import { useCallUp, type CallUp } from './use-call-up.ts';
import classes from './gate.module.css';

/** A run without a plan, between two exercises: what comes next, called up by name, or the end. */
export function OpenRun(props: CallUp): ReactElement {
  const { running, run, today } = props;
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery).data;
  const callUp = useCallUp(props);
  const [refused, setRefused] = useState('');
  return (
    <main className={classes['gate']} data-wide>
      <header>
        <Brand />
        <span className="heading">{run.routineName}</span>
        <bdi>{today.student.name}</bdi>
      </header>
      <Group justify="space-between" wrap="nowrap" mb="md">
        <div>
          <Title order={1}>{t(run.state.sung.length > 0 ? 'piano.open.then' : 'piano.open.first')}</Title>
          <p role="status">{refused === '' ? t('piano.open.hint') : t('piano.open.refused', { name: refused })}</p>
        </div>
        <Button
          size="xl"
          flex="none"
          onClick={() => {
            running.act('finish');
          }}
        >
          {t('piano.acts.end')}
        </Button>
      </Group>
      {shelf && (
        <ShelfPicker
          shelf={shelf}
          onAdd={(exerciseId) => {
            setRefused(callUp(exerciseId) ? '' : (props.shelf.get(exerciseId)?.name ?? ''));
          }}
        />
      )}
    </main>
  );
}
