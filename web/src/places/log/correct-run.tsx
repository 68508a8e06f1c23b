import { Button, Fieldset, Group, Menu, SegmentedControl, Stack, Textarea } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { isSameKey, MARKS, STOP_MARKS, type CorrectedKey } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { correctRun, type RunDetail } from '../../api/runs.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import classes from './log.module.css';

/** Marks that can be given and taken afterwards; on the others rests what is allowed since. */
const MARKS_TO_GIVE = MARKS.filter((mark) => !STOP_MARKS.has(mark));
const EASE = ['1', '2', '3', '4', '5'] as const;

type Key = RunDetail['sung'][number];

interface KeyMenuProps {
  readonly name: string;
  readonly value: CorrectedKey;
  readonly onChange: (key: CorrectedKey) => void;
}

/** One key: whether it was sung, and its marks. */
function KeyMenu({ name, value, onChange }: KeyMenuProps): ReactElement {
  const { t } = useTranslation();
  const { outcome, marks } = value;
  const isSung = outcome === 'sung';
  const said = [isSung ? null : t('log.skipped'), ...marks.map((mark) => t(`piano.marks.${mark}`))].filter(Boolean);
  const toggled = (mark: Key['marks'][number]): CorrectedKey['marks'] =>
    marks.includes(mark) ? marks.filter((other) => other !== mark) : [...marks, mark];
  return (
    <Menu closeOnItemClick={false} withinPortal>
      <Menu.Target>
        <Button size="sm" variant="default" data-outcome={outcome} className={classes['key'] ?? ''}>
          {name}
          {said.length > 0 && <small>{said.join(', ')}</small>}
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.CheckboxItem
          checked={isSung}
          onChange={() => {
            onChange({ ...value, outcome: isSung ? 'skipped' : 'sung' });
          }}
        >
          {t('log.correct.wasSung')}
        </Menu.CheckboxItem>
        <Menu.Divider />
        {MARKS_TO_GIVE.map((mark) => (
          <Menu.CheckboxItem
            key={mark}
            checked={marks.includes(mark)}
            onChange={() => {
              onChange({ ...value, marks: toggled(mark) });
            }}
          >
            {t(`piano.marks.${mark}`)}
          </Menu.CheckboxItem>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}

interface CorrectRunProps {
  readonly run: RunDetail;
  readonly nameOf: (key: Key) => string;
  /** The steps of the run, each with its keys. */
  readonly steps: readonly { readonly id: string; readonly name: string; readonly sung: readonly Key[] }[];
  readonly onDone: () => void;
}

const asKey = ({ id, outcome, marks }: Key): CorrectedKey => ({ id, outcome, marks });

/** Corrects a run that is over: ease, line, and what became of each key. What was there before stays beside it. */
export function CorrectRun({ run, nameOf, steps, onDone }: CorrectRunProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const form = useForm({
    initialValues: {
      ease: run.ease === null ? '' : String(run.ease),
      note: run.note,
      keys: Object.fromEntries(run.sung.map((key) => [key.id, asKey(key)])),
    },
  });
  const save = useMutation({
    mutationFn: (values: typeof form.values) =>
      correctRun(run.id, {
        id: v7(),
        ...(values.ease !== '' && { ease: Number(values.ease) }),
        note: values.note,
        keys: run.sung.flatMap((key) => {
          const wanted = values.keys[key.id];
          return wanted && !isSameKey(key, wanted) ? [{ ...wanted, marks: [...wanted.marks] }] : [];
        }),
      }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['runs'] });
      onDone();
    },
  });
  return (
    <form
      aria-label={t('log.correct.title')}
      onSubmit={form.onSubmit((values) => {
        save.mutate(values);
      })}
    >
      <Stack gap="md" mt="md">
        <div>
          <p className={classes['label']}>{t('log.headers.ease')}</p>
          <SegmentedControl
            aria-label={t('log.headers.ease')}
            data={EASE.map((value) => ({ value, label: t(`piano.easeWords.${value}`) }))}
            {...form.getInputProps('ease')}
          />
        </div>
        <Textarea label={t('log.headers.note')} autosize maxLength={2000} {...form.getInputProps('note')} />
        {steps.map(({ id, name, sung }) => (
          <Fieldset key={id} legend={name}>
            <Group gap="xs">
              {sung.map((key) => (
                <KeyMenu
                  key={key.id}
                  name={nameOf(key)}
                  value={form.values.keys[key.id] ?? asKey(key)}
                  onChange={(next) => {
                    form.setFieldValue('keys', { ...form.values.keys, [key.id]: next });
                  }}
                />
              ))}
            </Group>
          </Fieldset>
        ))}
        <FormProblem error={save.error} />
        <Group>
          <Button type="submit" variant="filled" loading={save.isPending}>
            {t('log.correct.save')}
          </Button>
          <Button onClick={onDone}>{t('app.cancel')}</Button>
        </Group>
      </Stack>
    </form>
  );
}
