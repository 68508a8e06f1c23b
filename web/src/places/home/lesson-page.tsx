import { Button } from '@mantine/core';
import { keyName } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Brand } from '../../shell/brand.tsx';
import { OctaveChoice, useHomeOctave } from './octave-choice.tsx';
import { useLesson } from './use-lesson.ts';
import classes from './home.module.css';

interface LessonPageProps {
  readonly token: string;
  readonly onLeave: () => void;
}

/** A lesson over video at the student’s side: the piano plays what the teacher conducts, and the page shows it. */
export function LessonPage({ token, onLeave }: LessonPageProps): ReactElement {
  const { t } = useTranslation();
  const [octave, setOctave] = useHomeOctave();
  const { state, shown } = useLesson(token, octave);
  return (
    <main className={classes['page']} data-practice>
      <header>
        <Brand />
        <span className="heading">{t('home.lesson.open')}</span>
        {shown !== null && shown.keys > 0 && (
          <small>{t('home.lesson.key', { key: shown.key, keys: shown.keys })}</small>
        )}
      </header>
      <p role="status" className={classes['lessonState']} data-trouble={state === 'lost' || state === 'over'}>
        {t(`home.lesson.states.${state}`)}
      </p>
      <div className={classes['lesson']}>
        <h1 className="heading">{shown?.step ?? t('home.lesson.waits')}</h1>
        {shown !== null && shown.tonic !== null && (
          <output className={`${classes['letter'] ?? ''} heading`}>{keyName(shown.tonic)}</output>
        )}
        {shown !== null && shown.text !== '' && <p className={`${classes['text'] ?? ''} heading`}>{shown.text}</p>}
        <p className={classes['say']} aria-live="polite">
          {shown?.say}
        </p>
      </div>
      <OctaveChoice className={classes['help']} octave={octave} onOctave={setOctave} />
      <Button className={classes['main'] ?? ''} onClick={onLeave}>
        {t('home.lesson.leave')}
      </Button>
    </main>
  );
}
