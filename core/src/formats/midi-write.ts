import { strFromU8, strToU8 } from 'fflate';
import { writeMidi, type MidiData, type MidiEvent } from 'midi-file';
import type { Melody, MelodyEvent } from '../song/index.ts';
import { fifthsOf, isMinor } from './key-signatures.ts';

/** Divisible by 2 to 10, so that triplets and quintuplets stay exact. Ticks a quarter note. */
export const TICKS = 2520;
const VELOCITY = 90;
export const MICROSECONDS_A_MINUTE = 60_000_000;

/** A glide has no written form in MIDI: two notes of half its length each. */
function soundsOf({ midi, to, beats }: MelodyEvent): readonly (readonly [number | undefined, number])[] {
  return to === undefined
    ? [[midi, beats]]
    : [
        [midi, beats / 2],
        [to, beats / 2],
      ];
}

/** MIDI texts are bytes; words go out as UTF-8. */
export function midiBytes(text: string): string {
  return strFromU8(strToU8(text), true);
}

type Timed = MidiEvent & { readonly at: number };

function eventsOf(melody: Melody): readonly Timed[] {
  const events: Timed[] = [];
  let clock = 0;
  const tick = (beats: number): number => Math.round(beats * TICKS);
  for (const event of melody.events) {
    if (event.syllable !== undefined && !event.continues)
      events.push({ at: tick(clock), deltaTime: 0, meta: true, type: 'lyrics', text: midiBytes(event.syllable) });
    for (const [midi, beats] of soundsOf(event)) {
      if (midi !== undefined) {
        const note = { deltaTime: 0, channel: 0, noteNumber: midi };
        events.push({ ...note, at: tick(clock), type: 'noteOn', velocity: VELOCITY });
        events.push({ ...note, at: tick(clock + beats), type: 'noteOff', velocity: 0 });
      }
      clock += beats;
    }
  }
  return events;
}

/**
 * A melody as a standard MIDI file: one track, key, tempo and lyrics as events.
 *
 * @returns the bytes of the file
 */
export function midiFileOf(melody: Melody): Uint8Array {
  const { tonicClass = 0, mode = 'major', tempo = 84 } = melody;
  const head: MidiEvent[] = [
    { deltaTime: 0, meta: true, type: 'trackName', text: midiBytes(melody.title) },
    { deltaTime: 0, meta: true, type: 'setTempo', microsecondsPerBeat: Math.round(MICROSECONDS_A_MINUTE / tempo) },
    {
      deltaTime: 0,
      meta: true,
      type: 'keySignature',
      key: fifthsOf(tonicClass, mode),
      scale: isMinor(mode) ? 1 : 0,
    },
  ];
  let clock = 0;
  const track = eventsOf(melody).map(({ at, ...event }): MidiEvent => {
    const deltaTime = at - clock;
    clock = at;
    return { ...event, deltaTime };
  });
  const data: MidiData = {
    header: { format: 0, numTracks: 1, ticksPerBeat: TICKS },
    tracks: [[...head, ...track, { deltaTime: 0, meta: true, type: 'endOfTrack' }]],
  };
  return Uint8Array.from(writeMidi(data));
}
