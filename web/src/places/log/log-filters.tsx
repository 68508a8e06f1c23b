import { Group, Select, TextInput } from '@mantine/core';
import { MARKS, RUN_PLACES, type Mark, type RunPlace } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Student } from '../../api/students.queries.ts';
import { ALL, type SoughtField } from './use-sought.ts';

interface LogFiltersProps {
  readonly students: readonly Student[];
  readonly studentId: string | undefined;
  readonly words: string;
  readonly mark: Mark | undefined;
  readonly place: RunPlace | undefined;
  readonly onSeek: (field: SoughtField, value: string | null) => void;
}

/** What is looked for in the log: names and notes, a mark, where it was sung, and whose it is. */
export function LogFilters({ students, studentId, words, mark, place, onSeek }: LogFiltersProps): ReactElement {
  const { t } = useTranslation();
  const choices = [
    {
      field: 'mark',
      label: t('log.mark'),
      width: 150,
      any: t('log.anyMark'),
      value: mark,
      data: MARKS.map((one) => ({ value: one, label: t(`piano.marks.${one}`) })),
    },
    {
      field: 'place',
      label: t('log.place'),
      width: 170,
      any: t('log.anyPlace'),
      value: place,
      data: RUN_PLACES.map((one) => ({ value: one, label: t(one === 'home' ? 'log.atHome' : 'log.inLesson') })),
    },
    {
      field: 'student',
      label: t('log.headers.student'),
      width: 220,
      any: t('log.all'),
      value: studentId,
      data: students.map(({ id, name }) => ({ value: id, label: name })),
    },
  ] as const;
  return (
    <Group gap={10}>
      <TextInput
        type="search"
        aria-label={t('log.search')}
        placeholder={t('log.search')}
        maxLength={80}
        w={220}
        value={words}
        onChange={({ currentTarget: { value } }) => {
          onSeek('words', value);
        }}
      />
      {choices.map(({ field, label, width, any, value, data }) => (
        <Select
          key={field}
          aria-label={label}
          w={width}
          data={[{ value: ALL, label: any }, ...data]}
          value={value ?? ALL}
          onChange={(chosen) => {
            onSeek(field, chosen);
          }}
        />
      ))}
    </Group>
  );
}
