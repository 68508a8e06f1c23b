import type { Song } from './song.ts';

/** What a song asks of a voice. Notes MIDI, times in seconds. */
export interface SongDemands {
  readonly lowest: number;
  readonly highest: number;
  /** Notes a second over the quickest four in a row; none where there are not four. */
  readonly fastestNotesPerSecond?: number;
  readonly longestPhraseSeconds: number;
}

/** Source: usual measure of a fast run; fewer notes than this are no run. */
const RUN_NOTES = 4;

/** House choice: from here on a song asks for work of its own. Seconds of one breath; notes a second. */
const ASKS = { phraseSeconds: 8, notesPerSecond: 5, nearTop: 2 } as const;

/**
 * What a song asks of a voice.
 *
 * @example songDemands(four quarter notes C4 to F4 at 60).fastestNotesPerSecond // 1
 */
export function songDemands({ events, tempo }: Pick<Song, 'events' | 'tempo'>): SongDemands {
  const beat = 60 / tempo;
  const pitches = events.flatMap(({ midi, to }) => [midi, to].flatMap((note) => note ?? []));
  let phrase = 0;
  let longest = 0;
  let run: number[] = [];
  let fastest = 0;
  for (const { midi, beats } of events) {
    phrase = midi === undefined ? 0 : phrase + beats * beat;
    longest = Math.max(longest, phrase);
    run = midi === undefined ? [] : [...run, beats * beat].slice(-RUN_NOTES);
    if (run.length === RUN_NOTES) fastest = Math.max(fastest, RUN_NOTES / run.reduce((sum, one) => sum + one, 0));
  }
  return {
    lowest: Math.min(...pitches),
    highest: Math.max(...pitches),
    ...(fastest > 0 && { fastestNotesPerSecond: fastest }),
    longestPhraseSeconds: longest,
  };
}

const OCTAVE = 12;

/**
 * A song in the octave a voice sings it in: that in which its middle lies nearest to the middle of the range. Songs are
 * written for high voices, and low ones read them an octave lower.
 */
export function songInOctaveOf(
  demands: SongDemands,
  { low, high }: { readonly low: number; readonly high: number },
): SongDemands {
  const away = (low + high - demands.lowest - demands.highest) / 2;
  const shift = Math.round(away / OCTAVE) * OCTAVE;
  return { ...demands, lowest: demands.lowest + shift, highest: demands.highest + shift };
}

/** The goals of the shelf that a song asks for in this voice. */
export function songNeeds(
  { lowest, highest, fastestNotesPerSecond = 0, longestPhraseSeconds }: SongDemands,
  voice: {
    readonly measured?: { readonly low: number; readonly high: number };
    readonly bridges: readonly { readonly low: number; readonly high: number }[];
  },
): readonly string[] {
  const { measured, bridges } = voice;
  const crosses = bridges.some(({ low, high }) => lowest < low && highest > high);
  return [
    ...(longestPhraseSeconds > ASKS.phraseSeconds ? ['breath-length'] : []),
    ...(fastestNotesPerSecond >= ASKS.notesPerSecond ? ['agility'] : []),
    ...(measured && highest > measured.high - ASKS.nearTop ? ['range-up'] : []),
    ...(measured && lowest < measured.low + ASKS.nearTop ? ['range-down'] : []),
    ...(crosses ? ['bridge'] : []),
  ];
}
