import { Button } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { importsQuery, refreshShelf, undoImport } from '../../api/shelf.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { momentText } from '../../text/times.ts';
import classes from './sheet.module.css';

/** Imports that were taken in; each can be taken back as one. */
export function ImportsSoFar(): ReactElement | null {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const imports = useQuery(importsQuery).data ?? [];
  const undo = useMutation({
    mutationFn: undoImport,
    onSuccess: () => refreshShelf(queries),
  });
  if (imports.length === 0) return null;
  return (
    <section className={classes['imports']}>
      <h2>{t('shelf.importing.soFar')}</h2>
      <FormProblem error={undo.error} />
      <ul>
        {imports.map(({ id, name, items, createdAt, isUndone }) => (
          <li key={id}>
            <b>{name}</b> {momentText(createdAt)} · {t('shelf.heading', { count: items })}
            {isUndone ? (
              <small>{t('shelf.importing.undone')}</small>
            ) : (
              <Button
                size="xs"
                loading={undo.isPending && undo.variables === id}
                onClick={() => {
                  undo.mutate(id);
                }}
              >
                {t('shelf.importing.undo')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
