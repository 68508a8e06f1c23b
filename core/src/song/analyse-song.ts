import type { Song } from './song.ts';

/** One note of a song as it sounds: MIDI, seconds from its beginning. */
export interface SongNote {
  readonly midi: number;
  readonly start: number;
  readonly seconds: number;
}

/** What of a voice a song is held against. Notes MIDI; seconds of one easy breath. */
export interface SongVoice {
  readonly comfortable?: { readonly low: number; readonly high: number };
  readonly bridges?: readonly number[];
  readonly breathSeconds?: number;
}

/** What a song asks for, as the goals of the shelf are called. */
export type SongNeed = 'breath-length' | 'leaps' | 'agility' | 'range-up' | 'range-down' | 'bridge';

/** A song moved by so many semitones, and how it sits there. */
export interface SongKey {
  readonly shift: number;
  /** Seconds sung outside the comfortable range. */
  readonly outside: number;
  readonly lowest: number;
  readonly highest: number;
  /** Semitones between the middle of what is sung and the middle of the comfortable range. */
  readonly offMiddle: number;
}

export interface SongAnalysis {
  readonly lowest: number;
  readonly highest: number;
  /** Where the voice really stays: the 10th, 50th and 90th percentile of pitch by sounding time. */
  readonly tessitura: { readonly low: number; readonly median: number; readonly high: number };
  /** Share of the sounding time above each bridge, 0–1. */
  readonly shareAbove: readonly { readonly bridge: number; readonly share: number }[];
  readonly longestPhrase: { readonly start: number; readonly seconds: number };
  /** Between two notes that follow one another; `start` is that of the second. */
  readonly largestLeap: { readonly start: number; readonly semitones: number };
  readonly fastestRun: { readonly start: number; readonly notesPerSecond: number } | null;
  readonly longestHeld: { readonly start: number; readonly midi: number; readonly seconds: number };
  readonly needs: readonly SongNeed[];
  /** From an octave down to an octave up; none where the comfortable range is not known. */
  readonly keys: readonly SongKey[];
  readonly bestShift: number;
}

/** Shorter gaps are the way a note is let go, not a rest. Seconds. */
const NO_REST = 0.03;
/** Source: usual measure of a fast run; fewer notes than this are no run. */
const RUN_NOTES = 4;
const OCTAVE = 12;
/**
 * From where a song asks for work of its own. A phrase may take 70 % of an easy breath (usual teaching), eight seconds where
 * none was measured; leaps over a fifth, five notes a second, and two semitones from the ends are house choices.
 */
const ASKS = { breathShare: 0.7, phraseSeconds: 8, leap: 8, notesPerSecond: 5, nearEnd: 2 } as const;

const endOf = ({ start, seconds }: SongNote): number => start + seconds;

/** The notes of a song in seconds; a glide counts half where it begins and half where it arrives. */
export function notesOfSong({ events, tempo }: Pick<Song, 'events' | 'tempo'>): readonly SongNote[] {
  let start = 0;
  return events.flatMap(({ midi, to, beats }): readonly SongNote[] => {
    const seconds = (beats * 60) / tempo;
    const at = start;
    start += seconds;
    if (midi === undefined) return [];
    if (to === undefined || to === midi) return [{ midi, start: at, seconds }];
    const half = seconds / 2;
    return [
      { midi, start: at, seconds: half },
      { midi: to, start: at + half, seconds: half },
    ];
  });
}

/** Pitches by time: that at which a share of all that sounds has sounded, from the lowest up. */
function percentiles(notes: readonly SongNote[], shares: readonly number[]): readonly number[] {
  const sorted = [...notes].sort((a, b) => a.midi - b.midi);
  const total = sorted.reduce((sum, { seconds }) => sum + seconds, 0);
  let heard = 0;
  const until = sorted.map(({ midi, seconds }) => {
    heard += seconds;
    return { midi, heard };
  });
  return shares.map((share) => (until.find((one) => one.heard >= total * share) ?? until.at(-1))?.midi ?? 0);
}

/** Notes between rests. */
function phrasesOf(notes: readonly SongNote[]): readonly (readonly SongNote[])[] {
  const phrases: SongNote[][] = [];
  let end = -Infinity;
  for (const note of notes) {
    if (note.start - end > NO_REST) phrases.push([note]);
    else phrases.at(-1)?.push(note);
    end = Math.max(end, endOf(note));
  }
  return phrases;
}

/** The one of a list that is largest by some measure; the first of equals. */
function largest<T>(all: readonly T[], by: (one: T) => number): T | undefined {
  let best: T | undefined;
  for (const one of all) if (best === undefined || by(one) > by(best)) best = one;
  return best;
}

function fastestRunIn(phrases: readonly (readonly SongNote[])[]): SongAnalysis['fastestRun'] {
  const runs = phrases.flatMap((phrase) =>
    phrase.flatMap((first, index) => {
      const last = phrase[index + RUN_NOTES - 1];
      return last ? [{ start: first.start, notesPerSecond: RUN_NOTES / (endOf(last) - first.start) }] : [];
    }),
  );
  return largest(runs, ({ notesPerSecond }) => notesPerSecond) ?? null;
}

function keysIn(
  notes: readonly SongNote[],
  { low, high }: NonNullable<SongVoice['comfortable']>,
  median: number,
): readonly SongKey[] {
  const pitches = notes.map(({ midi }) => midi);
  const [lowest, highest] = [Math.min(...pitches), Math.max(...pitches)];
  return Array.from({ length: 2 * OCTAVE + 1 }, (_, index) => {
    const shift = index - OCTAVE;
    const outside = notes.reduce((sum, { midi, seconds }) => {
      const at = midi + shift;
      return at < low || at > high ? sum + seconds : sum;
    }, 0);
    return {
      ...{ shift, outside, lowest: lowest + shift, highest: highest + shift },
      offMiddle: Math.abs(median + shift - (low + high) / 2),
    };
  });
}

/** The key with the least outside; of equals that whose middle lies nearest to the voice’s, then the nearest to the written one. */
function bestOf(keys: readonly SongKey[]): number {
  const [best] = [...keys].sort(
    (a, b) => a.outside - b.outside || a.offMiddle - b.offMiddle || Math.abs(a.shift) - Math.abs(b.shift),
  );
  return best?.shift ?? 0;
}

type Figures = Pick<SongAnalysis, 'lowest' | 'highest' | 'longestPhrase' | 'largestLeap' | 'fastestRun' | 'shareAbove'>;

function needsOf(
  { lowest, highest, longestPhrase, largestLeap, fastestRun, shareAbove }: Figures,
  { comfortable, breathSeconds }: SongVoice,
): readonly SongNeed[] {
  const breath = breathSeconds === undefined ? ASKS.phraseSeconds : breathSeconds * ASKS.breathShare;
  return [
    ...(longestPhrase.seconds > breath ? (['breath-length'] as const) : []),
    ...(largestLeap.semitones >= ASKS.leap ? (['leaps'] as const) : []),
    ...((fastestRun?.notesPerSecond ?? 0) >= ASKS.notesPerSecond ? (['agility'] as const) : []),
    ...(comfortable && highest > comfortable.high - ASKS.nearEnd ? (['range-up'] as const) : []),
    ...(comfortable && lowest < comfortable.low + ASKS.nearEnd ? (['range-down'] as const) : []),
    ...(shareAbove.some(({ share }) => share > 0 && share < 1) ? (['bridge'] as const) : []),
  ];
}

/**
 * What a song asks of a voice, note by note.
 *
 * @param notes of one voice, in order of their start; those without length do not sound
 * @returns `null` where nothing sounds
 * @example C4 E4 G4 C5, a second each: lowest 60, highest 72, one phrase of 4 s, a leap of 5 into the last
 */
export function analyseSong(notes: readonly SongNote[], voice: SongVoice = {}): SongAnalysis | null {
  const sung = notes.filter(({ seconds }) => seconds > 0);
  const [first] = sung;
  const longest = largest(sung, ({ seconds }) => seconds);
  if (!first || !longest) return null;
  const [low = 0, median = 0, high = 0] = percentiles(sung, [0.1, 0.5, 0.9]);
  const total = sung.reduce((sum, { seconds }) => sum + seconds, 0);
  const phrases = phrasesOf(sung);
  const lengths = phrases.map((phrase) => {
    const start = phrase[0]?.start ?? 0;
    return { start, seconds: Math.max(...phrase.map(endOf)) - start };
  });
  const leaps = sung.map(({ midi, start }, index) => ({
    start,
    semitones: Math.abs(midi - (sung[index - 1]?.midi ?? midi)),
  }));
  const figures: Figures = {
    lowest: Math.min(...sung.map(({ midi }) => midi)),
    highest: Math.max(...sung.map(({ midi }) => midi)),
    shareAbove: (voice.bridges ?? []).map((bridge) => ({
      bridge,
      share: sung.reduce((sum, { midi, seconds }) => (midi > bridge ? sum + seconds : sum), 0) / total,
    })),
    longestPhrase: largest(lengths, ({ seconds }) => seconds) ?? { start: 0, seconds: 0 },
    largestLeap: largest(leaps, ({ semitones }) => semitones) ?? { start: first.start, semitones: 0 },
    fastestRun: fastestRunIn(phrases),
  };
  const keys = voice.comfortable ? keysIn(sung, voice.comfortable, median) : [];
  return {
    ...figures,
    tessitura: { low, median, high },
    longestHeld: { start: longest.start, midi: longest.midi, seconds: longest.seconds },
    needs: needsOf(figures, voice),
    keys,
    bestShift: bestOf(keys),
  };
}
