import { Button } from '@mantine/core';
import { barCount } from '@soft-lark/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { removeSong, songsQuery } from '../../api/songs.queries.ts';
import { unreadableQuery } from '../../api/unreadable.queries.ts';
import { ConfirmDelete } from '../../ui/confirm-delete.tsx';
import { UnreadableRows } from '../../ui/unreadable-rows.tsx';
import { writeNote } from '../../text/note-names.ts';
import classes from './sheet.module.css';

/** Songs that are kept in the studio; bars of them become patterns on an exercise's sheet. */
export function SongsKept(): ReactElement | null {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const songs = useQuery(songsQuery).data ?? [];
  const unreadable = useQuery(unreadableQuery('songs')).data ?? [];
  if (songs.length + unreadable.length === 0) return null;
  return (
    <section className={classes['preview']} aria-label={t('shelf.importing.songs')}>
      <h2>{t('shelf.importing.songs')}</h2>
      <UnreadableRows rows={unreadable} />
      <ul className={classes['songs']}>
        {songs.map(({ id, song }) => {
          const notes = song.events.flatMap(({ midi }) => midi ?? []);
          return (
            <li key={id}>
              <b>{song.name}</b>
              <span>
                {t('shelf.importing.songFacts', {
                  count: barCount(song.events, song),
                  low: writeNote(Math.min(...notes)),
                  high: writeNote(Math.max(...notes)),
                })}
              </span>
              <ConfirmDelete
                title={t('shelf.importing.removeSong')}
                question={t('shelf.importing.removeSongSure', { name: song.name })}
                remove={() => removeSong(id)}
                onGone={() => queries.invalidateQueries({ queryKey: ['songs'] })}
              >
                {(open) => (
                  <Button size="compact-md" variant="subtle" onClick={open}>
                    {t('shelf.importing.removeSong')}
                  </Button>
                )}
              </ConfirmDelete>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
