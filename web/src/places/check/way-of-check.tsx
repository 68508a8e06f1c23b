import { SegmentedControl, Switch } from '@mantine/core';
import { CHECK_WAYS, type CheckWay, type SingerName } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { wakePiano } from '../../sound/piano.ts';
import { SingerSelect } from '../../ui/singer-select.tsx';
import classes from './check.module.css';

interface WayProps {
  readonly way: CheckWay;
  readonly onWay: (way: CheckWay) => void;
  readonly singer: SingerName;
  readonly onSinger: (singer: SingerName) => void;
  /** Whether the sound may be kept at all, and whether it is. */
  readonly mayKeep: boolean;
  readonly isKept: boolean;
  readonly onKept: (isKept: boolean) => void;
}

/** How the notes come in: keys, a keyboard, the microphone or the simulated singer. */
export function WayOfCheck({ way, onWay, singer, onSinger, mayKeep, isKept, onKept }: WayProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['way']}>
      <SegmentedControl
        aria-label={t('check.way')}
        data={CHECK_WAYS.map((value) => ({ value, label: t(`check.ways.${value}`) }))}
        value={way}
        onChange={(value) => {
          void wakePiano();
          onWay(CHECK_WAYS.find((known) => known === value) ?? 'keys');
        }}
      />
      {way === 'microphone' && (
        <Switch
          label={t(mayKeep ? 'check.keepSound' : 'check.noConsent')}
          disabled={!mayKeep}
          checked={isKept}
          onChange={({ currentTarget }) => {
            onKept(currentTarget.checked);
          }}
        />
      )}
      {way === 'simulated' && <SingerSelect singer={singer} onSinger={onSinger} />}
    </div>
  );
}
