import { Button, TextInput } from '@mantine/core';
import type { Exercise } from '@soft-lark/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import type { ShelfExercise } from '../../api/shelf.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { staleOf, StaleWrite } from '../../ui/stale-write.tsx';
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

interface Narrower {
  readonly target: KeptFor;
  readonly label: string;
}

/** Where a change may be kept besides the shelf: for the student in hand, for the routine the teacher came from. */
function useNarrower(student: KeepBarProps['student'], routineId: string | null): readonly Narrower[] {
  const { t } = useTranslation();
  return [
    ...(student
      ? [
          {
            target: { kind: 'student', studentId: student.id } as const,
            label: t('shelf.sheet.keepStudent', { name: student.name }),
          },
        ]
      : []),
    ...(routineId === null
      ? []
      : [{ target: { kind: 'routine', routineId } as const, label: t('shelf.sheet.keepRoutine') }]),
  ];
}

interface CopyNameProps {
  readonly name: string;
  readonly onChange: (name: string) => void;
}

function CopyName({ name, onChange }: CopyNameProps): ReactElement {
  const { t } = useTranslation();
  return (
    <TextInput
      w={230}
      aria-label={t('shelf.sheet.copyName')}
      placeholder={t('shelf.sheet.copyName')}
      maxLength={120}
      value={name}
      onChange={({ currentTarget }) => {
        onChange(currentTarget.value);
      }}
    />
  );
}

/** Asks where a change belongs: to this routine, this student or the shelf; nothing is kept before. */
export function KeepBar({ draft, stored, student, routineId }: KeepBarProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const isNew = stored === null;
  const isShipped = stored !== null && stored.own === undefined;
  const [name, setName] = useState('');
  const keep = useMutation({
    mutationFn: ({ target, over }: { readonly target: KeptFor; readonly over?: number }) => {
      const named: Exercise = name.trim() !== '' ? { ...draft.exercise, name: name.trim() } : draft.exercise;
      return keepFor(target, named, stored, over);
    },
    onSuccess: async (kept) => {
      draft.reset();
      await Promise.all(['exercises', 'routines'].map((key) => queries.invalidateQueries({ queryKey: [key] })));
      await navigate(`/shelf/${kept.id}`, { replace: true });
    },
  });
  const stale = staleOf(keep.error) as ShelfExercise | null;
  const blocked = draft.error !== null || draft.problem !== null;
  const narrower = useNarrower(student, routineId);
  if (stale)
    return (
      <StaleWrite
        text={t('shelf.sheet.stale', { name: stale.name })}
        onTheirs={() => {
          draft.reset();
          keep.reset();
          void queries.invalidateQueries({ queryKey: ['exercises'] });
        }}
        onMine={() => {
          keep.mutate({ target: { kind: 'shelf' }, ...(stale.own && { over: stale.own.version }) });
        }}
      />
    );
  return (
    <div className={classes['keep']} role="region" aria-label={t('shelf.sheet.keepTitle')}>
      <span className={classes['keepText']}>
        <b>{t(isNew ? 'shelf.sheet.new' : 'shelf.sheet.changed')}</b>{' '}
        {draft.problem ??
          (draft.error ? t('shelf.sheet.unread') : t(isShipped ? 'shelf.sheet.copies' : 'shelf.sheet.where'))}
        <FormProblem error={keep.error} />
      </span>
      {isShipped && <CopyName name={name} onChange={setName} />}
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
      {!isNew &&
        narrower.map(({ target, label }) => (
          <Button
            key={target.kind}
            disabled={blocked}
            onClick={() => {
              keep.mutate({ target });
            }}
          >
            {label}
          </Button>
        ))}
      {!isNew && (
        <Button variant="subtle" onClick={draft.reset}>
          {t('settings.undo')}
        </Button>
      )}
    </div>
  );
}
