import { Button, Group, Menu, Modal, Select, Title } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { groupSettings, type Exercise, type GroupStep } from '@soft-lark/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { groupsQuery, removeGroup, type SingerGroup } from '../../api/groups.queries.ts';
import { addRoutine, routinesQuery, stepsOf, type Routine } from '../../api/routines.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { ConfirmDelete } from '../../ui/confirm-delete.tsx';
import { FormProblem } from '../../ui/form-problem.tsx';
import { GroupForm } from './group-form.tsx';
import { GroupSteps } from './group-steps.tsx';
import { useGroupSteps } from './use-group-steps.ts';
import classes from './groups.module.css';

interface GroupViewProps {
  readonly group: SingerGroup;
  readonly members: readonly Student[];
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** The routine as one singer leads it: kept to the keys in common, in that singer’s octave; steps without one left out. */
function ledSteps(routine: Routine, steps: readonly GroupStep[], singerId: string): Routine['steps'] {
  return stepsOf(
    routine.steps.flatMap((step) => {
      const found = steps.find(({ stepId }) => stepId === step.id);
      if (!found) return [];
      const settings = found.common ? groupSettings(found, singerId) : {};
      return settings ? [{ id: v7(), exerciseId: step.exerciseId, settings }] : [];
    }),
  );
}

/** A group with a routine of one of its singers, worked out for all of them. */
export function GroupView({ group, members, shelf }: GroupViewProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [isEditing, { open, close }] = useDisclosure(false);
  const all = useQuery(routinesQuery()).data ?? [];
  const routines = all.filter(({ studentId }) => group.members.includes(studentId));
  const [routineId, setRoutineId] = useState<string | null>(null);
  const routine = routines.find(({ id }) => id === routineId) ?? routines[0];
  const steps = useGroupSteps(members, routine, shelf);
  const nameOf = (id: string): string => members.find((member) => member.id === id)?.name ?? '';
  const lead = useMutation({
    mutationFn: (studentId: string) =>
      addRoutine({
        id: v7(),
        studentId,
        name: t('groups.ledName', { group: group.name }),
        kind: routine?.kind ?? 'lesson',
        minutes: routine?.minutes ?? 10,
        steps: routine ? ledSteps(routine, steps ?? [], studentId) : [],
      }),
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries({ queryKey: ['routines'] });
      await navigate(`/routines/${id}`);
    },
  });
  return (
    <>
      <div className={classes['heading']}>
        <div>
          <Title order={1} fz={32}>
            {group.name}
          </Title>
          <p>
            {members.map(({ id, name }, index) => (
              <span key={id}>
                {index > 0 && ', '}
                <Link to={`/students/${id}`}>{name}</Link>
              </span>
            ))}
          </p>
        </div>
        <Group>
          <Button onClick={open}>{t('groups.change')}</Button>
          <ConfirmDelete
            title={t('groups.remove')}
            question={t('groups.removeSure', { name: group.name })}
            remove={() => removeGroup(group.id)}
            onGone={async () => {
              await navigate('/students');
              await queries.invalidateQueries({ queryKey: groupsQuery.queryKey });
            }}
          >
            {(ask) => (
              <Button variant="subtle" c="var(--brick-text)" onClick={ask}>
                {t('groups.remove')}
              </Button>
            )}
          </ConfirmDelete>
        </Group>
      </div>
      {members.length < 2 && <p role="status">{t('groups.alone')}</p>}
      {!routine && <p>{t('groups.noRoutine')}</p>}
      {routine && (
        <Group align="flex-end" className={classes['choice'] ?? ''}>
          <Select
            w={360}
            label={t('groups.routine')}
            data={routines.map(({ id, name, studentId }) => ({ value: id, label: `${name} · ${nameOf(studentId)}` }))}
            value={routine.id}
            onChange={setRoutineId}
          />
          <Menu position="bottom-start" width={260}>
            <Menu.Target>
              <Button disabled={!steps} loading={lead.isPending}>
                {t('groups.lead')}
              </Button>
            </Menu.Target>
            <Menu.Dropdown>
              <Menu.Label>{t('groups.leadHint')}</Menu.Label>
              {members.map(({ id, name }) => (
                <Menu.Item
                  key={id}
                  onClick={() => {
                    lead.mutate(id);
                  }}
                >
                  {name}
                </Menu.Item>
              ))}
            </Menu.Dropdown>
          </Menu>
        </Group>
      )}
      <FormProblem error={lead.error} />
      {steps && <GroupSteps steps={steps} members={members} />}
      <Modal opened={isEditing} onClose={close} title={t('groups.change')} size="lg">
        <GroupForm group={group} onDone={close} onCancel={close} />
      </Modal>
    </>
  );
}
