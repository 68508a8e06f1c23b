/** The vocabularies whose words a statement may hold; the page has each word in its language. */
export type Vocabulary =
  'goal' | 'condition' | 'style' | 'voice' | 'stage' | 'caution' | 'obstacle' | 'pull' | 'anchor' | 'rule-row';

/** A word of a vocabulary. */
export interface Word {
  readonly word: string;
  readonly of: Vocabulary;
}

/**
 * What stands in a statement. Names of exercises and plain figures stand as they are; what a reader has ways of one's
 * own to write says what it is: notes and intervals as MIDI numbers, times in seconds, shares from 0 to 1, decimals, ISO days.
 */
export type StatementValue =
  | string
  | number
  | { readonly note: number }
  | { readonly interval: { readonly low: number; readonly high: number } }
  | { readonly seconds: number }
  | { readonly share: number }
  | { readonly decimal: number }
  | { readonly day: string }
  | Word
  | Statement
  | readonly StatementValue[];

/** Something for a page to say: which sentence, by its address in the catalogue, and what stands in it. */
export interface Statement<Code extends string = string> {
  readonly code: Code;
  readonly values?: Readonly<Record<string, StatementValue>>;
}

/** The words of a list that come from one vocabulary. */
export function wordsOf(of: Vocabulary, words: readonly string[]): readonly Word[] {
  return words.map((word) => ({ word, of }));
}
