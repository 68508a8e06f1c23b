import { cracksOf } from './find-range.ts';
import { HEARD_NOTE, LAG, PROPOSED } from './heard.data.ts';
import type { Crack, PitchFrame } from './listening.types.ts';
import { medianOf, voicedStretches, type Moment } from './voiced.ts';
import { endOf, type WantedNote } from './wanted-notes.ts';

/** What became of a note that was to be sung. */
export interface NoteScore {
  readonly midi: number;
  /** As it should be, the same note in another octave, another note, or nothing. */
  readonly is: 'sung' | 'octave' | 'other' | 'missing';
  /** Cents off the note, octaves apart; null where another note was sung, or none. */
  readonly cents: number | null;
  /** Octaves from the note asked for; below nought where it was sung lower. */
  readonly octaves: number;
}

/** What was heard of one key. */
export interface RungScore {
  readonly notes: readonly NoteScore[];
  /** The middle of how far the notes are off, cents; null where none was sung. */
  readonly cents: number | null;
  /** Share of the sound on the notes that is in tune, 0–1, whatever the octave. */
  readonly inTune: number;
  /** Octaves from what was asked for that most of the key was sung at. */
  readonly octaves: number;
  /** The last note never came, or broke off. */
  readonly isCutShort: boolean;
  /** Where the voice broke, apart from the leaps of the tune. */
  readonly cracks: readonly Crack[];
  /** How late the key was sung, seconds. */
  readonly lagSeconds: number;
}

const OCTAVE = 12;

/** Semitones off a note, and how many octaves away that is. */
function offOf(pitch: number, midi: number): { readonly rest: number; readonly octaves: number } {
  // Nought and no minus nought, whichever side it came from.
  const octaves = Math.round((pitch - midi) / OCTAVE) + 0;
  return { rest: pitch - midi - octaves * OCTAVE, octaves };
}

/** How much of the sound falls on its notes if the key was sung so late. Both lists are in order of time. */
function fitting(moments: readonly Moment[], wanted: readonly WantedNote[], lag: number): number {
  let at = 0;
  let count = 0;
  for (const { t, pitch } of moments) {
    while (wanted[at] && endOf(wanted[at]) + lag <= t) at += 1;
    const note = wanted[at];
    if (note && t - lag >= note.startSeconds && Math.abs(offOf(pitch, note.midi).rest) <= HEARD_NOTE.otherNoteSemitones)
      count += 1;
  }
  return count;
}

/** How late a key was sung: where most of the sound falls on its notes. */
function lagOf(moments: readonly Moment[], wanted: readonly WantedNote[]): number {
  const steps = Math.round((LAG.latest - LAG.earliest) / LAG.step);
  const lags = Array.from({ length: steps + 1 }, (_, index) => LAG.earliest + index * LAG.step);
  const found = lags.map((lag) => ({ lag, count: fitting(moments, wanted, lag) }));
  const most = Math.max(...found.map(({ count }) => count));
  const best = found.filter(({ count }) => count === most).map(({ lag }) => lag);
  return best.reduce((near, lag) => (Math.abs(lag) < Math.abs(near) ? lag : near), best[0] ?? 0);
}

/** The sound of a note, without the way to it. */
function soundOf(moments: readonly Moment[], { startSeconds, seconds }: WantedNote, lag: number): readonly Moment[] {
  const arrives = Math.min(HEARD_NOTE.arrivingSeconds, seconds * HEARD_NOTE.arrivingShare);
  return moments.filter(({ t }) => t >= startSeconds + lag + arrives && t < startSeconds + lag + seconds);
}

function lastsOf(sound: readonly Moment[]): number {
  return (sound.at(-1)?.t ?? 0) - (sound[0]?.t ?? 0);
}

function scoreNote(sound: readonly Moment[], { midi, seconds }: WantedNote): NoteScore {
  if (lastsOf(sound) < seconds * HEARD_NOTE.leastShare) return { midi, is: 'missing', cents: null, octaves: 0 };
  const { rest, octaves } = offOf(medianOf(sound.map(({ pitch }) => pitch)), midi);
  if (Math.abs(rest) > HEARD_NOTE.otherNoteSemitones) return { midi, is: 'other', cents: null, octaves: 0 };
  return { midi, is: octaves === 0 ? 'sung' : 'octave', cents: Math.round(rest * 100), octaves };
}

/** Breaks of the voice; where the tune itself leaps, a leap is what was asked for. */
function breaksOf(frames: readonly PitchFrame[], wanted: readonly WantedNote[], lag: number): readonly Crack[] {
  const ends = wanted.slice(1).map(({ startSeconds }) => startSeconds + lag);
  const isBetween = (t: number): boolean => ends.some((end) => Math.abs(t - end) <= HEARD_NOTE.arrivingSeconds * 2);
  return voicedStretches(frames)
    .flatMap(cracksOf)
    .filter(({ t }) => !isBetween(t));
}

/**
 * Compares what was heard with what should sound in one key. Who comes in late is not out of tune: the key is moved to where
 * most of the sound fits. It is a picture for the teacher, never a verdict.
 *
 * @param frames seconds from the start of the tune, in order of time
 * @param wanted the notes of the key, see `wantedNotes`
 */
export function scoreRung(frames: readonly PitchFrame[], wanted: readonly WantedNote[]): RungScore {
  const moments = voicedStretches(frames).flat();
  const lagSeconds = lagOf(moments, wanted);
  const sounds = wanted.map((note) => ({ note, sound: soundOf(moments, note, lagSeconds) }));
  const notes = sounds.map(({ note, sound }) => scoreNote(sound, note));
  const offs = sounds.flatMap(({ note, sound }) => sound.map(({ pitch }) => Math.abs(offOf(pitch, note.midi).rest)));
  const cents = notes.flatMap((note) => note.cents ?? []);
  const last = sounds.at(-1);
  return {
    notes,
    cents: cents.length > 0 ? medianOf(cents) : null,
    inTune: offs.filter((off) => off * 100 <= HEARD_NOTE.inTuneCents).length / Math.max(1, offs.length),
    octaves: medianOf(notes.filter(({ cents: off }) => off !== null).map(({ octaves }) => octaves)),
    isCutShort: last !== undefined && lastsOf(last.sound) < last.note.seconds * PROPOSED.leastOfLastNote,
    cracks: breaksOf(frames, wanted, lagSeconds),
    lagSeconds,
  };
}

/** A mark that what was heard proposes; the teacher keeps it or lets it go. */
export type HeardMark = 'crack' | 'pitch' | 'breath';

/** The marks that a key proposes. One of which nothing was heard proposes none: it may not have been sung. */
export function marksHeard({ notes, inTune, isCutShort, cracks }: RungScore): readonly HeardMark[] {
  if (notes.every(({ is }) => is === 'missing')) return [];
  return [
    ...(cracks.length > 0 ? (['crack'] as const) : []),
    ...(isCutShort ? (['breath'] as const) : []),
    ...(inTune < PROPOSED.leastInTune ? (['pitch'] as const) : []),
  ];
}
