import { findingsOf, type CheckState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import classes from './check.module.css';

/** What has come so far, the highest on top: easy, only just, or missing. */
export function SungNotes({ state }: { readonly state: CheckState }): ReactElement {
  const { t } = useTranslation();
  const { reach } = findingsOf(state);
  const notes = reach ? Array.from({ length: reach.high - reach.low + 1 }, (_, index) => reach.high - index) : [];
  return (
    <section className={classes['sung']} aria-label={t('check.sung')}>
      <h2>{t('check.sung')}</h2>
      {notes.length === 0 && <p>{t('check.nothingYet')}</p>}
      <ol>
        {notes.map((midi) => {
          const ease = state.sung[midi] ?? 'missing';
          return (
            <li key={midi} data-ease={ease} data-speaking={midi === state.speakingNote}>
              <b>{writeNote(midi)}</b> {t(`check.ease.${ease}`)}
              {state.turns.includes(midi) && ` · ${t('check.turnsHere')}`}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
