import { queryOptions } from '@tanstack/react-query';
import {
  analyseSong,
  notesOfSong,
  referenceOf,
  songDemands,
  songInOctaveOf,
  songSchema,
  voiceOf,
  type Song,
  type SongAnalysis,
  type SongDemands,
  type SongNote,
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

/** The song of the studio that has the name of the piece on a voice file. */
function songOf({ piece = '' }: VoiceFile, songs: readonly KeptSong[]): Song | undefined {
  const name = piece.trim().toLocaleLowerCase();
  return name === '' ? undefined : songs.find(({ song }) => song.name.trim().toLocaleLowerCase() === name)?.song;
}

const easyRange = (voice: VoiceFile): { readonly low: number; readonly high: number } =>
  voice.measured ?? referenceOf(voiceOf(voice)).comfortable;

/** What the piece on a voice file asks of that voice, in its octave; nothing where no song has its name. */
export function pieceInHand(voice: VoiceFile, songs: readonly KeptSong[] = []): SongDemands | undefined {
  const song = songOf(voice, songs);
  return song && songInOctaveOf(songDemands(song), easyRange(voice));
}

/** A song held against a voice, note by note. */
export interface SongOverVoice {
  readonly song: Song;
  readonly notes: readonly SongNote[];
  readonly analysis: SongAnalysis;
  readonly easy: { readonly low: number; readonly high: number };
  readonly bridges: readonly number[];
  /** Without a rest nobody can tell where it is breathed. */
  readonly hasRests: boolean;
}

/** The piece on a voice file over that voice; null where no song has its name. */
export function pieceOverVoice(voice: VoiceFile, songs: readonly KeptSong[] = []): SongOverVoice | null {
  const song = songOf(voice, songs);
  if (!song) return null;
  const bridges = voice.bridges.map(({ high }) => high);
  const easy = easyRange(voice);
  const notes = notesOfSong(song);
  const analysis = analyseSong(notes, { comfortable: easy, bridges });
  const length = Math.max(...notes.map(({ start, seconds }) => start + seconds)) - (notes[0]?.start ?? 0);
  return analysis && { song, notes, analysis, easy, bridges, hasRests: analysis.longestPhrase.seconds < length - 0.01 };
}

export const keepSong = ({ id, version, song }: KeptSong): Promise<unknown> =>
  dataOf(api.PUT('/api/songs/{songId}', { params: { path: { songId: id } }, body: { version, song } }));

export const removeSong = (songId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/songs/{songId}', { params: { path: { songId } } }));
