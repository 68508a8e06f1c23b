import { momentOf, type HomeStep, type RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../../text/times.ts';
import classes from './home.module.css';

interface HomeStillProps {
  readonly state: RunState;
  readonly step: HomeStep;
  /** Seconds since it began. */
  readonly elapsed: number;
}

/** A step without keys: what is on, its count, and its words. */
export function HomeStill({ state, step, elapsed }: HomeStillProps): ReactElement {
  const { t } = useTranslation();
  const { course } = step;
  const moment = course && state.begun ? momentOf(course, elapsed) : null;
  const part = moment?.part ?? course?.parts[0];
  const number = moment
    ? String(moment.count ?? Math.ceil(moment.secondsLeft))
    : clockText(step.seconds - step.setUpSeconds);
  return (
    <div className={classes['still']}>
      <small>
        {moment && t(`course.rounds.${moment.part.act}`, { round: moment.part.round, count: course?.rounds ?? 1 })}
      </small>
      <output className={`${classes['letter'] ?? ''} heading`}>
        {state.begun && !moment ? t('course.over') : number}
      </output>
      <p className={`${classes['text'] ?? ''} heading`}>{part?.text ?? step.text}</p>
    </div>
  );
}
