import { Button, Group, Modal, NumberInput, Select, Stack, Text, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ChangingStage, Style, VoiceType } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { sessionQuery } from '../../api/session.queries.ts';
import { addStudent, type Student } from '../../api/students.queries.ts';
import { useDraftFor } from '../../api/use-new-routine.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { NoteField, type NoteValue } from '../../ui/note-field.tsx';
import { useVoiceChoices } from './voice-choices.ts';

interface AddStudentProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onAdded: (studentId: string) => void;
}

interface Values {
  readonly name: string;
  readonly type: VoiceType;
  readonly changingStage: ChangingStage;
  readonly style: Style;
  readonly age: number | '';
  readonly low: NoteValue;
  readonly high: NoteValue;
}

const EMPTY: Values = {
  name: '',
  type: 'mezzo-soprano',
  changingStage: 'second',
  style: 'classical',
  age: '',
  low: undefined,
  high: undefined,
};

function voiceOf(values: Values, today: string): Student['voice'] {
  const { type, changingStage, style, age, low, high } = values;
  return {
    type,
    style,
    goals: [],
    bridges: [],
    avoid: [],
    ...(type === 'changing' && { changingStage }),
    ...(typeof age === 'number' && { age }),
    ...(typeof low === 'number' && typeof high === 'number' && { measured: { low, high, date: today } }),
  };
}

interface AddButtonsProps {
  readonly isPending: boolean;
  readonly onCancel: () => void;
  readonly onDraft: () => void;
}

function AddButtons({ isPending, onCancel, onDraft }: AddButtonsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Group justify="flex-end">
      <Button onClick={onCancel}>{t('app.cancel')}</Button>
      <Button type="submit" loading={isPending}>
        {t('students.addAndOpen')}
      </Button>
      <Button variant="filled" loading={isPending} onClick={onDraft}>
        {t('students.addAndDraft')}
      </Button>
    </Group>
  );
}

/** A student in under a minute: a name and a voice type; the rest can wait. */
export function AddStudent({ isOpen, onClose, onAdded }: AddStudentProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const choices = useVoiceChoices();
  const today = useQuery(sessionQuery).data?.today ?? '';
  const form = useForm<Values>({
    initialValues: EMPTY,
    validate: {
      low: (low, { high }) =>
        low === null || (low === undefined) !== (high === undefined) ? t('errors.BAD_NOTE') : null,
      high: (high, { low }) =>
        high === null || (high === undefined) !== (low === undefined) ? t('errors.BAD_NOTE') : null,
    },
  });
  const { draftFor, error: noDraft } = useDraftFor();
  const add = useMutation({
    mutationFn: ({ values }: { readonly values: Values; readonly then: (studentId: string) => void }) =>
      addStudent({ id: v7(), name: values.name, note: '', voice: voiceOf(values, today) }),
    onSuccess: ({ id }, { then }) => {
      void queries.invalidateQueries({ queryKey: ['students'] });
      form.reset();
      then(id);
    },
  });
  return (
    <Modal opened={isOpen} onClose={onClose} title={t('students.add')} size="lg">
      <form
        onSubmit={form.onSubmit((values) => {
          add.mutate({ values, then: onAdded });
        })}
      >
        <Stack gap="md">
          <TextInput
            label={t('students.name')}
            required
            maxLength={120}
            data-autofocus
            {...form.getInputProps('name')}
          />
          <Group grow align="flex-start">
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
          <Group grow align="flex-start">
            <NoteField label={t('students.lowest')} {...form.getInputProps('low')} />
            <NoteField label={t('students.highest')} {...form.getInputProps('high')} />
          </Group>
          <Text size="sm" c="dimmed">
            {t('students.addHint')}
          </Text>
          <FormProblem error={add.error ?? noDraft} />
          <AddButtons
            isPending={add.isPending}
            onCancel={onClose}
            onDraft={() => {
              form.onSubmit((values) => {
                add.mutate({ values, then: draftFor });
              })();
            }}
          />
        </Stack>
      </form>
    </Modal>
  );
}
