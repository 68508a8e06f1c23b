import { queryOptions } from '@tanstack/react-query';
import {
  referenceOf,
  songDemands,
  songInOctaveOf,
  songSchema,
  voiceOf,
  type Song,
  type SongDemands,
  type VoiceFile,
} from '@soft-lark/core';
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

/** What the piece on a voice file asks of that voice, in its octave; nothing where no song has its name. */
export function pieceInHand(voice: VoiceFile, songs: readonly KeptSong[] = []): SongDemands | undefined {
  const piece = voice.piece?.trim().toLocaleLowerCase();
  const found = piece && songs.find(({ song }) => song.name.trim().toLocaleLowerCase() === piece);
  if (!found) return undefined;
  return songInOctaveOf(songDemands(found.song), voice.measured ?? referenceOf(voiceOf(voice)).comfortable);
}

export const keepSong = ({ id, version, song }: KeptSong): Promise<unknown> =>
  dataOf(api.PUT('/api/songs/{songId}', { params: { path: { songId: id } }, body: { version, song } }));

export const removeSong = (songId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/songs/{songId}', { params: { path: { songId } } }));
