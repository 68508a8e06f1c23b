import { songSchema, type Song } from '@soft-lark/core';
import { readStored, unreadable, type StoredKind, type UnreadableDto } from '../common/index.ts';
import type { StoredSong, StoredTune } from './song.entity.ts';

const SONGS: StoredKind<Song> = { what: 'song', schema: songSchema };

/** A song as the core reads it today; null where it cannot be read. */
export function readSongBody({ schema, song }: StoredTune): Song | null {
  return readStored(SONGS, { schema, value: song });
}

/** What is to be said of a song that cannot be read; null where it can. */
export function unreadableSong({ id, name, body }: Pick<StoredSong, 'id' | 'name' | 'body'>): UnreadableDto | null {
  return unreadable({ id, name }, SONGS, { schema: body.schema, value: body.song });
}
