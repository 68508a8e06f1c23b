import { PatternError, type SoftLarkError } from '../errors.ts';
import { LONGEST_TEXT } from './longest-text.ts';

/** What one sounding token sings; `continues` where the syllable began before. */
export interface SungSyllable {
  readonly syllable: string;
  readonly continues: boolean;
}

interface WrittenSyllable {
  readonly text: string;
  readonly position: number;
}

function refuse(position: number, message: string, expected: string, values: SoftLarkError['values']): never {
  throw new PatternError('BAD_SYLLABLES', position, message, expected, values);
}

function checkWritten({ text, position }: WrittenSyllable, index: number, isLast: boolean): void {
  if (text === '_' && index === 0)
    refuse(position, 'The first note has no syllable to go on with.', 'a syllable before “_”', {
      context: 'first',
    });
  if (
    text.includes('*') &&
    (!isLast || !text.endsWith('*') || text.length === 1 || text.indexOf('*') < text.length - 1)
  ) {
    refuse(
      position,
      `“${text.slice(0, 40)}” repeats a syllable in the middle.`,
      '“*” only at the end of the last syllable',
      { context: 'repeat', word: text.slice(0, 40) },
    );
  }
}

/**
 * Deals a line of syllables out to the sounding tokens.
 *
 * @param line `no ne _ na`, `nay*`; empty for none
 * @param count number of sounding tokens
 * @returns one entry a token, or none where the line is empty
 * @throws PatternError `BAD_SYLLABLES` with the position in the line
 * @example readSyllables('nay*', 2) // nay, nay
 */
export function readSyllables(line: string, count: number): readonly SungSyllable[] {
  if (line.length > LONGEST_TEXT)
    refuse(
      LONGEST_TEXT,
      `The syllables are ${String(line.length)} characters long.`,
      `at most ${String(LONGEST_TEXT)} characters`,
      { context: 'long', long: line.length, most: LONGEST_TEXT },
    );
  const written = [...line.matchAll(/\S+/g)].map((match): WrittenSyllable => ({
    text: match[0],
    position: match.index,
  }));
  if (written.length === 0) return [];
  const extra = written[count];
  if (extra)
    refuse(
      extra.position,
      `“${extra.text.slice(0, 40)}” has no note left to be sung on.`,
      `at most ${String(count)} syllables`,
      { context: 'extra', word: extra.text.slice(0, 40), most: count },
    );
  written.forEach((syllable, index) => {
    checkWritten(syllable, index, index === written.length - 1);
  });
  const last = written.at(-1)?.text ?? '';
  const repeats = last.endsWith('*');
  let current = '';
  return Array.from({ length: count }, (_, index) => {
    const text = written[index]?.text;
    if (text !== undefined && text !== '_') {
      current = text.replace(/\*$/, '');
      return { syllable: current, continues: false };
    }
    return { syllable: current, continues: text === '_' || !repeats };
  });
}
