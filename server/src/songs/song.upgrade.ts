import { issueSentence, songSchema, type Song } from '@soft-lark/core';
import type { UnreadableDto } from '../common/index.ts';
import type { StoredSong, StoredTune } from './song.entity.ts';

/** A song as the core reads it today, fields that came later at their usual value; null where it cannot be read. */
export function readSongBody({ song }: StoredTune): Song | null {
  const read = songSchema.safeParse(song);
  return read.success ? read.data : null;
}

/** What is to be said of a song that cannot be read; null where it can. */
export function unreadableSong({ id, name, body }: Pick<StoredSong, 'id' | 'name' | 'body'>): UnreadableDto | null {
  const read = songSchema.safeParse(body.song);
  return read.success ? null : { id, name, reason: issueSentence(read.error) };
}
