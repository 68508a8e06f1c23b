import { NumberInput, Select } from '@mantine/core';
import { HELP_CHOICES, type PatternWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { AgainField } from '../../ui/again-field.tsx';
import { LimitRuleField } from '../../ui/limit-rule-field.tsx';
import classes from './sheet.module.css';

interface CarryFieldsProps {
  readonly work: PatternWork;
  readonly change: (change: Partial<PatternWork>) => void;
}

/** House limit; a tempo that grows faster than this is another exercise. Beats per minute a key. */
const MOST_TEMPO_STEP = 12;

/** How a tune is carried through the keys wherever it is sung: its ends by rule, a second time, who sounds, a growing tempo. */
export function CarryFields({ work, change }: CarryFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={`${classes['wide'] ?? ''} ${classes['carry'] ?? ''}`}>
      <NumberInput
        size="sm"
        label={t('bench.tempoStep')}
        min={-MOST_TEMPO_STEP}
        max={MOST_TEMPO_STEP}
        clampBehavior="blur"
        value={work.tempoStep ?? ''}
        onChange={(value) => {
          if (value === '') change({ tempoStep: undefined });
          else if (typeof value === 'number' && Math.abs(value) <= MOST_TEMPO_STEP) change({ tempoStep: value });
        }}
      />
      <Select
        size="sm"
        w={270}
        clearable
        label={t('bench.help')}
        placeholder={t('bench.helpPlan')}
        data={HELP_CHOICES.map((value) => ({ value, label: t(`bench.helps.${value}`) }))}
        value={work.help ?? null}
        onChange={(value) => {
          change({ help: HELP_CHOICES.find((one) => one === value) });
        }}
      />
      <AgainField
        again={work.again}
        onSet={(again) => {
          change({ again });
        }}
      />
      {(['floorRule', 'ceilingRule'] as const).map((name) => (
        <LimitRuleField
          key={name}
          label={t(`bench.${name}`)}
          rule={work[name]}
          hasSong
          onSet={(rule) => {
            change({ [name]: rule });
          }}
        />
      ))}
    </div>
  );
}
