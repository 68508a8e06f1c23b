import { NumberInput, Slider } from '@mantine/core';
import type { CSSProperties, ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../../text/times.ts';
import type { WorkedOut } from './use-working.ts';
import classes from './bench-head.module.css';

const FEWEST_MINUTES = 2;
const MOST_MINUTES = 30;
const MOST_TYPED = 120;

interface MinutesMeterProps {
  readonly shown: Pick<WorkedOut, 'minutes' | 'laid'>;
  /** What the minutes under the finger would change, in words. */
  readonly change: string;
  readonly hasSteps: boolean;
  /** Other minutes, with the steps as they are. */
  readonly onMinutes: (minutes: number) => void;
  readonly onSlide: (minutes: number) => void;
  readonly onSlid: (minutes: number) => void;
}

/** What the routine takes against its minutes on one scale; the minutes are typed, or dragged and the routine follows. */
export function MinutesMeter(props: MinutesMeterProps): ReactElement {
  const { t } = useTranslation();
  const { shown, change, hasSteps, onMinutes, onSlide, onSlid } = props;
  const { minutes } = shown;
  const { seconds } = shown.laid;
  const most = Math.max(MOST_MINUTES, minutes);
  const over = seconds - minutes * 60;
  const left = over > 0 ? t('bench.over', { over: clockText(over) }) : t('bench.room', { left: clockText(-over) });
  const share = Math.min(1, Math.max(0, (seconds / 60 - FEWEST_MINUTES) / (most - FEWEST_MINUTES)));
  return (
    <div
      className={classes['meter']}
      role="group"
      aria-label={`${t('bench.of', { length: clockText(seconds), budget: clockText(minutes * 60) })} · ${left}`}
      data-over={over > 0}
      style={{ '--planned': `${String(share * 100)}%` } as CSSProperties}
    >
      <div className={classes['figures']}>
        <b>{clockText(seconds)}</b> {t('bench.ofMinutes')}
        <NumberInput
          className={classes['typed'] ?? ''}
          variant="unstyled"
          hideControls
          aria-label={t('bench.minutes')}
          min={1}
          max={MOST_TYPED}
          allowDecimal={false}
          value={minutes}
          onChange={(value) => {
            if (typeof value === 'number' && value >= 1 && value <= MOST_TYPED) onMinutes(value);
          }}
        />
        {t('bench.minutesUnit')}
        <small>{left}</small>
      </div>
      <Slider
        min={FEWEST_MINUTES}
        max={most}
        label={null}
        disabled={!hasSteps}
        thumbLabel={t('bench.think.minutes')}
        value={minutes}
        onChange={onSlide}
        onChangeEnd={onSlid}
        classNames={{ track: classes['track'] ?? '', bar: classes['bar'] ?? '', thumb: classes['thumb'] ?? '' }}
      />
      <span className={classes['buys']} aria-live="polite">
        {change}
      </span>
    </div>
  );
}
