import type { TFunction } from 'i18next';
import { terms, TERM_NAMES, type TermName } from '../text/en-terms.ts';

/** Terms that are known by their words alone, wherever they stand. */
type PlainTerm = {
  [Name in TermName]: (typeof terms)[Name] extends { readonly inSentences: string } ? Name : never;
}[TermName];

const PLAIN_TERMS = TERM_NAMES.filter((name): name is PlainTerm => 'inSentences' in terms[name]);

/** One term for each word that means it, and one pattern that finds them all. */
interface Finder {
  readonly pattern: RegExp;
  readonly termOf: ReadonlyMap<string, TermName>;
}

/** By language: a page has many sentences, and its language has the same words for all of them. */
const finders = new WeakMap<TFunction, Finder>();

export function finderIn(t: TFunction): Finder {
  const made = finders.get(t);
  if (made) return made;
  const termOf = new Map(
    PLAIN_TERMS.flatMap((name) =>
      t(`terms.${name}.inSentences`)
        .split('|')
        .map((word) => [word.toLowerCase(), name] as const),
    ),
  );
  const longestFirst = [...termOf.keys()].sort((one, other) => other.length - one.length);
  const finder = { pattern: new RegExp(`(?<![\\p{L}-])(${longestFirst.join('|')})(?![\\p{L}-])`, 'giu'), termOf };
  finders.set(t, finder);
  return finder;
}

/** The terms that stand in a text, each once, in the order of the list of terms. */
export function termsIn(t: TFunction, text: string): readonly TermName[] {
  const { pattern, termOf } = finderIn(t);
  const found = new Set([...text.matchAll(pattern)].map(([word]) => termOf.get(word.toLowerCase())));
  return TERM_NAMES.filter((name) => found.has(name));
}
