import { mixer } from '@soft-lark/core';
import toWav from 'audiobuffer-to-wav';
import { ID3Writer } from 'browser-id3-writer';
import { strToU8, zipSync } from 'fflate';
import { createMp3Encoder } from 'wasm-media-encoders';
import { MP3_KBPS, SOUND_RATE, type TrackOrder } from './track-order.ts';

/** Frames that are mixed at once: some three seconds. */
const BLOCK = 131_072;
/** The last key dies away. */
const TAIL_SECONDS = 1;

interface Stretch {
  readonly title: string;
  readonly place: number;
  readonly from: number;
  readonly frames: number;
}

type Render = (stretch: Stretch, onFrames: (frames: number) => void) => Uint8Array;

function blocksOf({ from, frames }: Stretch): readonly { readonly at: number; readonly length: number }[] {
  return Array.from({ length: Math.ceil(frames / BLOCK) }, (_, index) => ({
    at: from + (index * BLOCK) / SOUND_RATE,
    length: Math.min(BLOCK, frames - index * BLOCK),
  }));
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/** Tags: what it is, from whom, where each step begins. */
function tagged(
  bytes: Uint8Array,
  { title, place }: Stretch,
  { title: album, studio, contents }: TrackOrder,
): Uint8Array {
  const writer = new ID3Writer(Uint8Array.from(bytes).buffer)
    .setFrame('TIT2', title)
    .setFrame('TPE1', [studio])
    .setFrame('TALB', album)
    .setFrame('TRCK', String(place))
    .setFrame('USLT', { description: '', lyrics: contents, language: 'eng' });
  return new Uint8Array(writer.addTag());
}

async function renderer(order: TrackOrder): Promise<Render> {
  const mix = mixer(order.track.events, order.samples, { rate: SOUND_RATE, tuning: order.tuning });
  if (order.format === 'mp3') {
    const encoder = await createMp3Encoder();
    return (stretch, onFrames) => {
      encoder.configure({ channels: 1, sampleRate: SOUND_RATE, bitrate: MP3_KBPS });
      const parts = blocksOf(stretch).map(({ at, length }) => {
        onFrames(length);
        // What the encoder hands out is its own memory, which the next block writes over.
        return encoder.encode([mix(at, length)]).slice();
      });
      return tagged(joined([...parts, encoder.finalize().slice()]), stretch, order);
    };
  }
  return (stretch, onFrames) => {
    const wave = new Float32Array(stretch.frames);
    for (const [index, { at, length }] of blocksOf(stretch).entries()) {
      wave.set(mix(at, length), index * BLOCK);
      onFrames(length);
    }
    const buffer = { sampleRate: SOUND_RATE, numberOfChannels: 1, getChannelData: () => wave };
    return new Uint8Array(toWav(buffer as unknown as AudioBuffer));
  };
}

const framesOf = (seconds: number): number => Math.round(seconds * SOUND_RATE);

function stretchesOf({ track, isSplit, title }: TrackOrder): readonly Stretch[] {
  if (!isSplit) return [{ title, place: 1, from: 0, frames: framesOf(track.seconds + TAIL_SECONDS) }];
  return track.steps.map(({ name, startsAt, seconds }, index) => ({
    title: name,
    place: index + 1,
    from: startsAt,
    frames: framesOf(seconds + TAIL_SECONDS),
  }));
}

/** A file name as it may stand in an archive. */
const plain = (name: string): string => name.replaceAll(/[^\p{L}\p{N}]+/gu, ' ').trim();

/**
 * A guide track as a sound file, or as an archive with one for each step and a list of them.
 *
 * @param onProgress share that is done, 0–1
 */
export async function renderTrack(order: TrackOrder, onProgress: (share: number) => void): Promise<Uint8Array> {
  const render = await renderer(order);
  const stretches = stretchesOf(order);
  const all = stretches.reduce((sum, { frames }) => sum + frames, 0);
  let done = 0;
  const count = (frames: number): void => {
    done += frames;
    onProgress(done / all);
  };
  const [whole] = stretches;
  if (!order.isSplit) return whole ? render(whole, count) : new Uint8Array();
  const files = stretches.map((stretch): readonly [string, Uint8Array] => [
    `${String(stretch.place).padStart(2, '0')} ${plain(stretch.title)}.${order.format}`,
    render(stretch, count),
  ]);
  // Sound is packed already: packing it once more would only take time.
  return zipSync({ ...Object.fromEntries(files), 'contents.txt': strToU8(order.contents) }, { level: 0 });
}
