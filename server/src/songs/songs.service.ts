import { Injectable } from '@nestjs/common';
import { faultsOf, songSchema, type Song } from '@soft-lark/core';
import { fieldProblem, invalid, notFound, written, type UnreadableDto } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import type { ChangedSongDto, KeptSong } from './dto/songs.dto.ts';
import { StoredSong } from './song.entity.ts';
import { readSongBody, unreadableSong } from './song.upgrade.ts';

/** A song sent by a page, checked with the schema of the core. */
function checkedSong(body: object): Song {
  const read = songSchema.safeParse(body);
  if (read.success) return read.data;
  throw invalid(faultsOf(read.error).map(({ path, ...fault }) => fieldProblem(['song', ...path].join('.'), fault)));
}

/** Songs of a studio. */
@Injectable()
export class SongsService {
  constructor(private readonly scope: StudioScope) {}

  async list(studioId: string): Promise<KeptSong[]> {
    const rows = await this.scope.of(StoredSong, studioId).find({ order: { name: 'ASC' } });
    return rows.flatMap((row) => this.view(row) ?? []);
  }

  /** Songs that this version cannot read; they are kept, and nothing else is broken by them. */
  async unreadable(studioId: string): Promise<UnreadableDto[]> {
    const rows = await this.scope.of(StoredSong, studioId).find({ order: { name: 'ASC' } });
    return rows.flatMap((row) => unreadableSong(row) ?? []);
  }

  async change(studioId: string, id: string, { version, song: sent }: ChangedSongDto): Promise<KeptSong> {
    const song = checkedSong(sent);
    const rows = this.scope.of(StoredSong, studioId);
    const isWritten = await rows.write({ id, version }, { name: song.name, body: { schema: 1, song } });
    const current = await rows.findOne({ id });
    return written('song', isWritten, current && this.view(current), song, () => current && readSongBody(current.body));
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(StoredSong, studioId).delete({ id }))) throw notFound('song');
  }

  private view({ id, body, version }: StoredSong): KeptSong | null {
    const song = readSongBody(body);
    return song && { ...song, id, version };
  }
}
