import type { SongAnalysis, SongNeed } from './analyse-song.ts';

/** A song that is sung with others, held against the voice that sings it. */
export interface ProgrammeSong {
  readonly id: string;
  readonly analysis: SongAnalysis;
  /** From its first note to the end of its last. */
  readonly seconds: number;
}

/** A song in its place. Notes MIDI, in the octave the voice reads it in. */
export interface ProgrammePart {
  readonly id: string;
  readonly seconds: number;
  /** Seconds outside the easy range. */
  readonly outside: number;
  readonly lowest: number;
  readonly highest: number;
  readonly needs: readonly SongNeed[];
}

/** Several songs one after the other, and what all of them ask for together. */
export interface SongProgramme extends Omit<ProgrammePart, 'id'> {
  readonly order: readonly ProgrammePart[];
}

const OCTAVE = 12;
/** House choice: a song of which more than half lies out of the easy range was written for another voice. */
const MOSTLY = 0.5;

/** As it is written; an octave away, where the least of it lies outside, if most of it would be out of the easy range. */
function partOf({ id, analysis, seconds }: ProgrammeSong): ProgrammePart {
  const { lowest, highest, needs, keys } = analysis;
  const octaves = keys.filter(({ shift }) => shift % OCTAVE === 0).sort((one, other) => one.outside - other.outside);
  const written = octaves.find(({ shift }) => shift === 0);
  const key = written && written.outside > seconds * MOSTLY ? octaves[0] : written;
  return {
    id,
    seconds,
    needs,
    outside: key?.outside ?? 0,
    lowest: key?.lowest ?? lowest,
    highest: key?.highest ?? highest,
  };
}

/** The lighter one first: less outside the easy range, then fewer asks, then the lower top. */
const byLoad = (one: ProgrammePart, other: ProgrammePart): number =>
  one.outside - other.outside || one.needs.length - other.needs.length || one.highest - other.highest;

/**
 * Puts songs in the order of their load: the lightest first, then rising, and a light one at the end, so that nobody begins or
 * ends with the hardest. House choice, after the usual advice for a programme.
 *
 * @returns `null` where there is no song
 */
export function songProgramme(songs: readonly ProgrammeSong[]): SongProgramme | null {
  const rising = songs.map(partOf).sort(byLoad);
  const [lightest, second, ...heavier] = rising;
  if (!lightest) return null;
  const order = second ? [lightest, ...heavier, second] : rising;
  return {
    order,
    seconds: order.reduce((sum, { seconds }) => sum + seconds, 0),
    outside: order.reduce((sum, { outside }) => sum + outside, 0),
    lowest: Math.min(...order.map(({ lowest }) => lowest)),
    highest: Math.max(...order.map(({ highest }) => highest)),
    needs: [...new Set(order.flatMap(({ needs }) => needs))],
  };
}
