import { writeFileSync } from 'node:fs';
import { singersAudio, SINGERS, singNote, speakLine, type PitchFrame, type SingerName } from '@soft-lark/core';

const RATE = 44_100;
/** How long the check waits before it listens, and how long a singer takes for a note. */
const NOTE_SECONDS = 2.6;

function wavOf(samples: Float32Array): Buffer {
  const data = Buffer.alloc(44 + samples.length * 2);
  data.write('RIFF', 0);
  data.writeUInt32LE(36 + samples.length * 2, 4);
  data.write('WAVEfmt ', 8);
  data.writeUInt32LE(16, 16);
  data.writeUInt16LE(1, 20);
  data.writeUInt16LE(1, 22);
  data.writeUInt32LE(RATE, 24);
  data.writeUInt32LE(RATE * 2, 28);
  data.writeUInt16LE(2, 32);
  data.writeUInt16LE(16, 34);
  data.write('data', 36);
  data.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((sample, index) => {
    data.writeInt16LE(Math.round(Math.max(-1, Math.min(1, sample)) * 32_000), 44 + index * 2);
  });
  return data;
}

/**
 * A singer's part of a whole range check as a sound file for the browser's fake microphone: talk, then down, then up,
 * each note held long enough to be heard whenever the check asks for it.
 */
export function writeSinger(path: string, name: SingerName, talkSeconds: number): void {
  const singer = SINGERS[name];
  const frames: PitchFrame[] = [...speakLine(singer, 5, Math.floor(talkSeconds / 0.28), 0.2)];
  let at = talkSeconds;
  const sing = (midi: number): void => {
    frames.push(...singNote(singer, midi, 5, at).frames);
    at += NOTE_SECONDS;
  };
  for (let midi = singer.speakingNote; midi >= singer.comfortable.low; midi -= 1) sing(midi);
  for (let midi = singer.speakingNote + 1; midi <= singer.comfortable.high; midi += 1) sing(midi);
  writeFileSync(path, wavOf(singersAudio(frames, RATE, at + 5)));
}
