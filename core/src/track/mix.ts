import { frequencyOf } from '../pitch/index.ts';
import { KNOCK_HZ, knockWave, type SoundEvent } from '../sound/index.ts';

/** One recorded note: a single channel, `rate` frames a second. */
export interface Sample {
  readonly midi: number;
  readonly rate: number;
  readonly wave: Float32Array;
}

export interface MixChoices {
  /** Frames a second of what comes out. */
  readonly rate: number;
  /** Hz of A4, 380–480. */
  readonly tuning?: number;
}

/** Mixes a stretch of a track: `frames` of it from second `from`, −1 to 1. */
export type Mixer = (from: number, frames: number) => Float32Array;

/** As the piano of the page lets a key go: the string dies away in this time, to a thousandth. */
export const RELEASE_SECONDS = 0.4;
const RELEASED = 0.001;
/** The recorded notes are soft; so much louder they fill a file without a full chord being bent. */
const GAIN = 1.6;
/** House choice: above this the sound is bent instead of cut, so that full chords do not crackle. */
const BENT_FROM = 0.8;

interface Voice {
  readonly startsAt: number;
  readonly endsAt: number;
  readonly releasedAt: number;
  readonly velocity: number;
  readonly wave: Float32Array;
  /** Frames of the sample for each frame of the mix. */
  readonly speed: number;
}

function nearestSample(midi: number, samples: readonly Sample[]): Sample | undefined {
  return samples.reduce<Sample | undefined>(
    (best, one) => (!best || Math.abs(one.midi - midi) < Math.abs(best.midi - midi) ? one : best),
    undefined,
  );
}

function voiceOf(event: SoundEvent, samples: readonly Sample[], knock: Float32Array, choices: MixChoices): Voice[] {
  const { rate, tuning = 440 } = choices;
  const { role, midi, startSeconds, seconds, velocity } = event;
  const sample = role === 'click' ? undefined : nearestSample(midi, samples);
  if (role !== 'click' && !sample) return [];
  const wave = sample?.wave ?? knock;
  const speed = sample
    ? (frequencyOf(midi, tuning) / frequencyOf(sample.midi)) * (sample.rate / rate)
    : frequencyOf(midi) / KNOCK_HZ;
  const lasts = Math.min(seconds + RELEASE_SECONDS, wave.length / speed / rate);
  return [
    { startsAt: startSeconds, endsAt: startSeconds + lasts, releasedAt: startSeconds + seconds, velocity, wave, speed },
  ];
}

const bent = (value: number): number => {
  const size = Math.abs(value);
  if (size <= BENT_FROM) return value;
  const room = 1 - BENT_FROM;
  return Math.sign(value) * (BENT_FROM + room * Math.tanh((size - BENT_FROM) / room));
};

/** Adds what of a voice falls into a block that begins at frame `first`. */
function addVoice(block: Float32Array, first: number, voice: Voice, rate: number): void {
  const { wave, speed, velocity } = voice;
  const start = Math.round(voice.startsAt * rate);
  const begin = Math.max(first, start);
  const end = Math.min(first + block.length, Math.floor(voice.endsAt * rate));
  const released = Math.round(voice.releasedAt * rate);
  const dying = RELEASED ** (1 / (RELEASE_SECONDS * rate));
  let level = GAIN * velocity * (begin > released ? dying ** (begin - released) : 1);
  for (let frame = begin; frame < end; frame += 1) {
    const place = (frame - start) * speed;
    const below = Math.floor(place);
    const here = wave[below] ?? 0;
    const next = wave[below + 1] ?? 0;
    const at = frame - first;
    block[at] = (block[at] ?? 0) + (here + (next - here) * (place - below)) * level;
    if (frame >= released) level *= dying;
  }
}

/**
 * Mixes events from recorded notes, a stretch at a time, so that no track is ever whole in memory. Each event plays the
 * sample that lies nearest to its pitch, faster or slower.
 *
 * @example mixer(track.events, samples, { rate: 44100 })(0, 44100) // its first second
 */
export function mixer(events: readonly SoundEvent[], samples: readonly Sample[], choices: MixChoices): Mixer {
  const { rate } = choices;
  const knock = knockWave(rate);
  const voices = events.flatMap((event) => voiceOf(event, samples, knock, choices));
  return (from, frames) => {
    const block = new Float32Array(frames);
    const first = Math.round(from * rate);
    const until = from + frames / rate;
    for (const voice of voices) if (voice.startsAt < until && voice.endsAt > from) addVoice(block, first, voice, rate);
    return block.map(bent);
  };
}
