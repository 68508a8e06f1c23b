import { queryOptions } from '@tanstack/react-query';
import { songSchema, type Song } from '@soft-lark/core';
import { api, dataOf } from './client.ts';

/** A song as it is kept in the studio. */
export interface KeptSong {
  readonly id: string;
  readonly version: number;
  readonly song: Song;
}

export const songsQuery = queryOptions({
  queryKey: ['songs'],
  queryFn: () => dataOf(api.GET('/api/songs')),
  select: (songs): readonly KeptSong[] =>
    songs.flatMap(({ id, version, ...song }) => {
      const read = songSchema.safeParse(song);
      return read.success ? [{ id, version, song: read.data }] : [];
    }),
});

export const keepSong = ({ id, version, song }: KeptSong): Promise<unknown> =>
  dataOf(api.PUT('/api/songs/{songId}', { params: { path: { songId: id } }, body: { version, song } }));

export const removeSong = (songId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/songs/{songId}', { params: { path: { songId } } }));
