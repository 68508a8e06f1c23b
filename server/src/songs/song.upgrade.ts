import { songSchema, type Song } from '@soft-lark/core';
import type { StoredTune } from './song.entity.ts';

/** A song as the core reads it today; fields that came later take their usual value. */
export function readSongBody({ song }: StoredTune): Song {
  return songSchema.parse(song);
}
