import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Outlet } from 'react-router';
import { useSharedScreen } from '../ui/shared-screen.ts';
import { Perch } from './perch.tsx';
import classes from './shell.module.css';

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
      <SharedLine />
      <main id="page" className={classes['page']}>
        <Outlet />
      </main>
    </>
  );
}
