import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { homeQuery, type Home } from '../../api/home.queries.ts';
import { RunSender } from '../../runs/run-sender.tsx';
import { useKeptRuns } from '../../runs/run-store.ts';
import { Brand } from '../../shell/brand.tsx';
import { wakePiano } from '../../sound/piano.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import classes from './home.module.css';

type Choice = Home['routines'][number];

/** What comes after the first choice; the page can be read and pressed before it is there. */
const practising = () => import('./practising.ts');
const HomeClosing = lazy(async () => ({ default: (await practising()).HomeClosing }));
const HomeGate = lazy(async () => ({ default: (await practising()).HomeGate }));
const LessonPage = lazy(async () => ({ default: (await practising()).LessonPage }));
const Practice = lazy(async () => ({ default: (await practising()).Practice }));

const WAITING = <Shape rows={3} height={120} />;

/** The routines of a link, each a press away. */
function Choices({
  home,
  onChoose,
  onLesson,
}: {
  readonly home: Home;
  readonly onChoose: (choice: Choice) => void;
  readonly onLesson: () => void;
}): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <h1 className="heading">{t('home.choose')}</h1>
      {home.lock !== null && <p className={classes['locked']}>{t(`home.locked.${home.lock}`)}</p>}
      {home.routines.length === 0 && <p>{t('home.none')}</p>}
      <ul className={classes['choices']}>
        {home.routines.map((choice) => (
          <li key={choice.usual.id}>
            <button
              type="button"
              disabled={home.lock !== null && home.lock !== 'see-someone'}
              onClick={() => {
                onChoose(choice);
              }}
            >
              <span className="heading">{choice.usual.name}</span>
              <small>
                {t('home.about', { count: choice.usual.steps.length, minutes: Math.round(choice.usual.seconds / 60) })}
              </small>
            </button>
          </li>
        ))}
        <li>
          <button
            type="button"
            data-lesson
            onClick={() => {
              // A browser plays only after a press.
              void wakePiano();
              onLesson();
            }}
          >
            <span>{t('home.lesson.open')}</span>
            <small>{t('home.lesson.openHint')}</small>
          </button>
        </li>
      </ul>
    </>
  );
}

/** What a student's link opens: one thing at a time, with sound, also without a connection. */
export function HomePlace(): ReactElement {
  const { token = '' } = useParams();
  const { t } = useTranslation();
  const home = useQuery(homeQuery(token));
  const runs = useKeptRuns(token);
  const [choice, setChoice] = useState<Choice | null>(null);
  const [runId, setRunId] = useState<string | null>(null);
  const [isLesson, setLesson] = useState(false);
  useEffect(() => {
    document.title = t('home.title');
  }, [t]);
  useEffect(() => {
    void practising();
  }, []);
  useEffect(() => {
    window.scrollTo(0, 0);
  }, [choice, runId]);
  const begun = runs.find(({ id }) => id === runId);
  // One that was broken off goes on; one that was ended and never closed is asked about.
  const broken = runs.find(({ isClosed }) => !isClosed);
  const run = begun ?? (choice ? undefined : broken);
  const isWaiting = runs.some(({ isClosed }) => isClosed);
  const leave = (): void => {
    setRunId(null);
    setChoice(null);
  };
  if (home.error && !home.data) return <Failure error={home.error} onRetry={() => void home.refetch()} />;
  if (!home.data) return WAITING;
  if (isLesson)
    return (
      <Suspense fallback={WAITING}>
        <LessonPage
          token={token}
          onLeave={() => {
            setLesson(false);
          }}
        />
      </Suspense>
    );
  return (
    <Suspense fallback={WAITING}>
      <RunSender homeToken={token} />
      {run && run.state.phase !== 'finished' ? (
        <Practice run={run} />
      ) : (
        <main className={classes['page']} data-child={home.data.isChild}>
          <header>
            <Brand />
            <span className="heading">{run?.routineName ?? choice?.usual.name ?? t('home.title')}</span>
          </header>
          {run ? (
            <HomeClosing run={run} onDone={leave} />
          ) : choice ? (
            <HomeGate token={token} home={home.data} choice={choice} onBegin={setRunId} onBack={leave} />
          ) : (
            <Choices
              home={home.data}
              onChoose={setChoice}
              onLesson={() => {
                setLesson(true);
              }}
            />
          )}
          {isWaiting && (
            <p className={classes['waiting']} role="status">
              {t('home.waiting')}
            </p>
          )}
        </main>
      )}
    </Suspense>
  );
}
