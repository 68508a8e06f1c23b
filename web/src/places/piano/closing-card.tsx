import { Button, Group, Textarea, Title, UnstyledButton } from '@mantine/core';

import { useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import type { Student } from '../../api/students.queries.ts';
import { stopPiano } from '../../sound/piano.ts';
import { closeRun, type KeptRun } from '../../runs/run-store.ts';
import { writeNote } from '../../text/note-names.ts';
import classes from './gate.module.css';

const EASE = [1, 2, 3, 4, 5] as const;

/** After the last note: how easy it was, what was sung, a line for next time. */
export function ClosingCard({ run, student }: { readonly run: KeptRun; readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [ease, setEase] = useState<number | undefined>(run.ease);
  const [note, setNote] = useState(() =>
    run.state.stops
      .map(({ stepId, mark }) =>
        t('piano.stoppedIn', {
          step: run.plan.find((step) => step.stepId === stepId)?.name ?? '',
          mark: t(`piano.marks.${mark}`),
        }),
      )
      .join(' '),
  );
  useEffect(stopPiano, []);
  const sung = run.state.sung.filter(({ outcome }) => outcome === 'sung');
  const planned = run.plan.reduce((sum, { keys }) => sum + keys.length, 0);
  const done = (): void => {
    closeRun(run.id, { ...(ease !== undefined && { ease }), note });
    void navigate(`/log/${run.id}`);
  };
  return (
    <main className={classes['gate']}>
      <header>
        <span className="heading">{run.routineName}</span>
        <span>{student.name}</span>
      </header>
      <Title order={1}>{t('piano.closing')}</Title>
      <p>
        {sung.length === 0
          ? t('piano.sungNothing')
          : t('piano.sungFrom', {
              low: writeNote(Math.min(...sung.map(({ low }) => low))),
              high: writeNote(Math.max(...sung.map(({ high }) => high))),
              sung: sung.length,
              planned,
            })}
      </p>
      <div className={classes['question']} data-narrow>
        <p>{t('piano.ease')}</p>
        <div role="group" aria-label={t('piano.ease')}>
          {EASE.map((value) => (
            <UnstyledButton
              key={value}
              className={classes['answer'] ?? ''}
              aria-pressed={ease === value}
              onClick={() => {
                setEase(value);
              }}
            >
              {t(`piano.easeWords.${String(value) as '1'}`)}
            </UnstyledButton>
          ))}
        </div>
      </div>
      <Textarea
        label={t('piano.note')}
        size="md"
        my="lg"
        autosize
        minRows={2}
        maxLength={2000}
        value={note}
        onChange={({ currentTarget }) => {
          setNote(currentTarget.value);
        }}
      />
      <Group>
        <Button size="xl" variant="filled" onClick={done}>
          {t('piano.done')}
        </Button>
      </Group>
    </main>
  );
}
