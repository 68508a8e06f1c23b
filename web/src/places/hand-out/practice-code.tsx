import { QRCodeSVG } from 'qrcode.react';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { homeAddress, type MadeHomeLink } from '../../api/home.queries.ts';
import { dayText } from '../../text/times.ts';
import classes from './hand-out.module.css';

/** House choice: a sheet is practised from for about a month. */
export const CODE_WEEKS = 4;

/** A link on paper, for the camera of a phone; black on white, as large as a stamp. */
export function PracticeCode({ link }: { readonly link: MadeHomeLink }): ReactElement {
  const { t } = useTranslation();
  return (
    <figure className={classes['code']}>
      <QRCodeSVG value={homeAddress(link)} size={104} level="M" title={t('home.links.qr')} />
      <figcaption>
        {t('handOut.code.says')} {t('home.links.until', { day: dayText(link.expiresAt) })}
      </figcaption>
    </figure>
  );
}
