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

/** What cannot wait is in sight; the rest is a press away. */
const GROUPS: readonly { readonly name: 'now' | 'today' | 'long'; readonly signs: readonly GateSign[] }[] = [
  { name: 'now', signs: URGENT_SIGNS },
  { name: 'today', signs: NOT_TODAY_SIGNS },
  { name: 'long', signs: SEE_SOMEONE_SIGNS },
];

interface GateSignsProps {
  readonly voice: Pick<VoiceFile, 'type' | 'age'>;
  readonly value: readonly GateSign[] | undefined;
  readonly onChange: (signs: readonly GateSign[]) => void;
}

/** The warning signs, asked only where an answer asks for them. Nothing ticked must be said as well. */
export function GateSigns({ voice, value, onChange }: GateSignsProps): ReactElement {
  const { t } = useTranslation();
  const [ticked, setTicked] = useState<readonly GateSign[]>(value ?? []);
  const wordsOf = (sign: GateSign): string =>
    t(`gate.signWords.${sign === 'hoarse-long' && isYoungVoice(voice) ? 'hoarse-long-child' : sign}`);
  const tick = (sign: GateSign, isSo: boolean): void => {
    const next = isSo ? [...ticked, sign] : ticked.filter((other) => other !== sign);
    setTicked(next);
    if (value !== undefined) onChange(next);
  };
  return (
    <fieldset className={classes['signs']}>
      <legend>{t('gate.signs')}</legend>
      {GROUPS.map(({ name, signs }) => (
        <details key={name} open={name === 'now' || signs.some((sign) => ticked.includes(sign))}>
          <summary>
            {t(`gate.signGroups.${name}`)} <small>{t(`gate.signGroupHints.${name}`)}</small>
          </summary>
          <div>
            {signs.map((sign) => (
              <Checkbox
                key={sign}
                size="md"
                label={wordsOf(sign)}
                checked={ticked.includes(sign)}
                onChange={({ currentTarget: { checked } }) => {
                  tick(sign, checked);
                }}
              />
            ))}
          </div>
        </details>
      ))}
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
