import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, NavLink, useLocation } from 'react-router';
import { sessionQuery } from '../api/session.queries.ts';
import { AccountMenu } from './account-menu.tsx';
import { Brand } from './brand.tsx';
import { Find } from './find.tsx';
import { useStudentInHand } from './student-in-hand.ts';
import classes from './shell.module.css';

const PLACES = ['today', 'students', 'shelf', 'log'] as const;

/** The one thin bar on top: the mark, four places, the student in hand, the search. */
export function Perch(): ReactElement {
  const { t } = useTranslation();
  const session = useQuery(sessionQuery).data;
  const inHand = useStudentInHand();
  const isBench = useLocation().pathname.startsWith('/routines/');
  return (
    <header className={classes['perch']}>
      <a className={classes['skip']} href="#page">
        {t('app.skip')}
      </a>
      <Link to="/today" className={classes['home']} aria-label={t('app.name')}>
        <Brand name={t('app.name')} />
      </Link>
      <nav className={classes['places']}>
        {PLACES.map((place) => (
          <NavLink
            key={place}
            to={`/${place}`}
            className={({ isActive }) => (isActive || (place === 'students' && isBench) ? classes['here'] : '')}
          >
            {t(`app.places.${place}`)}
          </NavLink>
        ))}
      </nav>
      {inHand && (
        <Link
          to={`/students/${inHand.id}`}
          className={classes['inHand']}
          aria-label={`${t('app.inHand')} ${inHand.name} · ${t(`voices.${inHand.voice.type}`)}`}
        >
          <span>{t('app.inHand')} </span>
          <bdi>{inHand.name}</bdi>
          <span> · {t(`voices.${inHand.voice.type}`)}</span>
        </Link>
      )}
      <Find />
      <AccountMenu session={session} />
    </header>
  );
}
