import { isSounding, type Pattern, type SoundingEvent } from '../pattern/index.ts';
import type { Help } from '../shelf/index.ts';
import type { PitchRange } from '../voice/index.ts';
import { clickSound } from './click-sound.ts';
import { PART_OF, USUAL_SOUND, type Cue, type SoundChoices } from './sound-choices.ts';
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
  /** Semitones at which the tune and its first note sound as well, for those who sing it there. */
  readonly octaves?: readonly number[];
  /** Left out as usual: the chord, then the first note, no click. */
  readonly choices?: SoundChoices;
}

/** Which share of the cue each of its parts takes, from where to where; what is not there does not sound. */
const CUE_TIMES: Readonly<Record<Cue, Partial<Record<'bass' | 'chord' | 'first-note', readonly [number, number]>>>> = {
  'chord-and-note': { bass: [0, 0.5], chord: [0, 0.5], 'first-note': [0.5, 1] },
  chord: { bass: [0, 1], chord: [0, 1] },
  note: { 'first-note': [0.5, 1] },
  'bass-and-chord': { bass: [0, 0.5], chord: [0.5, 1] },
};

function firstSounding(pattern: Pattern): SoundingEvent | undefined {
  return pattern.events.find(isSounding);
}

/** Alone the student is given the first note and nothing else, whatever is usual. */
function cueEvents({
  pattern,
  tonic,
  cueBeats,
  tempo,
  avoid,
  help,
  octaves = [],
  choices,
}: KeySoundInput): SoundEvent[] {
  const seconds = (cueBeats * 60) / tempo;
  const first = firstSounding(pattern);
  if (seconds === 0 || !first) return [];
  const { bass, notes } = voiceChord(tonic, pattern.mode, avoid);
  const firstNotes = [0, ...octaves].map((octave) => tonic + octave + first.from);
  const pitches = { bass: bass === null ? [] : [bass], chord: notes, 'first-note': firstNotes };
  const times = CUE_TIMES[help === 'alone' ? 'note' : (choices ?? USUAL_SOUND).cue];
  return (['bass', 'chord', 'first-note'] as const).flatMap((role) => {
    const [from, to] = times[role] ?? [0, 0];
    if (from === to) return [];
    return pitches[role].map((midi): SoundEvent => ({
      role,
      midi,
      startSeconds: from * seconds,
      seconds: (to - from) * seconds,
      velocity: LOUDNESS[role],
    }));
  });
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

/** By who sounds: whether the piano plays the tune. */
const PLAYS_TUNE: Readonly<Record<Help, boolean>> = { shown: true, together: true, 'cue-only': false, alone: false };

/** The tune of a key that is only shown, an octave away where the teacher sings; at the student’s where a zone is there. */
function shownAt(
  tune: readonly SoundEvent[],
  { avoid, help, choices = USUAL_SOUND }: KeySoundInput,
): readonly SoundEvent[] {
  if (help !== 'shown') return tune;
  const moved = tune.map((event) => ({ ...event, midi: event.midi + choices.shownAt }));
  return moved.some(({ midi }) => avoid.some(({ low, high }) => midi >= low && midi <= high)) ? tune : moved;
}

function byLoudness(events: readonly SoundEvent[], { levels }: SoundChoices): readonly SoundEvent[] {
  return events
    .map((event) => ({ ...event, velocity: event.velocity * levels[PART_OF[event.role]] }))
    .filter(({ velocity }) => velocity > 0);
}

/**
 * What is played for one key: the cue, then the pattern, as far as the key's help goes, with a click where one is wanted.
 * Nothing sounds inside a zone unless the pattern itself does, and the ladder has struck such keys.
 *
 * @returns events of the cue, of the tune, and clicks, each in order of their start
 * @example a pattern in C at 120 bpm with a cue of 4 beats: the chord at 0 s, the first note at 1 s, the tune from 2 s
 */
export function keySound(input: KeySoundInput): readonly SoundEvent[] {
  const { pattern, tonic, tempo, cueBeats, help = 'together', octaves = [], choices = USUAL_SOUND } = input;
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
  const further = octaves.flatMap((octave) => tune.map((event) => ({ ...event, midi: event.midi + octave })));
  const inOrder = [...tune, ...further].sort((one, other) => one.startSeconds - other.startSeconds);
  const played = PLAYS_TUNE[help] ? shownAt(inOrder, input) : [];
  return byLoudness(
    [...cueEvents(input), ...played, ...clickSound(choices.click, tempo, cueBeats, pattern.beats)],
    choices,
  );
}
