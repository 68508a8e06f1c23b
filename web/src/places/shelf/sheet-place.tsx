import { helpPlan, relativeThatFits, type Help, type Exercise, type LaidStep } from '@soft-lark/core';
import { useElementSize } from '@mantine/hooks';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Shelf } from '../../api/shelf.queries.ts';
import { layStones } from '../../flight/stones.layout.ts';
import { Stones } from '../../flight/stones.tsx';
import { clockText } from '../../ui/format.ts';
import { LimitNote } from '../../ui/limit-note.tsx';
import { useSharedScreen } from '../../ui/shared-screen.ts';
import classes from './sheet.module.css';

const HEIGHT = 136;

/** Neighbours that are alike as one word with their number: together ×2. */
function runsOf(plan: readonly Help[], word: (help: Help) => string): readonly string[] {
  const runs: { readonly help: Help; count: number }[] = [];
  for (const help of plan) {
    const last = runs.at(-1);
    if (last?.help === help) last.count += 1;
    else runs.push({ help, count: 1 });
  }
  return runs.map(({ help, count }) => (count === 1 ? word(help) : `${word(help)} ×${String(count)}`));
}

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
    const instead = relativeThatFits(placed.exercise, shelf, (other) => !place(other)?.problem);
    return (
      <p className={classes['problem']} role="note">
        <b>{t('shelf.sheet.notFor', { name })}</b> {isShared ? t('bench.leftOut') : placed.problem.message}{' '}
        {!isShared && placed.problem.remedy}{' '}
        {instead && (
          <>
            {t('shelf.sheet.insteadOf')} <Link to={`/shelf/${instead.id}`}>{instead.name}</Link>
          </>
        )}
      </p>
    );
  }
  const { limits, limitContext, laid, seconds, isNew } = placed;
  const helps =
    laid?.kind === 'pattern'
      ? runsOf(helpPlan(laid.ladder.rungs.length, isNew), (help) => t(`shelf.helps.${help}`))
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
        {laid?.kind === 'pattern' && `${t('shelf.keys', { count: laid.ladder.rungs.length })} · `}
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
