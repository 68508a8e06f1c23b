import { parsePattern, type Mode } from '@soft-lark/core';
import { layStaff } from './staff.layout.ts';

const keys = (text: string, tonic: number, mode: Mode = 'major'): readonly (string | null)[] =>
  layStaff(parsePattern(text, { mode }), tonic)
    .lines.flat()
    .map(({ key }) => key);

test.each<[string, number, Mode, readonly (string | null)[]]>([
  ['1 2 3 r', 60, 'major', ['c/4', 'd/4', 'e/4', null]],
  ['1 3 5', 66, 'major', ['f#/4', 'a#/4', 'c#/5']],
  ['1 3 7', 61, 'major', ['db/4', 'f/4', 'c/5']],
  ['1 3 b5', 57, 'minor', ['a/3', 'c/4', 'eb/4']],
  ['1 7, 5,', 62, 'major', ['d/4', 'c#/4', 'a/3']],
  ['1 8 15', 48, 'major', ['c/3', 'c/4', 'c/5']],
])('%s on %p %s is spelled by its key', (text, tonic, mode, expected) => {
  expect(keys(text, tonic, mode)).toEqual(expected);
});

test.each<[string, number, Mode, string, string]>([
  ['1 2 3', 60, 'major', 'treble', 'C'],
  ['1 2 3', 62, 'dorian', 'treble', 'C'],
  ['1 2 3', 57, 'minor', 'treble', 'C'],
  ['1 2 3', 45, 'major', 'bass', 'A'],
  ['1 2 3', 55, 'mixolydian', 'treble', 'C'],
  ['1 2 3', 43, 'mixolydian', 'bass', 'C'],
])('%s on %p %s stands under its clef and signature', (text, tonic, mode, clef, signature) => {
  expect(layStaff(parsePattern(text, { mode }), tonic)).toMatchObject({ clef, signature });
});

test('long notes are tied, thirds are triplets, glides two notes with a stroke, words stand where they begin', () => {
  const [line] = layStaff(parsePattern('1:5/2 2:1/3 1~5:2', { syllables: 'loo la nay' }), 60).lines;
  expect(line?.map(({ value, isTiedOn, glidesOn, syllable }) => [value.type, isTiedOn, glidesOn, syllable])).toEqual([
    ['half', true, false, 'loo'],
    ['eighth', false, false, ''],
    ['eighth', false, false, 'la'],
    ['quarter', false, true, 'nay'],
    ['quarter', false, false, ''],
  ]);
  expect(line?.[2]?.value.tuplet).toEqual({ actual: 3, normal: 2 });
});

test('a long pattern goes on in lines of sixteen signs', () => {
  const { lines } = layStaff(parsePattern('(1 2 3 4)x10'), 60);
  expect(lines.map(({ length }) => length)).toEqual([16, 16, 8]);
});
