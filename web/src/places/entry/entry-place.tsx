import { Button, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useSearchParams } from 'react-router';
import { openDemo, takeSession, type Session, type SessionWithCodes } from '../../api/session.queries.ts';
import { markSignedIn } from '../../api/signed-out.ts';
import { Brand } from '../../shell/brand.tsx';
import benchPicture from './bench.jpg';
import { FormProblem } from '../../ui/form-problem.tsx';
import { SignInForm } from '../../shell/sign-in-form.tsx';
import { usePlaceTitle } from '../../shell/use-place-title.ts';
import { Shape } from '../../ui/shape.tsx';
import { NewCodes } from './new-codes.tsx';
import classes from './entry.module.css';

// Whoever has been here signs in: the rest is fetched when it is asked for. Codes that are shown once come along.
const RecoverForm = lazy(async () => ({ default: (await import('./recover-form.tsx')).RecoverForm }));
const SignUpForm = lazy(async () => ({ default: (await import('./sign-up-form.tsx')).SignUpForm }));

/** Only places of this application can be gone back to. */
function placeOf(to: string | null): string {
  return to?.startsWith('/') && !to.startsWith('//') ? to : '/today';
}

type Asked = 'sign-in' | 'sign-up' | 'lost';

function Welcome(): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['words']}>
      <Brand />
      <Title order={1} className={classes['name'] ?? ''}>
        {t('app.name')}
      </Title>
      <p className={classes['lead']}>{t('entry.lead')}</p>
      <figure>
        <img src={benchPicture} width={1280} height={800} alt={t('entry.picture')} />
      </figure>
    </div>
  );
}

/** The front door: a studio of one’s own or the demo, and signing in for who has been here. */
export function EntryPlace(): ReactElement {
  usePlaceTitle();
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [address] = useSearchParams();
  const enter = (session: Session): void => {
    queries.clear();
    markSignedIn();
    takeSession(queries, session);
    void navigate(placeOf(address.get('to')), { replace: true });
  };
  const [asked, setAsked] = useState<Asked>('sign-in');
  const [newcomer, setNewcomer] = useState<SessionWithCodes>();
  const demo = useMutation({ mutationFn: openDemo, onSuccess: enter });
  return (
    <main className={classes['entry']}>
      <Welcome />
      <div className={classes['doors']}>
        <div className={classes['two']}>
          <div>
            <Button
              variant="filled"
              size="md"
              fullWidth
              onClick={() => {
                setAsked('sign-up');
              }}
            >
              {t('entry.signUp')}
            </Button>
            <p>{t('entry.signUpNote')}</p>
          </div>
          <div>
            <Button
              variant="filled"
              size="md"
              fullWidth
              loading={demo.isPending}
              onClick={() => {
                demo.mutate();
              }}
            >
              {t('entry.demo')}
            </Button>
            <p>{t('entry.demoNote')}</p>
          </div>
        </div>
        <FormProblem error={demo.error} />
        <section aria-labelledby="asked" className={classes['asked']}>
          <h2 id="asked">{t(`entry.asked.${asked}`)}</h2>
          <Suspense fallback={<Shape rows={4} />}>
            {asked === 'sign-in' && <SignInForm onEnter={enter} />}
            {asked === 'sign-up' && <SignUpForm onEnter={setNewcomer} />}
            {asked === 'lost' && <RecoverForm onEnter={setNewcomer} />}
          </Suspense>
          <Button
            variant="subtle"
            mt="sm"
            fullWidth
            onClick={() => {
              setAsked(asked === 'sign-in' ? 'lost' : 'sign-in');
            }}
          >
            {t(asked === 'sign-in' ? 'entry.lost' : 'entry.notLost')}
          </Button>
        </section>
      </div>
      {newcomer && (
        <NewCodes
          codes={newcomer.codes}
          onKept={() => {
            enter(newcomer);
          }}
        />
      )}
    </main>
  );
}
