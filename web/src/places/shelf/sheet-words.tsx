import { Button } from '@mantine/core';
import { cuesOf, LEARNING_RULES, OVERLAYS, type Exercise } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { memo, useState, type ReactElement, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { sessionQuery } from '../../api/session.queries.ts';
import classes from './shelf.module.css';

export function Block({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactElement {
  return (
    <section className={classes['block']}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

/** Cues that agree with the studio's approach; the others on request. */
function Cues({ exercise }: { readonly exercise: Pick<Exercise, 'cues'> }): ReactElement {
  const { t } = useTranslation();
  const approach = useQuery(sessionQuery).data?.approach ?? {};
  const [isWhole, setWhole] = useState(false);
  const agreeing = cuesOf(exercise, approach);
  const shown = isWhole ? exercise.cues : agreeing;
  return (
    <>
      <ul>
        {shown.map(({ text, at, approach: tag }) => (
          <li key={`${text}${at}`}>
            {text} <small>{t(`shelf.cueAt.${at}`)}</small>
            {tag && !agreeing.some((cue) => cue.text === text) && <small> · {t('shelf.sheet.otherSchool')}</small>}
          </li>
        ))}
      </ul>
      {agreeing.length < exercise.cues.length && (
        <Button
          size="xs"
          variant="subtle"
          onClick={() => {
            setWhole(!isWhole);
          }}
        >
          {t(isWhole ? 'shelf.sheet.ourSchool' : 'shelf.sheet.allSchools')}
        </Button>
      )}
    </>
  );
}

interface SheetWordsProps {
  readonly exercise: Pick<Exercise, 'cues' | 'watchFor' | 'manners' | 'senseCheck' | 'learnt' | 'cautions'> & {
    readonly takesOverlay: boolean;
  };
}

/** What is said, watched for, learnt and heeded with an exercise. */
export const SheetWords = memo(function SheetWords({ exercise }: SheetWordsProps): ReactElement {
  const { t } = useTranslation();
  const { watchFor, manners, senseCheck, learnt, cautions, takesOverlay } = exercise;
  return (
    <>
      {exercise.cues.length > 0 && (
        <Block title={t('shelf.cues')}>
          <Cues exercise={exercise} />
        </Block>
      )}
      {watchFor.length > 0 && (
        <Block title={t('shelf.watch')}>
          <ul>
            {watchFor.map(({ seen, causes, remedies }) => (
              <li key={seen}>
                <b>{seen}</b>
                {causes.length > 0 && (
                  <>
                    {' '}
                    {t('shelf.causes')} {causes.join(', ')}.
                  </>
                )}
                <ol>
                  {remedies.map(({ text }) => (
                    <li key={text}>{text}</li>
                  ))}
                </ol>
              </li>
            ))}
          </ul>
        </Block>
      )}
      {learnt.length > 0 && (
        <Block title={t('shelf.sheet.learnt')}>
          <ol className={classes['learnt']}>
            {learnt.map(({ name, text }) => (
              <li key={name}>
                <b>{name}.</b> {text}
              </li>
            ))}
          </ol>
          <p className={classes['hint']}>{t('shelf.sheet.learntRule', LEARNING_RULES)}</p>
        </Block>
      )}
      {(manners.length > 0 || senseCheck) && (
        <Block title={t('shelf.sheet.ways')}>
          <ul>
            {manners.length > 0 && <li>{t('shelf.sheet.mannersLine', { list: manners.join(' → ') })}</li>}
            {senseCheck && (
              <li>
                <b>{t(`shelf.senses.${senseCheck.by}`)}</b> {senseCheck.text}
              </li>
            )}
          </ul>
        </Block>
      )}
      {takesOverlay && (
        <Block title={t('shelf.sheet.overlays')}>
          <ul>
            {OVERLAYS.map(({ id, name, text, setUpSeconds, cautions: heed }) => (
              <li key={id}>
                <b>{name}</b> {text} {heed.join(' ')}{' '}
                <small>{t('shelf.sheet.overlayCost', { seconds: setUpSeconds })}</small>
              </li>
            ))}
          </ul>
        </Block>
      )}
      {cautions.length > 0 && (
        <Block title={t('shelf.cautions')}>
          <ul>
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </Block>
      )}
    </>
  );
});
