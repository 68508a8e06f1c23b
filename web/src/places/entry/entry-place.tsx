import { Button, Paper, Stack, Tabs, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useSearchParams } from 'react-router';
import { openDemo, sessionQuery, type Session, type SessionWithCodes } from '../../api/session.queries.ts';
import { markSignedIn } from '../../api/signed-out.ts';
import { Brand } from '../../shell/brand.tsx';
import { NewCodes } from './new-codes.tsx';
import { RecoverForm } from './recover-form.tsx';
import { SignInForm } from '../../shell/sign-in-form.tsx';
import { SignUpForm } from './sign-up-form.tsx';
import classes from './entry.module.css';

/** Only places of this application can be gone back to. */
function placeOf(to: string | null): string {
  return to?.startsWith('/') && !to.startsWith('//') ? to : '/today';
}

export function EntryPlace(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [address] = useSearchParams();
  const enter = (session: Session): void => {
    queries.clear();
    markSignedIn();
    queries.setQueryData(sessionQuery.queryKey, session);
    void navigate(placeOf(address.get('to')), { replace: true });
  };
  const [isLost, setLost] = useState(false);
  const [newcomer, setNewcomer] = useState<SessionWithCodes>();
  const demo = useMutation({ mutationFn: openDemo, onSuccess: enter });
  return (
    <main className={classes['entry']}>
      <div className={classes['words']}>
        <Brand />
        <Title order={1} className={classes['name'] ?? ''}>
          {t('app.name')}
        </Title>
        <p className={classes['lead']}>{t('entry.lead')}</p>
        <ul>
          {t('entry.points', { returnObjects: true }).map((point) => (
            <li key={point}>{point}</li>
          ))}
        </ul>
      </div>
      <Stack className={classes['doors'] ?? ''} gap="lg">
        <div>
          <Button
            variant="filled"
            size="lg"
            fullWidth
            loading={demo.isPending}
            onClick={() => {
              demo.mutate();
            }}
          >
            {t('entry.demo')}
          </Button>
          <Text size="sm" c={demo.error ? 'var(--brick-text)' : 'dimmed'} mt={6}>
            {demo.error ? demo.error.message : t('entry.demoNote')}
          </Text>
        </div>
        <Paper withBorder radius="lg" p="lg">
          <Tabs defaultValue="sign-in">
            <Tabs.List grow mb="md">
              <Tabs.Tab value="sign-in">{t('entry.signIn')}</Tabs.Tab>
              <Tabs.Tab value="sign-up">{t('entry.signUp')}</Tabs.Tab>
            </Tabs.List>
            <Tabs.Panel value="sign-in">
              {isLost ? <RecoverForm onEnter={setNewcomer} /> : <SignInForm onEnter={enter} />}
              <Button
                variant="subtle"
                mt="sm"
                fullWidth
                onClick={() => {
                  setLost(!isLost);
                }}
              >
                {t(isLost ? 'entry.notLost' : 'entry.lost')}
              </Button>
            </Tabs.Panel>
            <Tabs.Panel value="sign-up">
              <SignUpForm onEnter={setNewcomer} />
            </Tabs.Panel>
          </Tabs>
        </Paper>
      </Stack>
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
