import { queryOptions } from '@tanstack/react-query';
import {
  analyseSong,
  notesOfSong,
  referenceOf,
  songDemands,
  songInOctaveOf,
  songProgramme,
  songSchema,
  voiceOf,
  type Song,
  type SongAnalysis,
  type SongDemands,
  type SongNote,
  type SongProgramme,
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
  /** From its first note to the end of its last. */
  readonly seconds: number;
  /** Without a rest nobody can tell where it is breathed. */
  readonly hasRests: boolean;
}

/** A song over a voice; null where nothing of it sounds. */
function songOver(song: Song, voice: VoiceFile): SongOverVoice | null {
  const bridges = voice.bridges.map(({ high }) => high);
  const easy = easyRange(voice);
  const notes = notesOfSong(song);
  const analysis = analyseSong(notes, { comfortable: easy, bridges });
  if (!analysis) return null;
  const seconds = Math.max(...notes.map(({ start, seconds }) => start + seconds)) - (notes[0]?.start ?? 0);
  return { song, notes, analysis, easy, bridges, seconds, hasRests: analysis.longestPhrase.seconds < seconds - 0.01 };
}

/** The piece on a voice file over that voice; null where no song has its name. */
export function pieceOverVoice(voice: VoiceFile, songs: readonly KeptSong[] = []): SongOverVoice | null {
  const song = songOf(voice, songs);
  return song ? songOver(song, voice) : null;
}

/** Songs of the studio that a voice sings in one programme, in the order of their load; null where none is chosen. */
export function programmeOver(
  voice: VoiceFile,
  songs: readonly KeptSong[],
  ids: readonly string[],
): SongProgramme | null {
  return songProgramme(
    songs
      .filter(({ id }) => ids.includes(id))
      .flatMap(({ id, song }) => {
        const over = songOver(song, voice);
        return over ? [{ id, analysis: over.analysis, seconds: over.seconds }] : [];
      }),
  );
}

export const keepSong = ({ id, version, song }: KeptSong): Promise<unknown> =>
  dataOf(api.PUT('/api/songs/{songId}', { params: { path: { songId: id } }, body: { version, song } }));

export const removeSong = (songId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/songs/{songId}', { params: { path: { songId } } }));
