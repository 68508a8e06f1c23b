import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Schemas } from '../api/client.ts';
import { say } from '../text/say.ts';
import classes from './ui.module.css';

/** What the studio keeps and this version cannot read: said by name with why, and left as it is. */
export function UnreadableRows({ rows }: { readonly rows: readonly Schemas['UnreadableDto'][] }): ReactElement | null {
  const { t } = useTranslation();
  if (rows.length === 0) return null;
  return (
    <div className={classes['unreadable']} role="note">
      <p>{t('app.unreadable', { count: rows.length })}</p>
      <ul>
        {rows.map(({ id, name, reason }) => (
          <li key={id}>
            <b>{name}</b> {say(reason)}
          </li>
        ))}
      </ul>
    </div>
  );
}
