import { songSchema, type Song } from '@soft-lark/core';
import { readStored, unreadable, type UnreadableDto } from '../common/index.ts';
import type { StoredSong, StoredTune } from './song.entity.ts';

/** A song as the core reads it today; null where it cannot be read. */
export function readSongBody({ song }: StoredTune): Song | null {
  return readStored(songSchema, song);
}

/** What is to be said of a song that cannot be read; null where it can. */
export function unreadableSong({ id, name, body }: Pick<StoredSong, 'id' | 'name' | 'body'>): UnreadableDto | null {
  return unreadable({ id, name }, songSchema, body.song);
}
