import { Button, Menu } from '@mantine/core';
import { fitRoutine, groupSettings } from '@soft-lark/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import type { SingerGroup } from '../../api/groups.queries.ts';
import { addRoutine, stepsOf, type Routine } from '../../api/routines.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import type { LaidForGroup } from './use-group-steps.ts';

interface LeadMenuProps {
  readonly group: SingerGroup;
  /** What the singers are called here, by id. */
  readonly names: ReadonlyMap<string, string>;
  readonly laid: LaidForGroup | undefined;
}

/**
 * The routine as one singer leads it: kept to the keys in common, in that singer’s octave; steps without one left out,
 * and the rest fitted to the minutes.
 */
function ledSteps({ routine, steps, singers }: LaidForGroup, singerId: string): Routine['steps'] {
  const led = routine.steps.flatMap((step) => {
    const found = steps.find(({ stepId }) => stepId === step.id);
    if (!found) return [];
    const settings = found.common ? groupSettings(found, singerId) : {};
    return settings ? [{ id: v7(), exerciseId: step.exerciseId, settings }] : [];
  });
  const leader = singers.find(({ id }) => id === singerId);
  return stepsOf(leader ? fitRoutine(led, routine.minutes * 60, leader.context, { mayDrop: true }).steps : led);
}

/** Puts a routine on the bench that is the group’s, led by one of its singers. */
export function LeadMenu({ group, names, laid }: LeadMenuProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const lead = useMutation({
    mutationFn: ({ studentId, of }: { readonly studentId: string; readonly of: LaidForGroup }) =>
      addRoutine({
        id: v7(),
        studentId,
        groupId: group.id,
        name: t('groups.ledName', { group: group.name }),
        kind: of.routine.kind,
        minutes: of.routine.minutes,
        steps: ledSteps(of, studentId),
      }),
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries({ queryKey: ['routines'] });
      await navigate(`/routines/${id}`);
    },
  });
  return (
    <>
      <Menu position="bottom-start" width={260}>
        <Menu.Target>
          <Button disabled={!laid} loading={lead.isPending}>
            {t('groups.lead')}
          </Button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Label>{t('groups.leadHint')}</Menu.Label>
          {[...names].map(([studentId, name]) => (
            <Menu.Item
              key={studentId}
              onClick={() => {
                if (laid) lead.mutate({ studentId, of: laid });
              }}
            >
              <bdi>{name}</bdi>
            </Menu.Item>
          ))}
        </Menu.Dropdown>
      </Menu>
      <FormProblem error={lead.error} />
    </>
  );
}
