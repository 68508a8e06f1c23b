import { frequencyOf, guideTrack, type GuideTrack, type Sample } from '@soft-lark/core';
import { strFromU8, unzipSync } from 'fflate';
import { renderTrack } from './render-track.ts';
import { SOUND_RATE, type TrackOrder } from './track-order.ts';

const sample: Sample = {
  midi: 60,
  rate: SOUND_RATE,
  wave: Float32Array.from(
    { length: SOUND_RATE },
    (_, at) => Math.sin((2 * Math.PI * frequencyOf(60) * at) / SOUND_RATE) / 2,
  ),
};
const note = (startSeconds: number): GuideTrack['events'][0] => ({
  role: 'tune',
  midi: 60,
  startSeconds,
  seconds: 1,
  velocity: 0.5,
});
const order = (change: Partial<TrackOrder> = {}): TrackOrder => ({
  track: {
    ...guideTrack([], { avoid: [], gapSeconds: 3 }),
    events: [note(0), note(4)],
    steps: [
      { name: 'Thirds', startsAt: 0, seconds: 2 },
      { name: 'Up / down: “five”', startsAt: 4, seconds: 2 },
    ],
    seconds: 6,
  },
  samples: [sample],
  format: 'mp3',
  isSplit: false,
  title: 'Before the boats',
  studio: 'Tern Lock',
  tuning: 440,
  contents: '0:00  Thirds',
  ...change,
});

const ignored = (): void => undefined;
const tagOf = (bytes: Uint8Array): string => strFromU8(bytes.slice(0, 3), true);

test('an MP3 says what it is, and holds as many frames as the track lasts', async () => {
  const shares: number[] = [];
  const bytes = await renderTrack(order(), (share) => shares.push(share));
  expect(tagOf(bytes)).toBe('ID3');
  const text =
    new TextDecoder('utf-16le').decode(bytes.slice(0, 800)) + new TextDecoder('utf-16le').decode(bytes.slice(1, 801));
  for (const said of ['Before the boats', 'Tern Lock', '0:00  Thirds']) expect(text).toContain(said);
  // 96 kbit/s: 12,000 bytes a second, six seconds and one to die away.
  expect(bytes.length).toBeGreaterThan(12_000 * 6.9);
  expect(bytes.length).toBeLessThan(12_000 * 7.4);
  expect(shares.at(-1)).toBe(1);
});

test('a WAV has each note at its place and silence between', async () => {
  const bytes = await renderTrack(order({ format: 'wav' }), ignored);
  expect(bytes.length).toBe(44 + 7 * SOUND_RATE * 2);
  const wave = new Int16Array(bytes.buffer, 44);
  const loudest = (from: number, to: number): number =>
    wave.slice(from * SOUND_RATE, to * SOUND_RATE).reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  expect(loudest(0, 1)).toBeGreaterThan(8_000);
  expect(loudest(2, 4)).toBe(0);
  expect(loudest(4, 5)).toBeGreaterThan(8_000);
});

test('one a step: numbered files that any system takes, each from its own beginning, with a list', async () => {
  const files = unzipSync(await renderTrack(order({ isSplit: true }), ignored));
  expect(Object.keys(files)).toEqual(['01 Thirds.mp3', '02 Up down five.mp3', 'contents.txt']);
  for (const name of ['01 Thirds.mp3', '02 Up down five.mp3']) {
    expect(tagOf(files[name] ?? new Uint8Array())).toBe('ID3');
    expect((files[name]?.length ?? 0) / 12_000).toBeCloseTo(3, 0);
  }
});

test('two steps of one name keep a file each', async () => {
  const { track } = order();
  const twice = { ...track, steps: track.steps.map((step) => ({ ...step, name: 'Thirds' })) };
  expect(
    Object.keys(unzipSync(await renderTrack(order({ track: twice, isSplit: true, format: 'wav' }), ignored))),
  ).toHaveLength(3);
});
