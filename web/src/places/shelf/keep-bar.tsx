import { Button, Group, TextInput } from '@mantine/core';
import type { Exercise } from '@soft-lark/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { ApiProblem } from '../../api/problem.ts';
import type { ShelfExercise } from '../../api/shelf.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { keepFor, type KeptFor } from './keep-exercise.ts';
import type { Draft } from './use-draft.ts';
import classes from './sheet.module.css';

interface KeepBarProps {
  readonly draft: Draft;
  readonly stored: ShelfExercise | null;
  /** The student in hand, for whom alone it may be kept. */
  readonly student: { readonly id: string; readonly name: string } | null;
  /** The routine the teacher came from. */
  readonly routineId: string | null;
}

/** Asks where a change belongs: to this routine, this student or the shelf; nothing is kept before. */
export function KeepBar({ draft, stored, student, routineId }: KeepBarProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const isNew = stored === null;
  const isShipped = stored !== null && stored.own === undefined;
  const [name, setName] = useState<string>();
  const keep = useMutation({
    mutationFn: ({ target, over }: { readonly target: KeptFor; readonly over?: number }) => {
      const named: Exercise = name?.trim() ? { ...draft.exercise, name: name.trim() } : draft.exercise;
      return keepFor(target, named, stored, over);
    },
    onSuccess: async (kept) => {
      draft.reset();
      await Promise.all(['exercises', 'routines'].map((key) => queries.invalidateQueries({ queryKey: [key] })));
      await navigate(`/shelf/${kept.id}`, { replace: true });
    },
  });
  const stale =
    keep.error instanceof ApiProblem && keep.error.code === 'STALE_WRITE'
      ? (keep.error.current as ShelfExercise)
      : null;
  const blocked = draft.error !== null || draft.problem !== null;
  if (stale)
    return (
      <div className={classes['keep']} role="alert">
        <p>{t('shelf.sheet.stale', { name: stale.name })}</p>
        <Group>
          <Button
            onClick={() => {
              draft.reset();
              keep.reset();
              void queries.invalidateQueries({ queryKey: ['exercises'] });
            }}
          >
            {t('students.takeTheirs')}
          </Button>
          <Button
            variant="filled"
            onClick={() => {
              keep.mutate({ target: { kind: 'shelf' }, ...(stale.own && { over: stale.own.version }) });
            }}
          >
            {t('students.saveMine')}
          </Button>
        </Group>
      </div>
    );
  return (
    <div className={classes['keep']} role="region" aria-label={t('shelf.sheet.keepTitle')}>
      <span className={classes['keepText']}>
        <b>{t(isNew ? 'shelf.sheet.new' : 'shelf.sheet.changed')}</b>{' '}
        {draft.problem ??
          (draft.error ? t('shelf.sheet.unread') : t(isShipped ? 'shelf.sheet.copies' : 'shelf.sheet.where'))}
        <FormProblem error={keep.error} />
      </span>
      {isShipped && (
        <TextInput
          w={230}
          aria-label={t('shelf.sheet.copyName')}
          placeholder={t('shelf.sheet.copyName')}
          maxLength={120}
          value={name ?? ''}
          onChange={({ currentTarget }) => {
            setName(currentTarget.value);
          }}
        />
      )}
      <Button
        variant="filled"
        disabled={blocked}
        loading={keep.isPending}
        onClick={() => {
          keep.mutate({ target: { kind: 'shelf' } });
        }}
      >
        {t('shelf.sheet.keepShelf')}
      </Button>
      {student && !isNew && (
        <Button
          disabled={blocked}
          onClick={() => {
            keep.mutate({ target: { kind: 'student', studentId: student.id } });
          }}
        >
          {t('shelf.sheet.keepStudent', { name: student.name })}
        </Button>
      )}
      {routineId !== null && !isNew && (
        <Button
          disabled={blocked}
          onClick={() => {
            keep.mutate({ target: { kind: 'routine', routineId } });
          }}
        >
          {t('shelf.sheet.keepRoutine')}
        </Button>
      )}
      {!isNew && (
        <Button variant="subtle" onClick={draft.reset}>
          {t('settings.undo')}
        </Button>
      )}
    </div>
  );
}
