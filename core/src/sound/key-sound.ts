import { isSounding, type Pattern, type SoundingEvent } from '../pattern/index.ts';
import type { Help } from '../shelf/index.ts';
import type { PitchRange } from '../voice/index.ts';
import type { SoundEvent } from './sound.types.ts';
import { voiceChord } from './voice-chord.ts';

const STACCATO_SHARE = 0.45;
const FULL_SHARE = 0.98;
const LOUDNESS = { bass: 0.42, chord: 0.46, 'first-note': 0.62, tune: 0.58 };

/** One key to be played. Tempo in beats per minute; `cueBeats` are shared by the chord and the first note. */
export interface KeySoundInput {
  readonly pattern: Pattern;
  readonly tonic: number;
  readonly tempo: number;
  readonly cueBeats: number;
  readonly avoid: readonly PitchRange[];
  /** Who sounds; left out the tune is played with the student. */
  readonly help?: Help;
}

function firstSounding(pattern: Pattern): SoundingEvent | undefined {
  return pattern.events.find(isSounding);
}

function cueEvents({ pattern, tonic, cueBeats, tempo, avoid }: KeySoundInput): SoundEvent[] {
  const half = (cueBeats * 30) / tempo;
  const first = firstSounding(pattern);
  if (half === 0 || !first) return [];
  const { bass, notes } = voiceChord(tonic, pattern.mode, avoid);
  const chord = notes.map((midi): SoundEvent => ({
    role: 'chord',
    midi,
    startSeconds: 0,
    seconds: half,
    velocity: LOUDNESS.chord,
  }));
  const low: SoundEvent[] =
    bass === null ? [] : [{ role: 'bass', midi: bass, startSeconds: 0, seconds: half, velocity: LOUDNESS.bass }];
  const lead: SoundEvent = {
    role: 'first-note',
    midi: tonic + first.from,
    startSeconds: half,
    seconds: half,
    velocity: LOUDNESS['first-note'],
  };
  return [...low, ...chord, lead];
}

function isStaccato(pattern: Pattern, index: number): boolean {
  return (pattern.marks ?? []).some(({ kind, first, last }) => kind === 'staccato' && index >= first && index <= last);
}

/** A piano cannot glide: a glide sounds where it begins and where it arrives. */
function tuneOf(
  event: SoundingEvent,
  startSeconds: number,
  seconds: number,
  share: number,
): { midi: number; startSeconds: number; seconds: number }[] {
  if (event.kind === 'note') return [{ midi: event.from, startSeconds, seconds: seconds * share }];
  const half = seconds / 2;
  return [
    { midi: event.from, startSeconds, seconds: half },
    { midi: event.to, startSeconds: startSeconds + half, seconds: half * share },
  ];
}

/** What of a key sounds by who sounds in it; alone the student is given the first note and nothing else. */
const SOUNDS: Readonly<Record<Help, readonly SoundEvent['role'][]>> = {
  shown: ['bass', 'chord', 'first-note', 'tune'],
  together: ['bass', 'chord', 'first-note', 'tune'],
  'cue-only': ['bass', 'chord', 'first-note'],
  alone: ['first-note'],
};

/**
 * What the piano plays for one key: the chord and the first note, then the pattern, as far as the key's help goes.
 * Nothing sounds inside a zone unless the pattern itself does, and the ladder has struck such keys.
 *
 * @returns events in order of their start
 * @example a pattern in C at 120 bpm with a cue of 4 beats: the chord at 0 s, the first note at 1 s, the tune from 2 s
 */
export function keySound(input: KeySoundInput): readonly SoundEvent[] {
  const { pattern, tonic, tempo, cueBeats, help = 'together' } = input;
  let clock = (cueBeats * 60) / tempo;
  const tune = pattern.events.flatMap((event, index) => {
    const startSeconds = clock;
    const seconds = (event.beats * 60) / tempo;
    clock += seconds;
    if (!isSounding(event)) return [];
    const share = isStaccato(pattern, index) ? STACCATO_SHARE : FULL_SHARE;
    return tuneOf(event, startSeconds, seconds, share).map((note): SoundEvent => ({
      role: 'tune',
      velocity: LOUDNESS.tune,
      ...note,
      midi: note.midi + tonic,
    }));
  });
  return [...cueEvents(input), ...tune].filter(({ role }) => SOUNDS[help].includes(role));
}
