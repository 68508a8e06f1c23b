import { NumberInput, Select } from '@mantine/core';
import { PLACEMENT_RULES } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { LimitRuleField } from '../../ui/limit-rule-field.tsx';
import { FieldGroup, type StepFieldsProps } from './field-group.tsx';

/** Where it ends and starts by rule. */
export function EndFields({ exercise: { work }, settings, hasSong, set }: StepFieldsProps): ReactElement | null {
  const { t } = useTranslation();
  const { startRule } = settings;
  if (work.kind !== 'pattern' && work.kind !== 'siren') return null;
  return (
    <FieldGroup title={t('bench.groups.ends')}>
      {(['floorRule', 'ceilingRule'] as const).map((name) => (
        <LimitRuleField
          key={name}
          label={t(`bench.${name}`)}
          rule={settings[name]}
          hasSong={hasSong}
          onSet={(rule) => {
            set(name, rule, name === 'floorRule' ? 'floor' : 'ceiling');
          }}
        />
      ))}
      {work.kind === 'pattern' && (
        <Select
          size="sm"
          w={190}
          clearable
          label={t('bench.startRule')}
          placeholder={t('bench.byExercise')}
          data={PLACEMENT_RULES.map((value) => ({ value, label: t(`shelf.rules.${value}`) }))}
          value={startRule?.rule ?? null}
          onChange={(value) => {
            const rule = PLACEMENT_RULES.find((one) => one === value);
            set('startRule', rule && { rule, semitones: startRule?.semitones ?? 3 }, 'start');
          }}
        />
      )}
      {startRule && startRule.rule !== 'speaking-pitch' && (
        <NumberInput
          size="sm"
          w={104}
          label={t('bench.byRule.amount')}
          min={startRule.rule === 'bridge-anchor' ? -12 : 0}
          max={24}
          clampBehavior="blur"
          allowDecimal={false}
          value={startRule.semitones}
          onChange={(semitones) => {
            if (typeof semitones === 'number' && semitones >= -12 && semitones <= 24)
              set('startRule', { ...startRule, semitones });
          }}
        />
      )}
    </FieldGroup>
  );
}
