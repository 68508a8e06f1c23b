import { Button, Group, Modal, Select, Title } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import type { Exercise } from '@soft-lark/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { groupsQuery, removeGroup, type SingerGroup } from '../../api/groups.queries.ts';
import { routinesQuery, type Routine } from '../../api/routines.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { ConfirmDelete } from '../../ui/confirm-delete.tsx';
import { toldApart } from '../../ui/told-apart.ts';
import { GroupForm } from './group-form.tsx';
import { GroupSteps } from './group-steps.tsx';
import { LeadMenu } from './lead-menu.tsx';
import { useGroupSteps } from './use-group-steps.ts';
import classes from './groups.module.css';

interface GroupViewProps {
  readonly group: SingerGroup;
  readonly members: readonly Student[];
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** The routines that are this group’s own. */
function GroupRoutines({ routines }: { readonly routines: readonly Routine[] }): ReactElement | null {
  const { t } = useTranslation();
  if (routines.length === 0) return null;
  return (
    <section className={classes['own']} aria-label={t('groups.own')}>
      <h2>{t('groups.own')}</h2>
      {routines.map(({ id, name, minutes }) => (
        <div key={id}>
          <Link to={`/routines/${id}`}>{name}</Link>
          <span>{t('today.minutes', { count: minutes })}</span>
          <Button component={Link} to={`/sing/${id}`} aria-label={`${t('today.sing')}, ${name}`}>
            {t('today.sing')}
          </Button>
        </div>
      ))}
    </section>
  );
}

/** A group with a routine of one of its singers, worked out for all of them. */
export function GroupView({ group, members, shelf }: GroupViewProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [isEditing, { open, close }] = useDisclosure(false);
  const all = useQuery(routinesQuery()).data ?? [];
  const routines = all.filter(({ studentId, groupId }) => groupId === undefined && group.members.includes(studentId));
  const [routineId, setRoutineId] = useState<string | null>(null);
  const routine = routines.find(({ id }) => id === routineId) ?? routines[0];
  const laid = useGroupSteps(members, routine, shelf);
  const names = toldApart(members, t);
  return (
    <>
      <div className={classes['heading']}>
        <div>
          <Title order={1} fz={32}>
            {group.name}
          </Title>
          <p>
            {[...names].map(([id, name], index) => (
              <span key={id}>
                {index > 0 && ', '}
                <Link to={`/students/${id}`}>
                  <bdi>{name}</bdi>
                </Link>
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
      <GroupRoutines routines={all.filter(({ groupId }) => groupId === group.id)} />
      {!routine && <p>{t('groups.noRoutine')}</p>}
      {routine && (
        <Group align="flex-end" className={classes['choice'] ?? ''}>
          <Select
            w={360}
            label={t('groups.routine')}
            data={routines.map(({ id, name, studentId }) => ({
              value: id,
              label: `${name} · ${names.get(studentId) ?? ''}`,
            }))}
            value={routine.id}
            onChange={setRoutineId}
          />
          <LeadMenu group={group} names={names} laid={laid} />
        </Group>
      )}
      {laid && <GroupSteps steps={laid.steps} members={members} names={names} />}
      <Modal opened={isEditing} onClose={close} title={t('groups.change')} size="lg">
        <GroupForm group={group} onDone={close} onCancel={close} />
      </Modal>
    </>
  );
}
