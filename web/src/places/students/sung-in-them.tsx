import { Button, Group, Select } from '@mantine/core';
import { IconMusic } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { routinesQuery } from '../../api/routines.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import classes from './day.module.css';

interface SungInThemProps {
  readonly student: Student;
  readonly routineId: string | undefined;
  readonly onChange: (routineId: string | undefined) => void;
}

/** What is sung in the blocks of the day: one of the student’s routines, those for a performance first, with its sound track. */
export function SungInThem({ student, routineId, onChange }: SungInThemProps): ReactElement | null {
  const { t } = useTranslation();
  const own = (useQuery(routinesQuery(student.id)).data ?? []).filter(({ groupId }) => groupId === undefined);
  if (own.length === 0) return null;
  const inOrder = [...own].sort(
    (one, other) => Number(other.kind === 'performance') - Number(one.kind === 'performance'),
  );
  const chosen = own.find(({ id }) => id === routineId);
  return (
    <Group align="flex-end" gap={10} className={classes['sung'] ?? ''}>
      <Select
        flex="1 1 220px"
        maw={380}
        clearable
        label={t('students.day.sung')}
        placeholder={t('students.day.sungNone')}
        data={inOrder.map(({ id, name }) => ({ value: id, label: name }))}
        value={chosen?.id ?? null}
        onChange={(id) => {
          onChange(id ?? undefined);
        }}
      />
      {chosen && (
        <Button
          component={Link}
          to={`/routines/${chosen.id}/hand-out?take=track`}
          leftSection={<IconMusic size={17} aria-hidden />}
        >
          {t('students.day.track')}
        </Button>
      )}
    </Group>
  );
}
