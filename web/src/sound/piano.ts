import { frequencyOf, type SoundEvent } from '@soft-lark/core';
import type * as Tone from 'tone';

/** Every third semitone from C2 to C6; the notes between are tuned from their neighbours. */
const SAMPLES = Array.from({ length: 17 }, (_, index) => 36 + index * 3);
const FIRST_DELAY = 0.06;

export type PianoState = 'idle' | 'loading' | 'ready' | 'failed';

let tone: typeof Tone | undefined;
let sampler: Tone.Sampler | undefined;
let state: PianoState = 'idle';
/** Samples that are there or on their way; one that failed is asked for again. */
const loads = new Map<number, Promise<void>>();
let waiting = 0;
const listeners = new Set<() => void>();

function become(next: PianoState): void {
  state = next;
  for (const listener of listeners) listener();
}

function addressOf(midi: number): string {
  return `/sounds/${String(midi)}.mp3`;
}

/** Samples that stand nearest to some pitches: these are wanted first. */
export function samplesFor(pitches: readonly number[]): readonly number[] {
  const nearest = (pitch: number): number =>
    SAMPLES.reduce((best, note) => (Math.abs(note - pitch) < Math.abs(best - pitch) ? note : best));
  return [...new Set(pitches.map(nearest))];
}

function whenIdle(work: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(work);
  else setTimeout(work, 400);
}

async function addSample(note: number, instrument: Tone.Sampler): Promise<void> {
  const response = await fetch(addressOf(note));
  if (!response.ok) throw new Error(`Sound ${String(note)} is missing.`);
  const buffer = await instrument.context.rawContext.decodeAudioData(await response.arrayBuffer());
  instrument.add(note as never, buffer);
}

async function addSamples(notes: readonly number[], instrument: Tone.Sampler): Promise<void> {
  await Promise.all(
    notes.map(async (note) => {
      const load = loads.get(note) ?? addSample(note, instrument);
      loads.set(note, load);
      try {
        await load;
      } catch (cause) {
        loads.delete(note);
        throw cause;
      }
    }),
  );
}

/** Loads the samples of some pitches now, and the rest while nothing else is going on. */
export async function loadPiano(pitches: readonly number[]): Promise<void> {
  if (state !== 'ready') become('loading');
  waiting += 1;
  try {
    tone ??= await import('tone');
    sampler ??= new tone.Sampler({ release: 0.4 }).toDestination();
    await addSamples(samplesFor(pitches), sampler);
    waiting -= 1;
    // Ready only when all that was asked for meanwhile is there.
    if (waiting === 0) become('ready');
    const instrument = sampler;
    whenIdle(() => void addSamples(SAMPLES, instrument).catch(() => undefined));
  } catch {
    waiting -= 1;
    become('failed');
  }
}

/** Lets the browser play: call it from a press. */
export async function wakePiano(): Promise<void> {
  await tone?.start();
}

/** Plays events from now on, instead of what was playing; each is scheduled ahead on the audio clock. */
export function playPiano(events: readonly SoundEvent[], a4 = 440): void {
  if (!tone || !sampler || state !== 'ready') return;
  const instrument = sampler;
  stopPiano();
  const transport = tone.getTransport();
  for (const { midi, startSeconds, seconds, velocity } of events) {
    transport.schedule((time) => {
      instrument.triggerAttackRelease(frequencyOf(midi, a4), seconds, time, velocity);
    }, startSeconds);
  }
  transport.start(`+${String(FIRST_DELAY)}`, 0);
}

export function stopPiano(): void {
  if (!tone || !sampler) return;
  const transport = tone.getTransport();
  transport.stop();
  transport.cancel(0);
  sampler.releaseAll();
}

export function pianoState(): PianoState {
  return state;
}

export function onPianoState(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}
