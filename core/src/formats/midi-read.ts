import { strFromU8, strToU8 } from 'fflate';
import { parseMidi, type MidiData, type MidiEvent } from 'midi-file';
import { FormatError } from '../errors.ts';
import { simplestFraction, toBeats } from '../pattern/index.ts';
import { checkSize } from './check-text.ts';
import { tonicOfFifths } from './key-signatures.ts';
import type { Melody } from '../song/index.ts';
import { MICROSECONDS_A_MINUTE, TICKS } from './midi-write.ts';
import { closeTies, type RawNote } from './raw-notes.ts';
import { noNotes } from './no-notes.ts';

/** Source: house choice; what is played in is heard to the nearest twelfth of a beat: sixteenths and triplets. */
const GRID = 12;
/** The finest denominator a file is taken by its word for; beyond it the lengths were played, not written. */
const FINEST_WRITTEN = 32n;
/** House choice: an hour of a whole orchestra. */
const MOST_EVENTS = 200_000;

/** MIDI texts are bytes; words come in as UTF-8. */
const fromBytes = (text: string): string => strFromU8(strToU8(text, true));

interface Played {
  readonly midi: number;
  readonly from: number;
  until: number;
}

/** Notes of a track with the ticks they sound from and until. */
function playedIn(track: readonly MidiEvent[]): Played[] {
  const notes: Played[] = [];
  const open = new Map<number, Played>();
  let clock = 0;
  for (const event of track) {
    clock += event.deltaTime;
    if (event.type !== 'noteOn' && event.type !== 'noteOff') continue;
    const sounding = open.get(event.noteNumber);
    if (sounding) sounding.until = clock;
    open.delete(event.noteNumber);
    if (event.type === 'noteOff' || event.velocity === 0) continue;
    const note = { midi: event.noteNumber, from: clock, until: clock };
    open.set(event.noteNumber, note);
    notes.push(note);
  }
  return notes;
}

function beatsOf(ticks: number, ticksPerBeat: number): number {
  const exact = simplestFraction(Math.max(0, ticks) / ticksPerBeat || 0);
  // A file with so fine a beat was written, not played; so are those written here.
  const finest = ticksPerBeat === TICKS ? BigInt(TICKS) : FINEST_WRITTEN;
  if (exact.denominator <= finest) return toBeats(exact);
  return Math.round((ticks / ticksPerBeat) * GRID) / GRID;
}

/** Source: house choice: a silence under a fifth of a note's time is the way it was played, not a written rest. */
const DETACHED_UNDER = 1 / 5;
const FEWEST_DETACHED = 3;
/** Notes within so small a part of a beat begin together. */
const TOGETHER_WITHIN = 48;

/** The share of its time each note sounds where a whole voice is played detached; 1 where it is not. */
function soundingShare(voice: readonly Played[]): number {
  const shares = voice
    .slice(0, -1)
    .map(({ from, until }, index) => (until - from) / ((voice[index + 1]?.from ?? 0) - from));
  const detached = shares.filter((share) => share < 1 && share > 1 - DETACHED_UNDER);
  const [share = 1] = detached;
  const isAlike = detached.every((other) => Math.abs(other - share) < 0.02);
  return detached.length >= FEWEST_DETACHED && detached.length * 2 >= shares.length && isAlike ? share : 1;
}

/** A voice that was played detached, its notes as long as they were written. What was written here was never played. */
function asWritten(voice: readonly Played[], ticksPerBeat: number): readonly Played[] {
  const share = ticksPerBeat === TICKS ? 1 : soundingShare(voice);
  return voice.map(({ midi, from, until }) => ({ midi, from, until: from + (until - from) / share }));
}

function notesOf(voice: readonly Played[], ticksPerBeat: number, words: ReadonlyMap<number, string>): RawNote[] {
  const notes: RawNote[] = [];
  let silentFrom = 0;
  voice.forEach(({ midi, from, until }, index) => {
    if (from > silentFrom) notes.push({ beats: beatsOf(from - silentFrom, ticksPerBeat) });
    const end = Math.min(until, voice[index + 1]?.from ?? Infinity);
    const syllable = words.get(from);
    notes.push({
      midi,
      beats: beatsOf(end - from, ticksPerBeat) || 1 / GRID,
      ...(syllable !== undefined && { syllable }),
    });
    silentFrom = end;
  });
  return notes.filter(({ beats }) => beats > 0);
}

/** Of notes that begin and sound together only the highest. */
function oneVoice(sorted: readonly Played[], within: number): readonly Played[] {
  const voice: Played[] = [];
  for (const note of sorted) {
    const last = voice.at(-1);
    const isAfter = !last || note.from - last.from > within || (note.from > last.from && note.from >= last.until);
    if (isAfter) voice.push(note);
    else if (note.midi > last.midi) voice[voice.length - 1] = note;
  }
  return voice;
}

function parse(bytes: Uint8Array): MidiData {
  checkSize(bytes.length);
  let data: MidiData;
  try {
    data = parseMidi(bytes);
  } catch {
    throw broken();
  }
  // The library reads over the end of a cut-off file and gives nonsense instead of an error.
  const isSound = data.tracks.every((track) =>
    track.every(({ deltaTime }) => Number.isFinite(deltaTime) && deltaTime >= 0),
  );
  const events = data.tracks.reduce((sum, track) => sum + track.length, 0);
  if (events > MOST_EVENTS)
    throw new FormatError('TOO_LARGE', `The file has ${String(events)} events.`, 'Cut it down to the bars you need.', {
      context: 'events',
      events,
    });
  if (!isSound || data.header.ticksPerBeat === 0 || data.tracks.length < data.header.numTracks) throw broken();
  return data;
}

function broken(): FormatError {
  return new FormatError(
    'BROKEN_FILE',
    'This is no whole MIDI file.',
    'Export it again; it may have been cut off, or be of another kind.',
  );
}

/** The meta events of one type in a file, with the tick they stand at. */
function metasOf<T extends MidiEvent['type']>(
  { tracks }: MidiData,
  type: T,
): readonly (readonly [number, Extract<MidiEvent, { type: T }>])[] {
  return tracks.flatMap((track) => {
    let clock = 0;
    return track.flatMap((event) => {
      clock += event.deltaTime;
      return event.type === type ? [[clock, event as Extract<MidiEvent, { type: T }>] as const] : [];
    });
  });
}

/**
 * Reads one voice of a standard MIDI file: the first track that has notes.
 *
 * @throws FormatError `EMPTY_FILE`, `TOO_LARGE`, `BROKEN_FILE`, `NO_NOTES`
 */
export function readMidiFile(bytes: Uint8Array): Melody {
  const data = parse(bytes);
  const tracks = data.tracks.filter((track) => playedIn(track).length > 0);
  const [track] = tracks;
  const isCutOff = data.tracks.some((events) => events.at(-1)?.type !== 'endOfTrack');
  if (!track && isCutOff) throw broken();
  if (!track) throw noNotes();
  const ticksPerBeat = data.header.ticksPerBeat ?? TICKS;
  const all = playedIn(track).sort((a, b) => a.from - b.from || b.midi - a.midi);
  const voice = oneVoice(all, ticksPerBeat / TOGETHER_WITHIN);
  const words = new Map(metasOf(data, 'lyrics').map(([at, { text }]) => [at, fromBytes(text).trim()]));
  const tempos = metasOf(data, 'setTempo').map(([, { microsecondsPerBeat }]) => microsecondsPerBeat);
  const [perBeat] = tempos;
  const [[, bar] = []] = metasOf(data, 'timeSignature');
  const overlaps = voice.some(({ until }, index) => until > (voice[index + 1]?.from ?? Infinity));
  const dropped = [
    ...(tracks.length > 1 ? [{ code: 'lost.tracks', values: { count: tracks.length } } as const] : []),
    ...(voice.length < all.length ? [{ code: 'lost.chords-to-highest' } as const] : []),
    ...(overlaps ? [{ code: 'lost.overlaps' } as const] : []),
    ...(tempos.length > 1 ? [{ code: 'lost.tempos' } as const] : []),
    ...(perBeat === 0 ? [{ code: 'lost.tempo-of-zero' } as const] : []),
  ];
  const title = track.find((event) => event.type === 'trackName');
  const key = metasOf(data, 'keySignature')[0]?.[1];
  return {
    title: (title && fromBytes(title.text).trim()) || 'From a MIDI file',
    events: closeTies(notesOf(asWritten(voice, ticksPerBeat), ticksPerBeat, words)),
    ...(bar && { beatsPerBar: (bar.numerator * 4) / bar.denominator }),
    ...(perBeat && { tempo: Math.round((MICROSECONDS_A_MINUTE / perBeat) * 100) / 100 }),
    ...(key && keyOf(key)),
    dropped,
  };
}

function keyOf({ key, scale }: { readonly key: number; readonly scale: number }): Pick<Melody, 'tonicClass' | 'mode'> {
  const mode = scale === 1 ? 'minor' : 'major';
  return { tonicClass: tonicOfFifths(key, mode), mode };
}
