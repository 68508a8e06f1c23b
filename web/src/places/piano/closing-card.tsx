import { Button, Checkbox, Group, Textarea, TextInput, Title, UnstyledButton } from '@mantine/core';
import { partOfRun } from '@soft-lark/core';
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
import { GoesHome } from './goes-home.tsx';
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

/** What those who sang along did; it is kept with each of them. */
function FellowsWords({ run: { fellows = [], state } }: { readonly run: KeptRun }): ReactElement | null {
  const { t } = useTranslation();
  const told = fellows.map(({ studentId, name }) => {
    const sung = partOfRun(state, studentId).sung.filter(({ outcome }) => outcome === 'sung');
    return t('piano.singers.did', { name, count: sung.length });
  });
  return told.length === 0 ? null : <p>{t('piano.singers.own', { singers: told.join(', ') })}</p>;
}

/** From where to where was sung, and how much of what was planned. */
function SungWords({ run }: { readonly run: KeptRun }): ReactElement {
  const { t } = useTranslation();
  const sung = sungOf(run);
  const planned = run.plan.reduce((sum, { keys }) => sum + keys.length, 0);
  return (
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
  );
}

interface KeepOpenRunProps {
  readonly usual: string;
  /** What the routine made of it is called; null while none is wanted. */
  readonly name: string | null;
  readonly onName: (name: string | null) => void;
}

/** A run without a plan can be kept as a routine. */
function KeepOpenRun({ usual, name, onName }: KeepOpenRunProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Group mb="lg" align="flex-end">
      <Checkbox
        size="md"
        label={t('piano.open.keep')}
        checked={name !== null}
        onChange={({ currentTarget }) => {
          onName(currentTarget.checked ? usual : null);
        }}
      />
      {name !== null && (
        <TextInput
          label={t('piano.open.name')}
          maxLength={120}
          value={name}
          onChange={({ currentTarget }) => {
            onName(currentTarget.value);
          }}
        />
      )}
    </Group>
  );
}

const sungOf = ({ state }: KeptRun): KeptRun['state']['sung'] => state.sung.filter(({ outcome }) => outcome === 'sung');

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
  const sung = sungOf(run);
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
      <SungWords run={run} />
      <FellowsWords run={run} />
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
        <KeepOpenRun usual={run.routineName} name={keepsAs} onName={setKeepsAs} />
      )}
      <GoesHome run={run} routine={routine} />
      <Group mt="lg">
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
