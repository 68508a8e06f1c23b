import { useIsFetching, useIsMutating, useQueryClient } from '@tanstack/react-query';
import { useState, useSyncExternalStore, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { ApiProblem, mayPass } from '../api/problem.ts';
import { useIsSignedOut } from '../api/signed-out.ts';
import { deviceKeepsNothing, onDeviceFailing } from '../device/device-store.ts';
import { SignInAgain } from './sign-in-again.tsx';
import classes from './shell.module.css';
import { sayRefusal } from '../text/say.ts';

/** Says so while the server is away or at fault; everything typed is kept and tried again. */
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
  ].find(mayPass);
  if (!failing) return null;
  const said = failing instanceof ApiProblem ? `${sayRefusal(failing).message} ${t('app.keptHere')}` : t('app.away');
  return (
    <p className={classes['away']} role="status">
      {said}
    </p>
  );
}

/** Says that the session has ended, and opens it again on the spot; the page stays as it is. */
function SignedOutLine(): ReactElement | null {
  const { t } = useTranslation();
  const isSignedOut = useIsSignedOut();
  const [isAsking, setAsking] = useState(false);
  if (!isSignedOut) return null;
  return (
    <div className={classes['away']} role="status">
      {t('app.signedOut')}{' '}
      <button
        type="button"
        onClick={() => {
          setAsking(true);
        }}
      >
        {t('entry.signIn')}
      </button>
      <SignInAgain
        opened={isAsking}
        onClose={() => {
          setAsking(false);
        }}
      />
    </div>
  );
}

/** Says, once it happened, that this device keeps nothing just now. */
function FullDeviceLine(): ReactElement | null {
  const { t } = useTranslation();
  const isFailing = useSyncExternalStore(onDeviceFailing, deviceKeepsNothing);
  if (!isFailing) return null;
  return (
    <p className={classes['away']} role="status">
      {t('app.deviceFull')}
    </p>
  );
}

/** What is wrong around the page, a line each; the page goes on. */
export function TroubleLines(): ReactElement {
  return (
    <>
      <AwayLine />
      <SignedOutLine />
      <FullDeviceLine />
    </>
  );
}
