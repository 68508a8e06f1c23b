import { Button, Group, ScrollArea, Table } from '@mantine/core';
import { planImport, VERDICTS, type ExerciseCollection, type ReadExercise, type Verdict } from '@soft-lark/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { say } from '../../text/say.ts';
import { exerciseOf, refreshShelf, takeImport, type Shelf } from '../../api/shelf.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import classes from './sheet.module.css';

/** Rows of the preview at once; the counts tell the rest. */
const MOST_ROWS = 200;

interface ImportItemsProps {
  readonly name: string;
  readonly items: readonly ReadExercise[];
  readonly collections: readonly ExerciseCollection[];
  readonly shelf: Shelf;
  readonly onDone: () => void;
}

function PlanTable({ rows }: { readonly rows: ReturnType<typeof planImport> }): ReactElement {
  const { t } = useTranslation();
  return (
    <ScrollArea.Autosize mah={340}>
      <Table verticalSpacing={5}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>{t('shelf.importing.place')}</Table.Th>
            <Table.Th>{t('shelf.headers.name')}</Table.Th>
            <Table.Th>{t('shelf.importing.verdict')}</Table.Th>
            <Table.Th>{t('shelf.importing.reason')}</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {rows.map(({ index, name: item, verdict, reason }) => (
            <Table.Tr key={index} data-verdict={verdict}>
              <Table.Td>{index + 1}</Table.Td>
              <Table.Td>{item}</Table.Td>
              <Table.Td>{t(`shelf.importing.words.${verdict}`)}</Table.Td>
              <Table.Td>{reason && say(reason)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </ScrollArea.Autosize>
  );
}

/** A file of exercises before it is taken in: each item new, the same, changed or refused, with the reason. */
export function ImportItems({ name, items, collections, shelf, onDone }: ImportItemsProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [shown, setShown] = useState<Verdict | null>(null);
  const [importId] = useState(() => v7());
  const cancel = useRef(new AbortController());
  const plan = useMemo(() => {
    const alone = new Map([...shelf].map(([id, exercise]) => [id, exerciseOf(exercise)]));
    return planImport(items, alone, (id) => shelf.get(id)?.own !== undefined);
  }, [items, shelf]);
  const taken = plan.flatMap(({ verdict, exercise }) =>
    exercise && (verdict === 'new' || verdict === 'changed') ? [exercise] : [],
  );
  const take = useMutation({
    mutationFn: () => {
      cancel.current = new AbortController();
      const body = { id: importId, name, exercises: taken, collections: collections.map((one) => ({ ...one })) };
      return takeImport(body, cancel.current.signal);
    },
    onSuccess: async () => {
      await refreshShelf(queries);
      onDone();
    },
  });
  const rows = plan.filter(({ verdict }) => shown === null || verdict === shown);
  return (
    <section className={classes['preview']} aria-label={t('shelf.importing.preview')}>
      <Group>
        {VERDICTS.map((verdict) => {
          const count = plan.filter((item) => item.verdict === verdict).length;
          return (
            <Button
              key={verdict}
              disabled={count === 0}
              aria-pressed={shown === verdict}
              variant={shown === verdict ? 'light' : 'default'}
              onClick={() => {
                setShown(shown === verdict ? null : verdict);
              }}
            >
              {t(`shelf.importing.verdicts.${verdict}`, { count })}
            </Button>
          );
        })}
        {collections.length > 0 && <span>{t('shelf.importing.collections', { count: collections.length })}</span>}
      </Group>
      <PlanTable rows={rows.slice(0, MOST_ROWS)} />
      {rows.length > MOST_ROWS && <p>{t('shelf.importing.more', { count: rows.length - MOST_ROWS })}</p>}
      <FormProblem error={take.error} />
      <Group>
        <Button
          variant="filled"
          disabled={taken.length === 0}
          loading={take.isPending}
          onClick={() => {
            take.mutate();
          }}
        >
          {t('shelf.importing.take', { count: taken.length })}
        </Button>
        <Button
          onClick={() => {
            if (take.isPending) cancel.current.abort();
            else onDone();
          }}
        >
          {t('app.cancel')}
        </Button>
      </Group>
    </section>
  );
}
