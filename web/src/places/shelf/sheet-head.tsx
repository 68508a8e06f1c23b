import { Button, TextInput, Title } from '@mantine/core';
import { IconPlayerPlay, IconPlayerStop } from '@tabler/icons-react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { archiveExercise, type Shelf, type ShelfExercise } from '../../api/shelf.queries.ts';
import { KeyCap } from '../../ui/key-cap.tsx';
import { AddToRoutine } from './add-to-routine.tsx';
import { ExportMenu } from './export-menu.tsx';
import type { Draft } from './use-draft.ts';
import classes from './sheet.module.css';

interface SheetHeadProps {
  readonly draft: Draft;
  readonly stored: ShelfExercise | null;
  readonly shelf: Shelf;
  /** The tonic the exports are written from, MIDI. */
  readonly tonic: number;
  readonly isSounding: boolean;
  readonly onHear: () => void;
  readonly isEditing: boolean;
  readonly onEdit: (isEditing: boolean) => void;
}

/** Name of an exercise, and what can be done with it as a whole. */
export function SheetHead(props: SheetHeadProps): ReactElement {
  const { draft, stored, shelf, tonic, isSounding, onHear, isEditing, onEdit } = props;
  const { exercise, readable, pattern } = draft;
  const { t } = useTranslation();
  const queries = useQueryClient();
  const archive = useMutation({
    mutationFn: (isArchived: boolean) => archiveExercise(exercise.id, isArchived),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['exercises'] }),
  });
  return (
    <div className={classes['head']}>
      <Title order={1} fz={32}>
        {exercise.name}
      </Title>
      {stored?.own && <small>{t(stored.own.isArchived ? 'shelf.sheet.archived' : 'shelf.sheet.own')}</small>}
      <Button
        leftSection={isSounding ? <IconPlayerStop size={18} /> : <IconPlayerPlay size={18} />}
        rightSection={<KeyCap>␣</KeyCap>}
        disabled={pattern === null}
        onClick={onHear}
      >
        {t(isSounding ? 'shelf.sheet.stop' : 'shelf.sheet.hear')}
      </Button>
      <ExportMenu exercise={readable} pattern={pattern} tonic={tonic} />
      {stored && <AddToRoutine exerciseIds={[stored.id]} shelf={shelf} />}
      {stored?.own && (
        <Button
          loading={archive.isPending}
          onClick={() => {
            archive.mutate(!stored.own?.isArchived);
          }}
        >
          {t(stored.own.isArchived ? 'shelf.sheet.bringBack' : 'shelf.sheet.putAway')}
        </Button>
      )}
      <Button
        variant={isEditing ? 'default' : 'filled'}
        onClick={() => {
          onEdit(!isEditing);
        }}
      >
        {t(isEditing ? 'shelf.sheet.done' : 'shelf.sheet.edit')}
      </Button>
    </div>
  );
}

/** The full name, while the sheet is edited. */
export function NameField({ draft }: { readonly draft: Draft }): ReactElement {
  const { t } = useTranslation();
  const { exercise } = draft;
  return (
    <TextInput
      className={classes['nameField'] ?? ''}
      label={t('shelf.sheet.place.name')}
      required
      maxLength={120}
      value={exercise.name}
      error={exercise.name.trim() === '' ? t('shelf.sheet.place.noName') : undefined}
      onChange={({ currentTarget }) => {
        draft.change({ name: currentTarget.value });
      }}
    />
  );
}
