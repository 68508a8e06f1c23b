import { UnstyledButton } from '@mantine/core';
import { currentStep, LIVE_TEMPO, type RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyFor } from '../../ui/key-cap.tsx';
import type { Running } from './use-run.ts';
import { letGo } from './let-go.ts';
import classes from './run.module.css';

interface TempoButtonsProps {
  readonly running: Running;
  readonly state: RunState;
}

/** Slower, faster and half as fast, from the next key on; the tempo there stands between them. */
export function TempoButtons({ running, state }: TempoButtonsProps): ReactElement | null {
  const { t } = useTranslation();
  const step = currentStep(state);
  if (!step?.ladder) return null;
  const next = step.keys[state.begun ? state.keyIndex + 1 : 0] ?? step.keys.at(-1);
  const ways = [
    { name: 'faster', by: LIVE_TEMPO.step },
    { name: 'slower', by: -LIVE_TEMPO.step },
  ] as const;
  const [faster, slower] = ways.map(({ name, by }) => (
    <UnstyledButton
      key={name}
      aria-label={t(`piano.${name}`, { count: Math.abs(by) })}
      onPointerUp={letGo}
      onClick={() => {
        running.does({ type: 'tempo', by });
      }}
    >
      {by > 0 ? '+' : '−'}
      {Math.abs(by)} <KeyFor place="piano" name={name} />
    </UnstyledButton>
  ));
  return (
    <div className={classes['tempo']}>
      {faster}
      <p role="status">{t('piano.nextAt', { tempo: Math.round(next?.tempo ?? 0) })}</p>
      {slower}
      <UnstyledButton
        aria-label={t('piano.half')}
        aria-pressed={step.isHalf === true}
        onPointerUp={letGo}
        onClick={() => {
          running.does({ type: 'half-tempo' });
        }}
      >
        ½ <KeyFor place="piano" name="half" />
      </UnstyledButton>
    </div>
  );
}
