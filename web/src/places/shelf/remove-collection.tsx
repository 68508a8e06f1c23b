import { Button } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { removeCollection, type Collection } from '../../api/shelf.queries.ts';
import { ConfirmDelete } from '../../ui/confirm-delete.tsx';

interface RemoveCollectionProps {
  readonly collection: Collection;
  readonly onGone: () => void;
}

/** Takes a collection away; its exercises stay where they are. */
export function RemoveCollection({ collection, onGone }: RemoveCollectionProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  return (
    <ConfirmDelete
      title={t('shelf.removeCollection')}
      question={t('shelf.removeCollectionSure', { name: collection.name })}
      remove={() => removeCollection(collection.id)}
      onGone={async () => {
        onGone();
        await queries.invalidateQueries({ queryKey: ['collections'] });
      }}
    >
      {(open) => (
        <Button variant="subtle" onClick={open}>
          {t('shelf.removeCollection')}
        </Button>
      )}
    </ConfirmDelete>
  );
}
