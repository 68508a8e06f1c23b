import { Button, Group, Popover, Select, Stack } from '@mantine/core';
import { placeForStep } from '@soft-lark/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { changeRoutine, routinesQuery, type Routine } from '../../api/routines.queries.ts';
import type { Shelf } from '../../api/shelf.queries.ts';
import { studentsQuery } from '../../api/students.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { Shape } from '../../ui/shape.tsx';

interface AddToRoutineProps {
  readonly exerciseIds: readonly string[];
  readonly shelf: Shelf;
}

/** A routine with exercises more, each in the place where it belongs. */
function withSteps(routine: Routine, exerciseIds: readonly string[], shelf: Shelf): Routine['steps'] {
  return exerciseIds.reduce<Routine['steps']>((steps, exerciseId) => {
    const at = placeForStep(steps, exerciseId, shelf);
    return [...steps.slice(0, at), { id: v7(), exerciseId, settings: {} }, ...steps.slice(at)];
  }, routine.steps);
}

function ChooseRoutine({ exerciseIds, shelf }: AddToRoutineProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const routines = useQuery(routinesQuery());
  const students = useQuery(studentsQuery);
  const [chosen, choose] = useState<string | null>(null);
  const add = useMutation({
    mutationFn: (routine: Routine) => {
      const { id, version, name, kind, minutes } = routine;
      return changeRoutine(id, { version, name, kind, minutes, steps: withSteps(routine, exerciseIds, shelf) });
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['routines'] }),
  });
  const error = routines.error ?? students.error;
  if (error) return <FormProblem error={error} />;
  if (!routines.data || !students.data) return <Shape rows={1} height={60} />;
  const routine = routines.data.find(({ id }) => id === chosen);
  const groups = students.data.map(({ id, name }) => ({
    group: name,
    items: routines.data
      .filter(({ studentId }) => studentId === id)
      .map((one) => ({ value: one.id, label: one.name === '' ? t('bench.untitled') : one.name })),
  }));
  return (
    <Stack gap="sm">
      <Select
        searchable
        comboboxProps={{ withinPortal: false }}
        label={t('shelf.toRoutine.which')}
        nothingFoundMessage={t('shelf.toRoutine.none')}
        data={groups.filter(({ items }) => items.length > 0)}
        value={chosen}
        onChange={(id) => {
          add.reset();
          choose(id);
        }}
      />
      <FormProblem error={add.error} />
      {add.isSuccess ? (
        <p role="status">
          {t('shelf.toRoutine.done', { count: exerciseIds.length })}{' '}
          <Link to={`/routines/${add.data.id}`}>{t('shelf.toRoutine.open')}</Link>
        </p>
      ) : (
        <Group justify="flex-end">
          <Button
            variant="filled"
            disabled={!routine}
            loading={add.isPending}
            onClick={() => {
              if (routine) add.mutate(routine);
            }}
          >
            {t('shelf.toRoutine.add')}
          </Button>
        </Group>
      )}
    </Stack>
  );
}

/** Puts exercises into a routine of some student, without leaving the shelf. */
export function AddToRoutine(props: AddToRoutineProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Popover width={340} position="bottom-start" trapFocus>
      <Popover.Target>
        <Button>{t('shelf.toRoutine.title')}</Button>
      </Popover.Target>
      <Popover.Dropdown>
        <ChooseRoutine {...props} />
      </Popover.Dropdown>
    </Popover>
  );
}
