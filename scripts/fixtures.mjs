// npm run fixtures: what other programs make of the files written here, kept so that the tests need none of them.
// Debian's packages: lilypond (musicxml2ly), abcmidi (abc2midi), midicsv.
import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { abcOf, melodyOf, midiFileOf, musicXmlOf, parsePattern } from '../core/dist/index.js';
import { project } from './run.mjs';

const kept = join(project, 'core/src/formats/fixtures');
const work = mkdtempSync(join(tmpdir(), 'fixtures-'));
const run = (command, ...values) => execFileSync(command, values, { cwd: work, stdio: 'pipe' });

for (const { name, pattern, mode, syllables, tonic, tempo } of JSON.parse(readFileSync(join(kept, 'patterns.json')))) {
  const melody = melodyOf(parsePattern(pattern, { mode, syllables }), tonic, name, tempo);
  writeFileSync(join(work, `${name}.musicxml`), musicXmlOf(melody));
  writeFileSync(join(work, `${name}.abc`), abcOf(melody));
  writeFileSync(join(work, `${name}.mid`), midiFileOf(melody));
  run('musicxml2ly', '--midi', '--output', `${name}.ly`, `${name}.musicxml`);
  run('lilypond', '-dno-print-pages', '--output', `${name}-lilypond`, `${name}.ly`);
  run('abc2midi', `${name}.abc`, '-o', `${name}-abc2midi.midi`);
  run('midicsv', `${name}.mid`, `${name}-midicsv.csv`);
  for (const file of [`${name}-lilypond.midi`, `${name}-abc2midi.midi`, `${name}-midicsv.csv`])
    copyFileSync(join(work, file), join(kept, file));
  console.log(name);
}
// A file of another program altogether: two voices, a chord, grace notes, written by abc2midi from a tune kept beside it.
run('abc2midi', join(kept, 'two-boats.abc'), '-o', 'two-boats.midi');
copyFileSync(join(work, 'two-boats.midi'), join(kept, 'two-boats.midi'));
