import { Button, Group, SimpleGrid, Stack, Text } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useBeforeUnload, useBlocker } from 'react-router';
import { rulesFor } from '../../api/lay.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { changeStudent, studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { staleOf, StaleWrite } from '../../ui/stale-write.tsx';
import { PairRows } from './pair-rows.tsx';
import { Unsaved } from './unsaved.tsx';
import { KindGroup, LimitsGroup, RangeGroup, WordsGroup } from './voice-form-groups.tsx';
import { VoiceDecisions } from './voice-decisions.tsx';
import { fileOf, unreadable, valuesOf, whatApplies, type VoiceValues } from './voice-form.values.ts';
import classes from './students.module.css';

interface SaveBarProps {
  readonly isBad: boolean;
  readonly isPending: boolean;
  readonly onCancel: () => void;
}

function SaveBar({ isBad, isPending, onCancel }: SaveBarProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Group justify="flex-end" className={classes['saveBar'] ?? ''}>
      <Button onClick={onCancel}>{t('app.cancel')}</Button>
      <Button type="submit" variant="filled" loading={isPending} disabled={isBad}>
        {t('students.save')}
      </Button>
    </Group>
  );
}

/** Sends the file; what the other pages show of this student is the new one at once. */
function useSaveVoice(
  student: Student,
  onDone: () => void,
): UseMutationResult<Student, Error, { readonly values: VoiceValues; readonly version: number }> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ values, version }) => changeStudent(student.id, { ...fileOf(values, student), version }),
    onSuccess: (changed) => {
      queries.setQueryData(studentTodayQuery(student.id).queryKey, (old) => old && { ...old, student: changed });
      void queries.invalidateQueries({ queryKey: ['students'] });
      void queries.invalidateQueries({ queryKey: ['today'] });
      onDone();
    },
  });
}

/** The voice file as a form. A save that comes too late keeps what was typed and offers both ways on. */
export function VoiceForm({
  student,
  onDone,
}: {
  readonly student: Student;
  readonly onDone: () => void;
}): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const session = useQuery(sessionQuery).data;
  const today = session?.today ?? '';
  const rules = rulesFor(session, student);
  const form = useForm<VoiceValues>({ initialValues: valuesOf(student, today) });
  const key = studentTodayQuery(student.id).queryKey;
  const save = useSaveVoice(student, onDone);
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => form.isDirty() && currentLocation.pathname !== nextLocation.pathname,
  );
  useBeforeUnload((event) => {
    if (form.isDirty()) event.preventDefault();
  });
  const stale = staleOf(save.error) as Student | null;
  const applies = whatApplies(form.values, rules);
  const bad = unreadable(form.values);
  return (
    <form
      onSubmit={form.onSubmit((values) => {
        if (bad.length === 0) save.mutate({ values, version: student.version });
      })}
    >
      {stale && (
        <StaleWrite
          text={t('students.kept')}
          onTheirs={() => {
            queries.setQueryData(key, (old) => old && { ...old, student: stale });
            onDone();
          }}
          onMine={() => {
            save.mutate({ values: form.values, version: stale.version });
          }}
        />
      )}
      <SimpleGrid cols={{ base: 1, md: 2 }} spacing="xl" pt="sm">
        <Stack>
          <KindGroup form={form} />
          <RangeGroup form={form} today={today} />
          <LimitsGroup form={form} rules={rules} applies={applies} />
          <VoiceDecisions form={form} today={today} applies={applies} />
        </Stack>
        <Stack>
          <PairRows
            form={form}
            list="bridges"
            legend={t('students.sections.bridges')}
            addLabel={t('students.addBridge')}
          />
          <PairRows form={form} list="avoid" legend={t('students.sections.zones')} addLabel={t('students.addZone')} />
          <PairRows form={form} list="gaps" legend={t('students.gaps')} addLabel={t('students.addGap')} />
          <WordsGroup form={form} />
          {bad.length > 0 && <Text c="var(--brick-text)">{t('students.badNote')}</Text>}
          {!stale && <FormProblem error={save.error} />}
        </Stack>
      </SimpleGrid>
      <SaveBar isBad={bad.length > 0} isPending={save.isPending} onCancel={onDone} />
      <Unsaved
        isOpen={blocker.state === 'blocked'}
        canSave={bad.length === 0}
        onStay={() => blocker.reset?.()}
        onDrop={() => blocker.proceed?.()}
        onSave={() => {
          save.mutate(
            { values: form.values, version: student.version },
            { onSuccess: () => blocker.proceed?.(), onError: () => blocker.reset?.() },
          );
        }}
      />
    </form>
  );
}
