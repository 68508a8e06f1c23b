import { Button, Checkbox, Group } from '@mantine/core';
import {
  isYoungVoice,
  NOT_TODAY_SIGNS,
  SEE_SOMEONE_SIGNS,
  URGENT_SIGNS,
  type GateSign,
  type VoiceFile,
} from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './gate.module.css';

const SIGNS: readonly GateSign[] = [...URGENT_SIGNS, ...NOT_TODAY_SIGNS, ...SEE_SOMEONE_SIGNS];

interface GateSignsProps {
  readonly voice: VoiceFile;
  readonly value: readonly GateSign[] | undefined;
  readonly onChange: (signs: readonly GateSign[]) => void;
}

/** The warning signs, asked only where an answer asks for them. Nothing ticked must be said as well. */
export function GateSigns({ voice, value, onChange }: GateSignsProps): ReactElement {
  const { t } = useTranslation();
  const [ticked, setTicked] = useState<readonly GateSign[]>(value ?? []);
  return (
    <fieldset className={classes['signs']}>
      <legend>{t('gate.signs')}</legend>
      <div>
        {SIGNS.map((sign) => (
          <Checkbox
            key={sign}
            size="md"
            label={t(`gate.signWords.${sign === 'hoarse-long' && isYoungVoice(voice) ? 'hoarse-long-child' : sign}`)}
            checked={ticked.includes(sign)}
            onChange={({ currentTarget }) => {
              const { checked } = currentTarget;
              const next = checked ? [...ticked, sign] : ticked.filter((other) => other !== sign);
              setTicked(next);
              if (value !== undefined) onChange(next);
            }}
          />
        ))}
      </div>
      {value === undefined && (
        <Group>
          <Button
            size="lg"
            variant={ticked.length > 0 ? 'filled' : 'default'}
            onClick={() => {
              onChange(ticked);
            }}
          >
            {ticked.length > 0 ? t('gate.signsDone') : t('gate.noneOf')}
          </Button>
        </Group>
      )}
    </fieldset>
  );
}
