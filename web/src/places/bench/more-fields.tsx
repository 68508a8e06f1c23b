import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { CountField } from './count-field.tsx';
import { EndFields } from './end-fields.tsx';
import { FieldGroup, type StepFieldsProps } from './field-group.tsx';
import { KeyFields } from './key-fields.tsx';
import { VoiceFields } from './voice-fields.tsx';
import { WorkChoices } from './work-choices.tsx';
import classes from './bench.module.css';

const TIMES = [
  { name: 'tempoStep', min: -12, max: 12 },
  { name: 'cueBeats', min: 0, max: 16 },
  { name: 'restBeats', min: 0, max: 16 },
] as const;

/** How the tempo changes from key to key, what stands between the keys, and how long it takes to explain. */
function TimeFields({ exercise: { work }, usualSetUp, settings, set }: MoreFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <FieldGroup title={t('bench.groups.time')}>
      {work.kind === 'pattern' &&
        TIMES.map(({ name, min, max }) => (
          <CountField
            key={name}
            label={t(`bench.${name}`)}
            value={settings[name]}
            usual={String(work[name] ?? 0)}
            min={min}
            max={max}
            allowsParts
            onSet={(value) => {
              set(name, value);
            }}
          />
        ))}
      <CountField
        label={t('bench.setUpSeconds')}
        value={settings.setUpSeconds}
        usual={String(usualSetUp)}
        min={0}
        max={300}
        onSet={(value) => {
          set('setUpSeconds', value);
        }}
      />
    </FieldGroup>
  );
}

interface MoreFieldsProps extends StepFieldsProps {
  /** Seconds it takes to explain today. */
  readonly usualSetUp: number;
}

/** The rest of what can be set in a step, in groups. */
export function MoreFields(props: MoreFieldsProps): ReactElement {
  return (
    <div className={classes['more']}>
      <WorkChoices {...props} />
      <KeyFields {...props} />
      <EndFields {...props} />
      <VoiceFields {...props} />
      <TimeFields {...props} />
    </div>
  );
}
