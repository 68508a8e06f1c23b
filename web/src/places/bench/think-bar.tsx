import { Button, Slider } from '@mantine/core';
import { IconWand } from '@tabler/icons-react';
import type { Finding } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './bench.module.css';

const FEWEST_MINUTES = 2;
const MOST_MINUTES = 30;

interface ThinkBarProps {
  readonly minutes: number;
  /** What the minutes under the finger would change, in words. */
  readonly change: string;
  readonly findings: readonly Finding[];
  readonly isReviewing: boolean;
  readonly isBusy: boolean;
  readonly hasSteps: boolean;
  readonly onDraft: () => void;
  readonly onSlide: (minutes: number) => void;
  readonly onSlid: (minutes: number) => void;
  readonly onReview: () => void;
  /** What can be done with the routine as a whole. */
  readonly tools: ReactElement;
}

/** Where the bench thinks along: a draft in a press, the minutes under a finger, and what the review has to say. */
export function ThinkBar(props: ThinkBarProps): ReactElement {
  const { t } = useTranslation();
  const { minutes, change, findings, isReviewing, isBusy, hasSteps, onDraft, onSlide, onSlid, onReview, tools } = props;
  const stops = findings.filter(({ severity }) => severity === 'stop').length;
  return (
    <div className={classes['think']} role="group" aria-label={t('bench.think.name')}>
      <Button
        variant={hasSteps ? 'default' : 'filled'}
        loading={isBusy}
        leftSection={<IconWand size={17} />}
        onClick={onDraft}
      >
        {t(hasSteps ? 'bench.think.another' : 'bench.think.draft')}
      </Button>
      <span className={classes['slide']}>
        <Slider
          min={FEWEST_MINUTES}
          max={Math.max(MOST_MINUTES, minutes)}
          label={null}
          disabled={!hasSteps}
          thumbLabel={t('bench.think.minutes')}
          value={minutes}
          onChange={onSlide}
          onChangeEnd={onSlid}
        />
        <b>{t('bench.minutesAxis', { count: minutes })}</b>
        <span className={classes['buys']} aria-live="polite">
          {change}
        </span>
      </span>
      {tools}
      <Button
        aria-expanded={isReviewing}
        disabled={!hasSteps}
        data-stops={stops > 0}
        className={classes['findings'] ?? ''}
        onClick={onReview}
      >
        {findings.length === 0 ? t('bench.think.nothing') : t('bench.think.findings', { count: findings.length })}
      </Button>
    </div>
  );
}
