import { ActionIcon, NumberInput, Popover, SegmentedControl, Slider, Stack, Switch } from '@mantine/core';
import { IconVideo, IconVolume, IconVolumeOff } from '@tabler/icons-react';
import {
  CLICKS,
  CUES,
  HIGHEST_TUNING_HZ,
  LOWEST_TUNING_HZ,
  SHOWN_AT,
  SOUND_PARTS,
  type SoundChoices,
} from '@soft-lark/core';
import type { ReactElement, ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { Student } from '../../api/students.queries.ts';
import { canChooseOutput } from '../../sound/output.ts';
import { useSoundChoices, type ChangeSound, type DeviceSound } from '../../sound/sound-choices.ts';
import { usePianoState } from '../../sound/use-piano.ts';
import { canSpeak } from './count-words.ts';
import { FarChoice } from './far-choice.tsx';
import { OutputChoice } from './output-choice.tsx';
import type { FarSide } from './use-far-side.ts';
import classes from './sound-button.module.css';

interface SoundButtonProps {
  readonly far: FarSide;
  readonly student: Student;
}

/** A question and what it can be answered with, one press each. */
function Choice<T extends string>({
  label,
  among,
  words,
  value,
  onChange,
}: {
  readonly label: string;
  readonly among: readonly T[];
  readonly words: (one: T) => string;
  readonly value: T;
  readonly onChange: (value: T) => void;
}): ReactElement {
  return (
    <Row label={label}>
      <SegmentedControl<T>
        aria-label={label}
        data={among.map((one) => ({ value: one, label: words(one) }))}
        value={value}
        onChange={onChange}
      />
    </Row>
  );
}

function Row({ label, children }: { readonly label: string; readonly children: ReactNode }): ReactElement {
  return (
    <div className={classes['row']}>
      <span>{label}</span>
      {children}
    </div>
  );
}

const OCTAVES = SHOWN_AT.map(String);

interface LevelsProps {
  readonly levels: SoundChoices['levels'];
  readonly onChange: (levels: SoundChoices['levels']) => void;
}

function Levels({ levels, onChange }: LevelsProps): readonly ReactElement[] {
  const { t } = useTranslation();
  return SOUND_PARTS.map((part) => (
    <Row key={part} label={t(`sound.levels.${part}`)}>
      <Slider
        flex={1}
        thumbLabel={t(`sound.levels.${part}`)}
        label={(percent) => t('sound.percent', { percent })}
        value={Math.round(levels[part] * 100)}
        onChange={(percent) => {
          onChange({ ...levels, [part]: percent / 100 });
        }}
      />
    </Row>
  ));
}

/** Which device plays, where the browser lets a page choose. */
function Output({ sound, change }: { readonly sound: DeviceSound; readonly change: ChangeSound }): ReactElement | null {
  const { t } = useTranslation();
  if (!canChooseOutput()) return null;
  return (
    <Row label={t('sound.output')}>
      <OutputChoice
        output={sound.output}
        onChange={(output) => {
          change({ output });
        }}
      />
    </Row>
  );
}

/** How the piano sounds on this device: where, what gives a key, the click, the loudness of each part, the tuning. */
function SoundForm({ far, student }: SoundButtonProps): ReactElement {
  const { t } = useTranslation();
  const [sound, change] = useSoundChoices();
  const speaks = canSpeak();
  return (
    <Stack gap={10}>
      <FarChoice far={far} student={student} />
      <Choice
        label={t('sound.cue')}
        among={CUES}
        words={(cue) => t(`sound.cues.${cue}`)}
        value={sound.cue}
        onChange={(cue) => {
          change({ cue });
        }}
      />
      <Choice
        label={t('sound.click')}
        among={CLICKS}
        words={(click) => t(`sound.clicks.${click}`)}
        value={sound.click}
        onChange={(click) => {
          change({ click });
        }}
      />
      <Choice
        label={t('sound.shownAt')}
        among={OCTAVES}
        words={(octave) => t(`sound.octaves.${octave as '0'}`)}
        value={String(sound.shownAt)}
        onChange={(octave) => {
          change({ shownAt: Number(octave) as SoundChoices['shownAt'] });
        }}
      />
      <Levels
        levels={sound.levels}
        onChange={(levels) => {
          change({ levels });
        }}
      />
      <Row label={t('sound.tuning')}>
        <NumberInput
          aria-label={t('sound.tuning')}
          w={110}
          min={LOWEST_TUNING_HZ}
          max={HIGHEST_TUNING_HZ}
          decimalScale={1}
          suffix=" Hz"
          value={sound.tuning}
          onChange={(tuning) => {
            if (typeof tuning === 'number' && tuning >= LOWEST_TUNING_HZ && tuning <= HIGHEST_TUNING_HZ)
              change({ tuning });
          }}
        />
      </Row>
      <Output sound={sound} change={change} />
      <Switch
        label={t('sound.silent')}
        description={t('sound.silentHint')}
        checked={sound.isSilent}
        onChange={({ currentTarget }) => {
          change({ isSilent: currentTarget.checked });
        }}
      />
      <Switch
        label={t('sound.speaks')}
        description={t(speaks ? 'sound.speaksHint' : 'sound.noVoice')}
        disabled={!speaks}
        checked={sound.speaks && speaks}
        onChange={({ currentTarget }) => {
          change({ speaks: currentTarget.checked });
        }}
      />
    </Stack>
  );
}

/** Whether the piano can be heard and where, and a press for how it sounds; what changes holds from the next key on. */
export function SoundButton({ far, student }: SoundButtonProps): ReactElement {
  const { t } = useTranslation();
  const [sound] = useSoundChoices();
  const state = usePianoState();
  const isOff = state === 'failed' || sound.isSilent;
  return (
    <Popover position="bottom-end" width="min(580px, calc(100vw - 24px))" shadow="none" withArrow trapFocus>
      <Popover.Target>
        <ActionIcon
          aria-label={t('sound.title')}
          data-sound={state}
          data-quiet={isOff}
          className={classes['button'] ?? ''}
        >
          {isOff ? <IconVolumeOff size={22} /> : far.isOn ? <IconVideo size={22} /> : <IconVolume size={22} />}
        </ActionIcon>
      </Popover.Target>
      <Popover.Dropdown>
        {state !== 'ready' && (
          <p className={classes['state']} role="status">
            {t(state === 'failed' ? 'piano.soundFailed' : 'piano.soundLoading')}
          </p>
        )}
        <SoundForm far={far} student={student} />
      </Popover.Dropdown>
    </Popover>
  );
}
