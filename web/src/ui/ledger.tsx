import { whatWouldChange, type LedgerEntry, type LimitContext, type Limits } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { dayText } from '../text/times.ts';
import type { TermName } from '../text/en-terms.ts';
import { writeNote } from '../text/note-names.ts';
import { say } from '../text/say.ts';
import { Term } from './term.tsx';
import classes from './ledger.module.css';

function effectText({ effect }: LedgerEntry): string {
  if ('cap' in effect) return '';
  return effect.delta > 0 ? `+${String(effect.delta)}` : `−${String(-effect.delta)}`;
}

/** Rules whose name is a term of the trade. */
const TERMS: Partial<Record<LedgerEntry['rule'], TermName>> = {
  margin: 'margin',
  belt: 'belt',
  gentle: 'gentle',
  extension: 'extension',
  modest: 'modest',
  opening: 'modest',
  grit: 'grit',
  reach: 'reach',
};

function Label({ entry: { rule, said } }: { readonly entry: LedgerEntry }): ReactElement {
  const term = TERMS[rule];
  const label = say(said);
  return term ? <Term name={term}>{label}</Term> : <>{label}</>;
}

function Lines({ entries }: { readonly entries: readonly LedgerEntry[] }): ReactElement {
  const { t } = useTranslation();
  return (
    <ol className={classes['lines']}>
      {entries.map((entry, index) => (
        <li
          key={`${entry.rule}-${String(index)}`}
          title={t(`said.lineSource.${entry.source}`)}
          data-last={index === entries.length - 1}
        >
          <span>
            <Label entry={entry} />
            {entry.date && ` ${dayText(entry.date)}`}
          </span>
          <span className={classes['delta']}>{effectText(entry)}</span>
          <b className="heading">{writeNote(entry.result)}</b>
        </li>
      ))}
    </ol>
  );
}

interface LedgerProps {
  readonly limits: Limits;
  /** What the limits were worked out from; with it the ledger says what would change them. */
  readonly context?: LimitContext | undefined;
}

/** Why the top and bottom are where they are today: the rules in the order they were applied, and what would change it. */
export function Ledger({ limits, context }: LedgerProps): ReactElement {
  const { t } = useTranslation();
  const { floor, ceiling, entries, estimated } = limits;
  const changes = useMemo(() => (context ? whatWouldChange(context) : []), [context]);
  return (
    <div className={classes['ledger']}>
      <h2>{t('bench.why', { note: writeNote(ceiling) })}</h2>
      <Lines entries={entries.filter(({ side }) => side === 'ceiling')} />
      <h2>{t('bench.whyFloor', { note: writeNote(floor) })}</h2>
      <Lines entries={entries.filter(({ side }) => side === 'floor')} />
      {estimated && <p>{t('bench.estimated')}</p>}
      {changes.length > 0 && (
        <>
          <h2>{t('bench.wouldChange')}</h2>
          {changes.map((change) => (
            <p key={change.what}>
              {t(`bench.changes.${change.what}`, { low: writeNote(change.floor), high: writeNote(change.ceiling) })}
            </p>
          ))}
        </>
      )}
    </div>
  );
}
