import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { decimalText } from '../../text/numbers.ts';
import type { BreathByEar } from './use-breath-ear.ts';
import classes from './ear.module.css';

/** How long the breaths out of this step were by ear, and how each arrived; the last one first. */
export function BreathStrip({ breaths }: { readonly breaths: readonly BreathByEar[] }): ReactElement {
  const { t } = useTranslation();
  if (breaths.length === 0) return <p className={classes['why']}>{t('piano.ear.breaths.listening')}</p>;
  return (
    <div role="status" aria-atomic="false">
      <ol className={classes['breaths']} aria-label={t('piano.ear.breaths.title')}>
        {[...breaths].reverse().map(({ round, seconds, arrival }) => (
          <li key={round}>
            <b>{t('piano.ear.breaths.lasted', { round, seconds: decimalText(seconds) })}</b>
            {arrival !== null && <span>{t(`piano.ear.breaths.${arrival}`)}</span>}
          </li>
        ))}
      </ol>
    </div>
  );
}
