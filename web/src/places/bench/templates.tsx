import { ActionIcon, Button, Group, Radio, Stack, TextInput } from '@mantine/core';
import { recipeParts, templateSteps, type Exercise } from '@soft-lark/core';
import { IconTrash } from '@tabler/icons-react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { stepsOf } from '../../api/routines.queries.ts';
import { unreadableQuery } from '../../api/unreadable.queries.ts';
import { keepTemplate, removeTemplate, templatesQuery, type Template } from '../../api/templates.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { UnreadableRows } from '../../ui/unreadable-rows.tsx';
import type { EditedRoutine } from './bench.reducer.ts';
import classes from './bench.module.css';

interface TemplatesProps {
  readonly routine: EditedRoutine;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

const WAYS = ['recipe', 'as-it-is'] as const;
type Way = (typeof WAYS)[number];

/** What is kept already, each with a way to let it go. */
function Kept({ templates }: { readonly templates: readonly Template[] }): ReactElement | null {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const remove = useMutation({
    mutationFn: removeTemplate,
    onSettled: () => queries.invalidateQueries({ queryKey: templatesQuery.queryKey }),
  });
  const unreadable = useQuery(unreadableQuery('templates')).data ?? [];
  if (templates.length + unreadable.length === 0) return null;
  return (
    <>
      <UnreadableRows rows={unreadable} />
      <FormProblem error={remove.error} />
      <ul className={classes['templates']} aria-label={t('bench.templates.kept')}>
        {templates.map(({ id, name, parts, minutes }) => (
          <li key={id}>
            <b>{name}</b>
            <span>
              {t(`bench.templates.${parts.length > 0 ? 'recipe' : 'as-it-is'}`)} ·{' '}
              {t('today.minutes', { count: minutes })}
            </span>
            <ActionIcon
              aria-label={t('bench.templates.remove', { name })}
              onClick={() => {
                remove.mutate(id);
              }}
            >
              <IconTrash size={17} />
            </ActionIcon>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Keeps the routine as a template: as a recipe that is filled for each voice, or with the steps it has; and what is kept already. */
export function Templates({ routine, shelf, close }: TemplatesProps & { readonly close: () => void }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [name, setName] = useState(routine.name);
  const [way, setWay] = useState<Way>('recipe');
  const templates = useQuery(templatesQuery).data ?? [];
  const { kind, minutes, steps } = routine;
  const keep = useMutation({
    mutationFn: (wanted: string) =>
      keepTemplate({
        id: v7(),
        name: wanted.trim(),
        kind,
        minutes,
        steps: way === 'as-it-is' ? stepsOf(templateSteps(steps, v7)) : [],
        parts:
          way === 'recipe'
            ? recipeParts(steps, shelf).map(({ goals, ...part }) => ({ ...part, goals: [...goals] }))
            : [],
      }),
    onSuccess: async (_, wanted) => {
      // Who types the next name already does not lose it.
      setName((now) => (now === wanted ? '' : now));
      await queries.invalidateQueries({ queryKey: templatesQuery.queryKey });
    },
  });
  return (
    <>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(name);
        }}
      >
        <Stack gap="sm">
          <TextInput
            label={t('bench.templates.name')}
            maxLength={120}
            value={name}
            onChange={({ currentTarget }) => {
              setName(currentTarget.value);
            }}
          />
          <Radio.Group
            label={t('bench.templates.way')}
            value={way}
            onChange={(value) => {
              setWay(WAYS.find((one) => one === value) ?? 'recipe');
            }}
          >
            <Stack gap={6} pt={6}>
              {WAYS.map((one) => (
                <Radio
                  key={one}
                  value={one}
                  label={t(`bench.templates.${one}`)}
                  description={t(`bench.templates.about.${one}`)}
                />
              ))}
            </Stack>
          </Radio.Group>
          <FormProblem error={keep.error} />
          <Group justify="flex-end">
            <Button onClick={close}>{t('app.close')}</Button>
            <Button
              type="submit"
              variant="filled"
              disabled={name.trim() === '' || steps.length === 0}
              loading={keep.isPending}
            >
              {t('bench.templates.keep')}
            </Button>
          </Group>
        </Stack>
      </form>
      <Kept templates={templates} />
    </>
  );
}
