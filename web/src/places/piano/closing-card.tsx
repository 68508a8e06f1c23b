import { Button, Checkbox, Group, Textarea, TextInput, Title, UnstyledButton } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import type { Routine } from '../../api/routines.queries.ts';
import { dropRun } from '../../api/runs.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { closeRun, forgetRun, type KeptRun } from '../../runs/run-store.ts';
import { stopPiano } from '../../sound/piano.ts';
import { writeNote } from '../../text/note-names.ts';
import { inTenSeconds } from '../../ui/offer-undo.tsx';
import { EASE } from './ease.ts';
import { FlightAsSung } from './flight-as-sung.tsx';
import { useKeepOpenRun } from './use-keep-open-run.ts';
import classes from './gate.module.css';

interface ClosingCardProps {
  readonly run: KeptRun;
  readonly routine: Routine;
  readonly student: Student;
}

/** What stopped the run, as the first words of the line for next time. */
function useFirstLine({ state, plan }: KeptRun): string {
  const { t } = useTranslation();
  return state.stops
    .map(({ stepId, mark }) =>
      t('piano.stoppedIn', {
        step: plan.find((step) => step.stepId === stepId)?.name ?? '',
        mark: t(`piano.marks.${mark}`),
      }),
    )
    .join(' ');
}

/** How easy it was, in five words. */
function EaseQuestion({
  value: ease,
  onChange,
}: {
  readonly value: number | undefined;
  readonly onChange: (ease: number) => void;
}): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['question']} data-narrow>
      <p>{t('piano.ease')}</p>
      <div role="group" aria-label={t('piano.ease')}>
        {EASE.map((value) => (
          <UnstyledButton
            key={value}
            className={classes['answer'] ?? ''}
            aria-pressed={ease === value}
            onClick={() => {
              onChange(value);
            }}
          >
            {t(`piano.easeWords.${String(value) as '1'}`)}
          </UnstyledButton>
        ))}
      </div>
    </div>
  );
}

/** After the last note: what was sung beside last time, how easy it was, a line for next time. */
export function ClosingCard({ run, routine, student }: ClosingCardProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [ease, setEase] = useState<number | undefined>(run.ease);
  const firstLine = useFirstLine(run);
  const [note, setNote] = useState(firstLine);
  const [keepsAs, setKeepsAs] = useState<string | null>(null);
  const keepOpenRun = useKeepOpenRun(run, routine);
  useEffect(stopPiano, []);
  const sung = run.state.sung.filter(({ outcome }) => outcome === 'sung');
  const planned = run.plan.reduce((sum, { keys }) => sum + keys.length, 0);
  const close = (): void => {
    closeRun(run.id, { ...(ease !== undefined && { ease }), note });
    if (run.state.isOpen) void keepOpenRun(keepsAs);
  };
  const done = (): void => {
    close();
    void navigate(`/log/${run.id}`);
  };
  const throwAway = (): void => {
    void navigate(`/students/${student.id}`);
    inTenSeconds(
      async () => {
        forgetRun(run.id);
        if (run.sentRevision > 0) await dropRun(run.id);
        if (run.state.isOpen) await keepOpenRun(null);
        await queries.invalidateQueries();
      },
      { message: t('piano.thrownAway'), label: t('piano.keepIt'), undo: close },
    );
  };
  return (
    <main className={classes['gate']}>
      <header>
        <span className="heading">{run.routineName}</span>
        <bdi>{student.name}</bdi>
      </header>
      <Title order={1}>{t('piano.closing')}</Title>
      <p>
        {sung.length === 0
          ? t('piano.sungNothing')
          : t(run.state.isOpen ? 'piano.sungOpen' : 'piano.sungFrom', {
              low: writeNote(Math.min(...sung.map(({ low }) => low))),
              high: writeNote(Math.max(...sung.map(({ high }) => high))),
              sung: sung.length,
              planned,
            })}
      </p>
      <FlightAsSung run={run} />
      <EaseQuestion value={ease} onChange={setEase} />
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
      {run.state.isOpen && sung.length > 0 && (
        <Group mb="lg" align="flex-end">
          <Checkbox
            size="md"
            label={t('piano.open.keep')}
            checked={keepsAs !== null}
            onChange={({ currentTarget }) => {
              setKeepsAs(currentTarget.checked ? run.routineName : null);
            }}
          />
          {keepsAs !== null && (
            <TextInput
              label={t('piano.open.name')}
              maxLength={120}
              value={keepsAs}
              onChange={({ currentTarget }) => {
                setKeepsAs(currentTarget.value);
              }}
            />
          )}
        </Group>
      )}
      <Group>
        <Button size="xl" variant="filled" onClick={done}>
          {t('piano.done')}
        </Button>
        {run.state.stops.length === 0 && (
          <Button size="xl" variant="subtle" onClick={throwAway}>
            {t('piano.throwAway')}
          </Button>
        )}
      </Group>
    </main>
  );
}
