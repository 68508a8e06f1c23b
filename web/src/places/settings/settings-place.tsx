import { Button, Group, Stack, Title } from '@mantine/core';
import { USUAL_RULES } from '@soft-lark/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { sessionQuery } from '../../api/session.queries.ts';
import { changeStudio, studioQuery, type Studio } from '../../api/studio.queries.ts';
import { ApproachEditor } from '../../ui/approach-editor.tsx';
import { Failure } from '../../ui/failure.tsx';
import { FormProblem } from '../../ui/form-problem.tsx';
import { RangeEditor } from '../../ui/range-editor.tsx';
import { RuleEditor } from '../../ui/rule-editor.tsx';
import { Shape } from '../../ui/shape.tsx';
import { staleOf, StaleWrite } from '../../ui/stale-write.tsx';
import { AccountSettings } from './account-settings.tsx';
import { AnswersPreview } from './answers-preview.tsx';
import { isUnfinished, OverlayFields } from './overlay-fields.tsx';
import { ReadyFields } from './ready-fields.tsx';
import { StudioFields } from './studio-fields.tsx';
import { StudioFile } from './studio-file.tsx';
import classes from './settings.module.css';

const TABS = ['studio', 'approach', 'rules', 'account', 'file'] as const;
type Tab = (typeof TABS)[number];
type FormTab = Exclude<Tab, 'account' | 'file'>;

const isForm = (tab: Tab): tab is FormTab => tab !== 'account' && tab !== 'file';

/** The studio's settings: name and zone, approach, rule table, and the account. */
export function SettingsPlace(): ReactElement {
  const { t } = useTranslation();
  const { tab = 'studio' } = useParams();
  const studio = useQuery(studioQuery);
  if (studio.error && !studio.data) return <Failure error={studio.error} onRetry={() => void studio.refetch()} />;
  const here = TABS.find((name) => name === tab) ?? 'studio';
  return (
    <>
      <div className={classes['heading']}>
        <Title order={1} fz={32}>
          {t('settings.heading')}
        </Title>
        <nav aria-label={t('settings.heading')}>
          {TABS.map((name) => (
            <Link key={name} to={`/settings/${name}`} aria-current={here === name ? 'page' : undefined}>
              {t(`settings.tabs.${name}`)}
            </Link>
          ))}
        </nav>
      </div>
      {here === 'account' && <AccountSettings />}
      {here === 'file' && <StudioFile />}
      {isForm(here) && !studio.data && <Shape rows={3} height={80} />}
      {isForm(here) && studio.data && <StudioForm key={studio.data.version} studio={studio.data} tab={here} />}
    </>
  );
}

interface TabProps {
  readonly edited: Studio;
  /** What is stored. */
  readonly studio: Studio;
  readonly onChange: (edited: Studio) => void;
}

function ApproachTab({ edited, studio, onChange }: TabProps): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <p className={classes['hint']}>{t('settings.approachHint')}</p>
      <ApproachEditor
        answers={edited.approach}
        onChange={(approach) => {
          onChange({ ...edited, approach: { ...approach } });
        }}
      />
      {edited.approach !== studio.approach && <AnswersPreview studio={edited} />}
      <ReadyFields
        questions={edited.readyQuestions}
        onChange={(questions) => {
          onChange({ ...edited, readyQuestions: [...questions] });
        }}
      />
      <OverlayFields
        overlays={edited.ownOverlays}
        onChange={(overlays) => {
          const ownOverlays = overlays.map((overlay) => ({ ...overlay, touches: [...overlay.touches] }));
          onChange({ ...edited, ownOverlays });
        }}
      />
    </>
  );
}

function RulesTab({ edited, studio, onChange }: TabProps): ReactElement {
  const { t } = useTranslation();
  const changeRules = (rules: Studio['rules']): void => {
    onChange({ ...edited, rules: { ...rules } });
  };
  return (
    <>
      <p className={classes['hint']}>{t('settings.rulesHint')}</p>
      {edited.rules !== studio.rules && <AnswersPreview studio={edited} />}
      <RuleEditor changes={edited.rules} below={USUAL_RULES} onChange={changeRules} />
      <Title order={2} fz={21}>
        {t('settings.rangesTitle')}
      </Title>
      <p className={classes['hint']}>{t('settings.rangesHint')}</p>
      <RangeEditor changes={edited.rules} below={USUAL_RULES} onChange={changeRules} />
    </>
  );
}

function StudioForm({ studio, tab }: { readonly studio: Studio; readonly tab: FormTab }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [edited, setEdited] = useState(studio);
  const save = useMutation({
    mutationFn: (wanted: Studio) => changeStudio(wanted),
    onSuccess: (saved) => {
      queries.setQueryData(studioQuery.queryKey, saved);
      void queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
      void queries.invalidateQueries({ queryKey: ['today'] });
    },
  });
  const stale = staleOf(save.error) as Studio | null;
  return (
    <Stack gap="lg">
      {tab === 'studio' && <StudioFields studio={edited} onChange={setEdited} />}
      {tab === 'approach' && <ApproachTab edited={edited} studio={studio} onChange={setEdited} />}
      {tab === 'rules' && <RulesTab edited={edited} studio={studio} onChange={setEdited} />}
      {stale ? (
        <StaleWrite
          text={t('settings.stale')}
          onTheirs={() => {
            queries.setQueryData(studioQuery.queryKey, stale);
          }}
          onMine={() => {
            save.mutate({ ...edited, version: stale.version });
          }}
        />
      ) : (
        <FormProblem error={save.error} />
      )}
      <Group className={classes['save'] ?? ''}>
        <Button
          variant="filled"
          disabled={
            edited === studio ||
            edited.readyQuestions.some(({ text }) => text.trim() === '') ||
            edited.ownOverlays.some(isUnfinished)
          }
          loading={save.isPending}
          onClick={() => {
            save.mutate(edited);
          }}
        >
          {t('settings.save')}
        </Button>
        {edited !== studio && (
          <Button
            onClick={() => {
              setEdited(studio);
            }}
          >
            {t('settings.undo')}
          </Button>
        )}
      </Group>
    </Stack>
  );
}
