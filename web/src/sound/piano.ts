import { frequencyOf, KNOCK_HZ, knockWave, type SoundEvent } from '@soft-lark/core';
import type * as Tone from 'tone';
import { soundContext } from './output.ts';

/** Every third semitone from C2 to C6; the notes between are tuned from their neighbours. */
const SAMPLES = Array.from({ length: 17 }, (_, index) => 36 + index * 3);
/** So much ahead even the first event is on the audio clock in time. */
const LEAST_DELAY = 0.06;
const RELEASE_SECONDS = 0.4;

export type PianoState = 'idle' | 'loading' | 'ready' | 'failed';

let tone: typeof Tone | undefined;
let state: PianoState = 'idle';
/** Samples that are there or on their way; one that failed is asked for again. */
const loads = new Map<number, Promise<void>>();
const samples = new Map<number, AudioBuffer>();
/** What sounds or will sound, each already on the audio clock. */
const sources = new Set<Tone.ToneBufferSource>();
let waiting = 0;
let tuning = 440;
let knock: AudioBuffer | undefined;
const listeners = new Set<() => void>();

function become(next: PianoState): void {
  state = next;
  for (const listener of listeners) listener();
}

export function soundAddress(midi: number): string {
  return `/sounds/${String(midi)}.mp3`;
}

function nearestTo(pitch: number, notes: readonly number[]): number {
  return notes.reduce((best, note) => (Math.abs(note - pitch) < Math.abs(best - pitch) ? note : best));
}

/** Samples that stand nearest to some pitches: these are wanted first. */
export function samplesFor(pitches: readonly number[]): readonly number[] {
  return [...new Set(pitches.map((pitch) => nearestTo(pitch, SAMPLES)))];
}

function whenIdle(work: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(work);
  else setTimeout(work, 400);
}

/** The library on the browser's own context: its wrapper cannot be sent to another device. */
async function openTone(): Promise<typeof Tone> {
  const opened = await import('tone');
  if (!tone) opened.setContext(soundContext());
  tone = opened;
  return opened;
}

async function addSample(note: number, context: Tone.BaseContext): Promise<void> {
  const response = await fetch(soundAddress(note));
  if (!response.ok) throw new Error(`Sound ${String(note)} is missing.`);
  samples.set(note, await context.decodeAudioData(await response.arrayBuffer()));
}

async function addSamples(notes: readonly number[], context: Tone.BaseContext): Promise<void> {
  await Promise.all(
    notes.map(async (note) => {
      const load = loads.get(note) ?? addSample(note, context);
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
    const context = (await openTone()).getContext();
    await addSamples(samplesFor(pitches), context);
    waiting -= 1;
    // Ready only when all that was asked for meanwhile is there.
    if (waiting === 0) become('ready');
    whenIdle(() => void addSamples(SAMPLES, context).catch(() => undefined));
  } catch {
    waiting -= 1;
    become('failed');
  }
}

/** Lets the browser play: call it from a press, also where nothing was loaded yet. */
export async function wakePiano(): Promise<void> {
  if (tone) await tone.start();
  else if ('AudioContext' in window) await soundContext().resume();
}

/** Seconds on the clock that the piano goes by: that of the audio, or of the page while there is none. */
export function pianoTime(): number {
  return tone && state === 'ready' ? tone.immediate() : performance.now() / 1000;
}

/**
 * Plays events from now on, instead of what was playing. All are put on the audio clock at once, so that a busy page delays
 * none. (The library's transport is no help: it skips what stands at its very start when the start, reckoned into its ticks
 * and back, comes out a hair earlier, which is one start in twelve.)
 *
 * @param dueAt when they are to begin, by `pianoTime`; what is due in the past begins at once
 * @returns when they begin
 */
export function playPiano(events: readonly SoundEvent[], dueAt = 0): number {
  if (!tone || state !== 'ready') return Math.max(dueAt, pianoTime());
  // Made before the clock is read: on a slow machine the making alone takes longer than the delay.
  const made = sourcesOf(events, tone);
  const begin = Math.max(dueAt, tone.immediate() + LEAST_DELAY);
  stopPiano(dueAt > 0 ? begin : tone.immediate());
  for (const { source, event } of made) {
    sources.add(source);
    source.start(begin + event.startSeconds, 0, event.seconds, event.velocity);
  }
  return begin;
}

/** A source for each event whose sample is there, not started yet. */
function sourcesOf(
  events: readonly SoundEvent[],
  { ToneBufferSource, getContext }: typeof Tone,
): readonly { readonly source: Tone.ToneBufferSource; readonly event: SoundEvent }[] {
  const notes = [...samples.keys()];
  return events.flatMap((event) => {
    const { url, playbackRate } = sourceOf(event, notes, getContext());
    if (!url) return [];
    const source = new ToneBufferSource({
      url,
      playbackRate,
      fadeOut: RELEASE_SECONDS,
      curve: 'exponential',
      onended: () => sources.delete(source),
    }).toDestination();
    return [{ source, event }];
  });
}

/** What sounds from now on is tuned so. @param a4 Hz, 380–480 */
export function tunePiano(a4: number): void {
  tuning = a4;
}

function knockIn(context: Tone.BaseContext): AudioBuffer {
  const wave = knockWave(context.sampleRate);
  const buffer = context.createBuffer(1, wave.length, context.sampleRate);
  buffer.getChannelData(0).set(wave);
  return buffer;
}

/** What is played for an event, and how fast, so that it has the pitch that is wanted. */
function sourceOf(
  { role, midi }: SoundEvent,
  notes: readonly number[],
  context: Tone.BaseContext,
): { readonly url: AudioBuffer | undefined; readonly playbackRate: number } {
  if (role === 'click') {
    knock ??= knockIn(context);
    return { url: knock, playbackRate: frequencyOf(midi) / KNOCK_HZ };
  }
  const note = nearestTo(midi, notes);
  return { url: samples.get(note), playbackRate: frequencyOf(midi, tuning) / frequencyOf(note) };
}

/** Silences what sounds, and what is yet to come; at once where no time is said. */
export function stopPiano(at = tone?.immediate()): void {
  for (const source of sources) source.stop(at);
  sources.clear();
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
