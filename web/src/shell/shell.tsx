import { useIsFetching, useIsMutating, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Outlet } from 'react-router';
import { isAway } from '../api/problem.ts';
import { KeySheet } from '../ui/key-sheet.tsx';
import { useSharedScreen } from '../ui/shared-screen.ts';
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

/** Says that this screen is being shared, and ends it in one press. */
function SharedLine(): ReactElement | null {
  const { t } = useTranslation();
  const [isShared, setShared] = useSharedScreen();
  if (!isShared) return null;
  return (
    <p className={classes['shared']} role="status">
      {t('app.sharedNow')}{' '}
      <button
        type="button"
        onClick={() => {
          setShared(false);
        }}
      >
        {t('app.ownScreen')}
      </button>
    </p>
  );
}

export function Shell(): ReactElement {
  return (
    <>
      <Perch />
      <KeySheet />
      <AwayLine />
      <SharedLine />
      <main id="page" className={classes['page']}>
        <Outlet />
      </main>
    </>
  );
}
