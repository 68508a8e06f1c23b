import { keysOf, relativeThatFits, type Exercise, type LaidStep } from '@soft-lark/core';
import { useElementSize } from '@mantine/hooks';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Shelf } from '../../api/shelf.queries.ts';
import { layStones } from '../../flight/stones.layout.ts';
import { Stones } from '../../flight/stones.tsx';
import { clockText } from '../../text/times.ts';
import { likeNeighbours } from '../../ui/like-neighbours.ts';
import { LimitNote } from '../../ui/limit-note.tsx';
import { useSharedScreen } from '../../ui/shared-screen.ts';
import { sayProblem } from '../../text/say.ts';
import classes from './sheet.module.css';

const HEIGHT = 136;

interface SheetPlaceProps {
  readonly placed: LaidStep | null;
  readonly name: string | undefined;
  readonly shelf: Shelf;
  readonly place: (exercise: Exercise) => LaidStep | null;
}

/** What an exercise comes to for the student in hand: its keys, or why not and what instead. */
export function SheetPlace({ placed, name, shelf, place }: SheetPlaceProps): ReactElement | null {
  const { t } = useTranslation();
  const [isShared] = useSharedScreen();
  const { ref, width } = useElementSize();
  if (!placed || name === undefined) return null;
  if (placed.problem) {
    const { message, remedy } = sayProblem(placed.problem);
    const instead = relativeThatFits(placed.exercise, shelf, (other) => !place(other)?.problem);
    return (
      <p className={classes['problem']} role="note">
        <b>{t('shelf.sheet.notFor', { name })}</b> {isShared ? t('bench.leftOut') : message} {!isShared && remedy}{' '}
        {instead && (
          <>
            {t('shelf.sheet.insteadOf')} <Link to={`/shelf/${instead.id}`}>{instead.name}</Link>
          </>
        )}
      </p>
    );
  }
  const { limits, limitContext, laid, seconds } = placed;
  // Every pass, not every key: a new key is shown first and sung then.
  const helps =
    laid?.kind === 'pattern'
      ? likeNeighbours(
          laid.ways.map(({ help }) => help),
          (help) => t(`shelf.helps.${help}`),
        )
      : [];
  return (
    <div className={classes['placed']}>
      <p>
        {limits && (
          <>
            {t('students.between', { name })} <LimitNote limits={limits} context={limitContext} note={limits.floor} />{' '}
            {t('students.and')} <LimitNote limits={limits} context={limitContext} note={limits.ceiling} />
            {' · '}
          </>
        )}
        {laid?.kind === 'pattern' && `${t('shelf.keys', { count: keysOf(laid.ladder.rungs).length })} · `}
        {t('shelf.sheet.takes', { time: clockText(seconds) })}
      </p>
      {helps.length > 0 && (
        <p>
          {t('shelf.sheet.help')} {helps.join(' · ')}
        </p>
      )}
      {laid?.kind === 'pattern' && (
        <div ref={ref}>
          {width > 0 && (
            <Stones
              path={layStones(laid.ladder, laid.pattern.high, width, HEIGHT)}
              under={({ isStruck, topNote }) => (isStruck ? [t('bench.leftOut')] : [t('bench.top', { note: topNote })])}
            />
          )}
        </div>
      )}
    </div>
  );
}
