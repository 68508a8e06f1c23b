import { IconVolume, IconVolumeOff } from '@tabler/icons-react';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { usePianoState } from '../../sound/use-piano.ts';
import classes from './gate.module.css';

/** Whether the piano can be heard yet, in a word. */
export function SoundState(): ReactElement {
  const { t } = useTranslation();
  const state = usePianoState();
  const word = {
    idle: t('piano.soundLoading'),
    loading: t('piano.soundLoading'),
    ready: t('piano.soundReady'),
    failed: t('piano.soundFailed'),
  }[state];
  return (
    <span className={classes['sound']} data-sound={state} role="status">
      {state === 'failed' ? <IconVolumeOff size={17} stroke={1.6} /> : <IconVolume size={17} stroke={1.6} />} {word}
    </span>
  );
}
