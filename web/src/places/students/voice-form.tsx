import {
  Autocomplete,
  Button,
  Fieldset,
  Group,
  MultiSelect,
  NumberInput,
  Select,
  SimpleGrid,
  Stack,
  Text,
  Textarea,
  TextInput,
} from '@mantine/core';
import { DateInput } from '@mantine/dates';
import '@mantine/dates/styles.layer.css';
import { useForm } from '@mantine/form';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useBeforeUnload, useBlocker } from 'react-router';
import { rulesFor } from '../../api/lay.ts';
import { ApiProblem } from '../../api/problem.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { songsQuery } from '../../api/songs.queries.ts';
import { changeStudent, studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { NoteField } from '../../ui/note-field.tsx';
import { PairRows } from './pair-rows.tsx';
import { Unsaved } from './unsaved.tsx';
import { useVoiceChoices } from './voice-choices.ts';
import { VoiceDecisions } from './voice-decisions.tsx';
import { fileOf, unreadable, valuesOf, whatApplies, type VoiceValues } from './voice-form.values.ts';
import classes from './students.module.css';

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
  const choices = useVoiceChoices();
  const songs = useQuery(songsQuery).data;
  const session = useQuery(sessionQuery).data;
  const today = session?.today ?? '';
  const rules = rulesFor(session, student);
  const form = useForm<VoiceValues>({ initialValues: valuesOf(student, today) });
  const key = studentTodayQuery(student.id).queryKey;
  const save = useMutation({
    mutationFn: ({ values, version }: { readonly values: VoiceValues; readonly version: number }) =>
      changeStudent(student.id, { ...fileOf(values, student), version }),
    onSuccess: (changed) => {
      queries.setQueryData(key, (old) => old && { ...old, student: changed });
      void queries.invalidateQueries({ queryKey: ['students'] });
      void queries.invalidateQueries({ queryKey: ['today'] });
      onDone();
    },
  });
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => form.isDirty() && currentLocation.pathname !== nextLocation.pathname,
  );
  useBeforeUnload((event) => {
    if (form.isDirty()) event.preventDefault();
  });
  const stale =
    save.error instanceof ApiProblem && save.error.code === 'STALE_WRITE' ? (save.error.current as Student) : null;
  const applies = whatApplies(form.values, rules);
  const bad = unreadable(form.values);
  const note = (
    name: 'low' | 'high' | 'reachLow' | 'reachHigh' | 'speakingNote' | 'hardFloor' | 'hardCeiling' | 'beltCeiling',
    label: string,
  ): ReactElement => <NoteField label={label} {...form.getInputProps(name)} />;
  return (
    <form
      onSubmit={form.onSubmit((values) => {
        if (bad.length === 0) save.mutate({ values, version: student.version });
      })}
    >
      {stale && (
        <div className={classes['stale']} role="alert">
          <p>{t('students.kept')}</p>
          <Group>
            <Button
              onClick={() => {
                queries.setQueryData(key, (old) => old && { ...old, student: stale });
                onDone();
              }}
            >
              {t('students.takeTheirs')}
            </Button>
            <Button
              variant="filled"
              onClick={() => {
                save.mutate({ values: form.values, version: stale.version });
              }}
            >
              {t('students.saveMine')}
            </Button>
          </Group>
        </div>
      )}
      <SimpleGrid cols={{ base: 1, md: 2 }} spacing="xl" pt="sm">
        <Stack>
          <Fieldset legend={t('students.sections.voice')}>
            <Stack gap="sm">
              <TextInput label={t('students.name')} required maxLength={120} {...form.getInputProps('name')} />
              <Group grow>
                <Select label={t('students.type')} data={choices.types} {...form.getInputProps('type')} />
                {form.values.type === 'changing' && (
                  <Select label={t('students.stage')} data={choices.changes} {...form.getInputProps('changingStage')} />
                )}
                <Select label={t('students.style')} data={choices.styles} {...form.getInputProps('style')} />
                <NumberInput
                  label={t('students.age')}
                  min={4}
                  max={120}
                  allowDecimal={false}
                  {...form.getInputProps('age')}
                />
              </Group>
              <MultiSelect
                label={t('students.otherStyles')}
                data={choices.styles.filter(({ value }) => value !== form.values.style)}
                {...form.getInputProps('otherStyles')}
              />
            </Stack>
          </Fieldset>
          <Fieldset legend={t('students.sections.range')}>
            <SimpleGrid cols={2}>
              {note('low', t('students.lowest'))}
              {note('high', t('students.highest'))}
              {note('reachLow', t('students.reachLow'))}
              {note('reachHigh', t('students.reachHigh'))}
              <DateInput
                label={t('students.date')}
                valueFormat="D MMMM YYYY"
                maxDate={today}
                {...form.getInputProps('date')}
              />
              {note('speakingNote', t('students.speakingNote'))}
            </SimpleGrid>
          </Fieldset>
          <Fieldset legend={t('students.sections.limits')}>
            <SimpleGrid cols={2}>
              {note('hardFloor', t('students.hardFloorField'))}
              {note('hardCeiling', t('students.hardCeilingField'))}
              {applies.belt && note('beltCeiling', t('students.beltField'))}
              <NumberInput
                label={t('students.margin')}
                placeholder={t('students.marginByRules', { count: rules.margin.usual })}
                min={0}
                max={4}
                allowDecimal={false}
                {...form.getInputProps('margin')}
              />
            </SimpleGrid>
          </Fieldset>
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
          <Fieldset legend={t('students.sections.words')}>
            <Stack gap="sm">
              <Autocomplete
                label={t('students.piece')}
                description={t('students.pieceHint')}
                maxLength={200}
                data={songs?.map(({ song }) => song.name) ?? []}
                {...form.getInputProps('piece')}
              />
              <Textarea label={t('students.wantedField')} autosize maxLength={400} {...form.getInputProps('wanted')} />
              <Textarea label={t('students.goalsField')} autosize minRows={2} {...form.getInputProps('goals')} />
              <Textarea
                label={t('students.note')}
                autosize
                minRows={3}
                maxLength={4000}
                {...form.getInputProps('note')}
              />
            </Stack>
          </Fieldset>
          {bad.length > 0 && <Text c="var(--brick-text)">{t('students.badNote')}</Text>}
          {!stale && <FormProblem error={save.error} />}
        </Stack>
      </SimpleGrid>
      <Group justify="flex-end" className={classes['saveBar'] ?? ''}>
        <Button onClick={onDone}>{t('app.cancel')}</Button>
        <Button type="submit" variant="filled" loading={save.isPending} disabled={bad.length > 0}>
          {t('students.save')}
        </Button>
      </Group>
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
