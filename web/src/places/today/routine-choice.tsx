import { ActionIcon, Menu } from '@mantine/core';
import { IconChevronDown } from '@tabler/icons-react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { routinesQuery } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { setDayRoutine, studentTodayQuery, todayQuery, type Student } from '../../api/students.queries.ts';

interface RoutineChoiceProps {
  readonly student: Student;
  readonly chosen: string;
}

/** Which of a student's routines is sung today. */
export function RoutineChoice({ student, chosen }: RoutineChoiceProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const day = useQuery(sessionQuery).data?.today ?? '';
  const [isOpen, setOpen] = useState(false);
  const routines = useQuery({ ...routinesQuery(student.id), enabled: isOpen }).data ?? [];
  const choose = useMutation({
    mutationFn: (routineId: string) => setDayRoutine(student.id, day, routineId),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: todayQuery.queryKey });
      void queries.invalidateQueries({ queryKey: studentTodayQuery(student.id).queryKey });
    },
  });
  return (
    <Menu position="bottom-end" opened={isOpen} onChange={setOpen}>
      <Menu.Target>
        <ActionIcon size={24} aria-label={t('today.chooseRoutine', { name: student.name })} loading={choose.isPending}>
          <IconChevronDown size={16} aria-hidden />
        </ActionIcon>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.RadioGroup
          value={chosen}
          onChange={(routineId) => {
            choose.mutate(routineId);
          }}
        >
          {routines.map(({ id, name, minutes }) => (
            <Menu.RadioItem key={id} value={id} closeMenuOnClick>
              {name} · {t('today.minutes', { count: minutes })}
            </Menu.RadioItem>
          ))}
        </Menu.RadioGroup>
      </Menu.Dropdown>
    </Menu>
  );
}
