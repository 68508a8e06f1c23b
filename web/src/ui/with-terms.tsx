import type { TFunction } from 'i18next';
import { Fragment, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { terms, TERM_NAMES, type TermName } from '../text/en-terms.ts';
import { Term } from './term.tsx';

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

function finderIn(t: TFunction): Finder {
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

/** A sentence in which each term of the trade, where it stands first, says what is meant when it is pressed. */
export function WithTerms({ children: sentence }: { readonly children: string }): ReactElement {
  const { t } = useTranslation();
  const { pattern, termOf } = finderIn(t);
  const said = new Set<TermName>();
  return (
    <>
      {sentence.split(pattern).map((piece, index) => {
        const name = termOf.get(piece.toLowerCase());
        if (!name || said.has(name)) return <Fragment key={index}>{piece}</Fragment>;
        said.add(name);
        return (
          <Term key={index} name={name}>
            {piece}
          </Term>
        );
      })}
    </>
  );
}
