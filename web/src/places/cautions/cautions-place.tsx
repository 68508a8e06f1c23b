import { Title } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import classes from './cautions.module.css';

const SECTIONS = [
  'screens',
  'urgent',
  'notToday',
  'seeSomeone',
  'during',
  'limits',
  'never',
  'withConditions',
  'privacy',
] as const;

/** What the limits rest on, what Soft Lark does not do, and when to send someone to a doctor or a voice clinic. */
export function CautionsPlace(): ReactElement {
  const { t } = useTranslation();
  return (
    <article className={classes['cautions']}>
      <Title order={1} fz={32}>
        {t('cautions.heading')}
      </Title>
      <p className={classes['first']}>{t('cautions.first')}</p>
      <div className={classes['columns']}>
        {SECTIONS.map((section) => (
          <section key={section} data-section={section}>
            <h2>{t(`cautions.${section}.title`)}</h2>
            <ul>
              {t(`cautions.${section}.lines`, { returnObjects: true }).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <p>
        <Link to="/settings/rules">{t('cautions.toRules')}</Link>
      </p>
    </article>
  );
}
