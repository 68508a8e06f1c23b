import { formatPattern, parsePattern } from '../pattern/index.ts';
import { heldNotes, singNote, SINGERS, type PitchFrame } from '../listening/index.ts';
import { thrownBy } from '../testing/thrown.ts';
import { melodyOfPlayed, patternOfMelody, proposeTonic, type PlayedNote } from './index.ts';

const textOf = (notes: readonly PlayedNote[], tempo: number): string => {
  const melody = melodyOfPlayed(notes, tempo);
  return patternOfMelody(melody, proposeTonic(melody)).pattern;
};
const at = (midi: number, startSeconds: number, seconds?: number): PlayedNote => ({
  midi,
  startSeconds,
  ...(seconds !== undefined && { seconds }),
});

test.each<[string, PlayedNote[], number, string]>([
  ['steady notes', [at(60, 0), at(62, 1), at(64, 2), at(60, 3)], 60, '1 2 3 1'],
  ['not quite in time', [at(60, 0), at(62, 1.1), at(64, 1.9), at(60, 3.04, 2)], 60, '1 2 3 1:2'],
  ['twice as fast', [at(60, 0), at(62, 0.5), at(60, 1)], 60, '1:1/2 2:1/2 1'],
  ['a breath is no rest', [at(60, 0, 0.6), at(67, 1, 0.9), at(60, 2, 1)], 60, '1 5 1'],
  ['a silence is one', [at(60, 0, 1), at(60, 3, 1)], 60, '1 r:2 1'],
  ['in any order, at a quick tempo', [at(67, 0.5), at(72, 0)], 120, '4 1'],
])('%s become a pattern', (_, notes, tempo, text) => {
  expect(textOf(notes, tempo)).toBe(text);
});

test('nothing heard is said', () => {
  expect(thrownBy(() => melodyOfPlayed([], 84))).toMatchObject({ code: 'NO_NOTES' });
});

test('what the simulated singer sings comes back as the pattern it sang', () => {
  const pattern = parsePattern('1 3 5 3 1:2');
  const frames: PitchFrame[] = [];
  let clock = 0;
  for (const { from = 0 } of pattern.events) {
    const sung = singNote(SINGERS.steady, 57 + from, 3, clock);
    frames.push(...sung.frames);
    clock = (sung.frames.at(-1)?.t ?? clock) + 0.02;
  }
  const notes = heldNotes(frames, 0.2).map(({ midi, startSeconds, seconds }) => ({ midi, startSeconds, seconds }));
  const melody = melodyOfPlayed(notes, 60);
  const { pattern: text } = patternOfMelody(melody, 57);
  expect(text.replaceAll(/:[\d/]+/g, '')).toBe(formatPattern(pattern).replaceAll(/:[\d/]+/g, ''));
});
