import { writeMidi, type MidiEvent } from 'midi-file';
import { MICROSECONDS_A_MINUTE, midiBytes, TICKS } from '../formats/index.ts';
import type { SoundEvent } from '../sound/index.ts';
import type { GuideTrack } from './guide-track.ts';

type Timed = MidiEvent & { readonly at: number };

const LOUDEST = 127;
const USUAL_TEMPO = 60;

/** Seconds to ticks, through every change of tempo. */
function ticksAt(tempos: GuideTrack['tempos']): (seconds: number) => number {
  const changes: { at: number; tempo: number; ticks: number }[] = [];
  for (const { at, tempo } of tempos) {
    const last = changes.at(-1);
    const ticks = last ? last.ticks + ((at - last.at) * last.tempo * TICKS) / 60 : (at * tempo * TICKS) / 60;
    changes.push({ at, tempo, ticks });
  }
  return (seconds) => {
    const { at, tempo, ticks } = changes.filter((change) => change.at <= seconds).at(-1) ?? {
      at: 0,
      ticks: 0,
      tempo: tempos[0]?.tempo ?? USUAL_TEMPO,
    };
    return Math.round(ticks + ((seconds - at) * tempo * TICKS) / 60);
  };
}

/** Events in order with the time from one to the next; what ends comes before what begins. */
function inOrder(events: readonly Timed[]): MidiEvent[] {
  let clock = 0;
  const rank = ({ type }: Timed): number => (type === 'noteOff' ? 0 : 1);
  const sorted = [...events].sort((one, other) => one.at - other.at || rank(one) - rank(other));
  const timed = sorted.map(({ at, ...event }): MidiEvent => {
    const deltaTime = at - clock;
    clock = at;
    return { ...event, deltaTime };
  });
  return [...timed, { deltaTime: 0, meta: true, type: 'endOfTrack' }];
}

function notes(events: readonly SoundEvent[], channel: number, tick: (seconds: number) => number): Timed[] {
  return events.flatMap(({ midi, startSeconds, seconds, velocity }): Timed[] => {
    const note = { deltaTime: 0, channel, noteNumber: midi };
    return [
      { ...note, at: tick(startSeconds), type: 'noteOn', velocity: Math.max(1, Math.round(velocity * LOUDEST)) },
      { ...note, at: tick(startSeconds + seconds), type: 'noteOff', velocity: 0 },
    ];
  });
}

const text = (at: number, type: 'trackName' | 'marker' | 'lyrics', words: string): Timed => ({
  at,
  deltaTime: 0,
  meta: true,
  type,
  text: midiBytes(words),
});

/**
 * A guide track as a standard MIDI file of three tracks: tempo and the names of steps as markers; the tune with its syllables
 * as lyrics; what gives the key. Clicks are left out.
 *
 * @returns the bytes of the file
 */
export function midiOfTrack(track: GuideTrack, title: string): Uint8Array {
  const tick = ticksAt(track.tempos);
  const tempos = track.tempos.map(({ at, tempo }, index): Timed => ({
    at: index === 0 ? 0 : tick(at),
    deltaTime: 0,
    meta: true,
    type: 'setTempo',
    microsecondsPerBeat: Math.round(MICROSECONDS_A_MINUTE / tempo),
  }));
  const tune = track.events.filter(({ role }) => role === 'tune');
  const cue = track.events.filter(({ role }) => role !== 'tune' && role !== 'click');
  const tracks = [
    [
      text(0, 'trackName', title),
      ...tempos,
      ...track.steps.map(({ startsAt, name }) => text(tick(startsAt), 'marker', name)),
    ],
    [
      text(0, 'trackName', 'Tune'),
      ...track.words.map(({ at, text: word }) => text(tick(at), 'lyrics', word)),
      ...notes(tune, 0, tick),
    ],
    [text(0, 'trackName', 'Cue'), ...notes(cue, 1, tick)],
  ];
  const header = { format: 1 as const, numTracks: tracks.length, ticksPerBeat: TICKS };
  return Uint8Array.from(writeMidi({ header, tracks: tracks.map(inOrder) }));
}
