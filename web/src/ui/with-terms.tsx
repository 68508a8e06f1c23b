import { Fragment, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { TermName } from '../text/en-terms.ts';
import { finderIn } from './find-terms.ts';
import { Term } from './term.tsx';

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
