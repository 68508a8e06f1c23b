import { useIsFetching, useIsMutating, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Outlet } from 'react-router';
import { isAway } from '../api/problem.ts';
import { Perch } from './perch.tsx';
import classes from './shell.module.css';

/** Says so while the server is away; everything typed is kept and tried again. */
function AwayLine(): ReactElement | null {
  const { t } = useTranslation();
  const queries = useQueryClient();
  useIsFetching();
  useIsMutating();
  const failing = [
    ...queries
      .getQueryCache()
      .getAll()
      .map(({ state }) => state.fetchFailureReason),
    ...queries
      .getMutationCache()
      .getAll()
      .filter(({ state }) => state.status === 'pending')
      .map(({ state }) => state.failureReason),
  ];
  if (!failing.some(isAway)) return null;
  return (
    <p className={classes['away']} role="status">
      {t('app.away')}
    </p>
  );
}

export function Shell(): ReactElement {
  return (
    <>
      <Perch />
      <AwayLine />
      <main id="page" className={classes['page']}>
        <Outlet />
      </main>
    </>
  );
}
