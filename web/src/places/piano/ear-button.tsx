import { ActionIcon, Popover, SegmentedControl, Stack, Switch } from '@mantine/core';
import { SINGERS, type SingerName } from '@soft-lark/core';
import { IconEar } from '@tabler/icons-react';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { EarSource } from '../../listening/ear.ts';
import { shareText } from '../../text/numbers.ts';
import { SingerSelect } from '../../ui/singer-select.tsx';
import { useEarChoices } from './ear-choices.ts';
import type { HeardKey, Listening } from './use-ear.ts';
import classes from './ear.module.css';

/** The singer that sings where nobody is at the microphone. */
const USUAL_SINGER: SingerName = 'steady';
const WAYS = ['off', 'microphone', 'simulated'] as const;
type Way = (typeof WAYS)[number];

function wayOf(source: EarSource | null): Way {
  if (source === null) return 'off';
  return source === 'microphone' ? source : 'simulated';
}

/** How the key before began and flowed; relative, so without a word of praise or blame. */
function Measures({ heard }: { readonly heard: HeardKey }): ReactElement {
  const { t } = useTranslation();
  const { onset, evenness } = heard;
  return (
    <dl className={classes['measures']}>
      <dt>{t('piano.ear.onset')}</dt>
      <dd>{onset === null ? t('piano.ear.never') : t('piano.ear.milliseconds', { count: onset })}</dd>
      <dt>{t('piano.ear.evenness')}</dt>
      <dd>{evenness === null ? t('piano.ear.never') : shareText(evenness)}</dd>
    </dl>
  );
}

interface EarButtonProps {
  readonly listening: Listening;
  readonly source: EarSource | null;
  readonly onSource: (source: EarSource | null) => void;
}

/** Whether anybody is listened to, and a press for who and how; off until it is turned on. */
export function EarButton({ listening, source, onSource }: EarButtonProps): ReactElement {
  const { t } = useTranslation();
  const [choices, change] = useEarChoices();
  const { state, heard } = listening;
  const way = wayOf(source);
  return (
    <Popover position="bottom-end" width="min(440px, calc(100vw - 24px))" shadow="none" withArrow trapFocus>
      <Popover.Target>
        <ActionIcon
          className={classes['button'] ?? ''}
          aria-label={t(state === 'on' ? 'piano.ear.isOn' : 'piano.ear.open')}
          title={t(state === 'on' ? 'piano.ear.isOn' : 'piano.ear.open')}
          data-on={state === 'on'}
        >
          <IconEar size={22} />
        </ActionIcon>
      </Popover.Target>
      <Popover.Dropdown>
        <Stack gap="sm">
          <p role="status" className={classes['say']}>
            {t(`piano.ear.states.${state}`)}
          </p>
          <SegmentedControl<Way>
            aria-label={t('piano.ear.open')}
            data={WAYS.map((value) => ({ value, label: t(`piano.ear.ways.${value}`) }))}
            value={way}
            onChange={(chosen) => {
              onSource(chosen === 'off' ? null : chosen === 'simulated' ? USUAL_SINGER : chosen);
            }}
          />
          {way === 'simulated' && (
            <SingerSelect
              singer={source && source in SINGERS ? (source as SingerName) : USUAL_SINGER}
              onSinger={onSource}
            />
          )}
          <Switch
            label={t('piano.ear.headphones')}
            description={t('piano.ear.headphonesHint')}
            checked={choices.hasHeadphones}
            onChange={({ currentTarget }) => {
              change({ hasHeadphones: currentTarget.checked });
            }}
          />
          <Switch
            label={t('piano.ear.goesOn')}
            description={t('piano.ear.goesOnHint')}
            checked={choices.goesOn}
            onChange={({ currentTarget }) => {
              change({ goesOn: currentTarget.checked });
            }}
          />
          {heard && <Measures heard={heard} />}
        </Stack>
      </Popover.Dropdown>
    </Popover>
  );
}
