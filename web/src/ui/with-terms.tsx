import { Fragment, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { terms, TERM_NAMES, type TermName } from '../text/en-terms.ts';
import { Term } from './term.tsx';

interface Meant {
  readonly name: TermName;
  readonly words: readonly string[];
}

/** One term for each word that means it, and one pattern that finds them all. */
function finderOf(meant: readonly Meant[]): { readonly pattern: RegExp; readonly termOf: Map<string, TermName> } {
  const termOf = new Map(meant.flatMap(({ name, words }) => words.map((word) => [word.toLowerCase(), name] as const)));
  const longestFirst = [...termOf.keys()].sort((one, other) => other.length - one.length);
  return { pattern: new RegExp(`(?<![\\p{L}-])(${longestFirst.join('|')})(?![\\p{L}-])`, 'giu'), termOf };
}

/** Terms that are known by their words alone, wherever they stand. */
type PlainTerm = {
  [Name in TermName]: (typeof terms)[Name] extends { readonly inSentences: string } ? Name : never;
}[TermName];

const PLAIN_TERMS = TERM_NAMES.filter((name): name is PlainTerm => 'inSentences' in terms[name]);

/** A sentence in which each term of the trade, where it stands first, says what is meant when it is pressed. */
export function WithTerms({ children: sentence }: { readonly children: string }): ReactElement {
  const { t } = useTranslation();
  const { pattern, termOf } = finderOf(
    PLAIN_TERMS.map((name) => ({ name, words: t(`terms.${name}.inSentences`).split('|') })),
  );
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
