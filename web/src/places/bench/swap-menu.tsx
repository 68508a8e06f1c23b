import { Button, Menu, Select } from '@mantine/core';
import {
  isSingable,
  layStep,
  OBSTACLES,
  substitutesFor,
  type Exercise,
  type LaidStep,
  type Obstacle,
  type RoutineContext,
} from '@soft-lark/core';
import { useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../../text/times.ts';
import classes from './bench.module.css';

interface SwapMenuProps {
  readonly step: LaidStep;
  readonly context: RoutineContext;
  /** Sung steps that come before it. */
  readonly sungSteps: number;
  /** Seconds a step in this place can take before the routine is over its minutes. */
  readonly room: number;
  readonly onSwap: (exerciseId: string, name: string) => void;
}

/** Another exercise in a step's place: the nearest three, with what each keeps and loses, and how long it is. */
export function SwapMenu({ step, context, sungSteps, room, onSwap }: SwapMenuProps): ReactElement {
  const { t } = useTranslation();
  const [obstacle, setObstacle] = useState<Obstacle | null>(null);
  const [isOpen, setOpen] = useState(false);
  const { exercise } = step;
  const nearest = useMemo(
    () =>
      isOpen
        ? substitutesFor(exercise, obstacle, [...context.exercises.values()], context.known, (other) =>
            isSingable(other, context, sungSteps),
          )
        : [],
    [isOpen, exercise, obstacle, context, sungSteps],
  );
  const lengthOf = (other: Exercise): string => {
    const { seconds } = layStep({ id: step.id, exerciseId: other.id, settings: {} }, other, context, sungSteps, 0);
    const over = seconds - Math.max(room, step.seconds);
    const length = t('bench.swap.length', { now: clockText(step.seconds), then: clockText(seconds) });
    return over > 0 ? `${length} · ${t('bench.swap.over', { time: clockText(seconds - room) })}` : length;
  };
  return (
    <Menu opened={isOpen} onChange={setOpen} width={380} position="bottom-end" closeOnItemClick>
      <Menu.Target>
        <Button size="sm">{t('bench.swap.open')}</Button>
      </Menu.Target>
      <Menu.Dropdown>
        <div className={classes['obstacle']}>
          <Select
            size="sm"
            clearable
            aria-label={t('bench.swap.because')}
            placeholder={t('bench.swap.because')}
            comboboxProps={{ withinPortal: false }}
            data={OBSTACLES.map((value) => ({ value, label: t(`shelf.obstacles.${value}`) }))}
            value={obstacle}
            onChange={(value) => {
              setObstacle(OBSTACLES.find((known) => known === value) ?? null);
            }}
          />
        </div>
        {nearest.length === 0 && <Menu.Label>{t('bench.swap.none')}</Menu.Label>}
        {nearest.map(({ exercise: other, kept, lost }, index) => (
          <Menu.Item
            key={other.id}
            onClick={() => {
              onSwap(other.id, other.name);
            }}
          >
            <b>
              {index + 1}. {other.name}
            </b>
            <small className={classes['keeps']}>
              {t('bench.swap.keeps', {
                list: kept
                  .filter((one) => one !== 'known')
                  .map((one) => t(`bench.swap.kept.${one}`))
                  .join(', '),
              })}
              {lost.length > 0 &&
                ` ${t('bench.swap.loses', { list: lost.map((one) => t(`bench.swap.kept.${one}`)).join(', ') })}`}
            </small>
            <small className={classes['keeps']}>
              {lengthOf(other)}
              {kept.includes('known') && ` · ${t('bench.swap.kept.known')}`}
            </small>
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
