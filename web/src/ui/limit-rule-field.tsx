import { NumberInput, Select } from '@mantine/core';
import { LIMIT_ANCHORS, type LimitRule } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './ui.module.css';

interface LimitRuleFieldProps {
  readonly label: string;
  readonly rule: LimitRule | undefined;
  /** Whether a song of the piece in hand is kept. */
  readonly hasSong: boolean;
  readonly onSet: (rule: LimitRule | undefined) => void;
}

/** House limit; further away from it, it is another note. */
const MOST = 12;

/** An end of a step by rule: what it is counted from, and how many semitones over or under it. */
export function LimitRuleField({ label, rule, hasSong, onSet }: LimitRuleFieldProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['rule']}>
      <Select
        size="sm"
        w={190}
        clearable
        label={label}
        placeholder={t('bench.byTheRules')}
        error={rule?.from === 'song' && !hasSong && t('bench.byRule.noSong')}
        data={LIMIT_ANCHORS.map((value) => ({ value, label: t(`bench.anchors.${value}`) }))}
        value={rule?.from ?? null}
        onChange={(value) => {
          const from = LIMIT_ANCHORS.find((one) => one === value);
          onSet(from && { from, by: rule?.by ?? 0 });
        }}
      />
      {rule && (
        <NumberInput
          size="sm"
          w={104}
          label={t('bench.byRule.amount')}
          min={-MOST}
          max={MOST}
          clampBehavior="blur"
          allowDecimal={false}
          value={rule.by}
          onChange={(by) => {
            if (typeof by === 'number' && Math.abs(by) <= MOST) onSet({ ...rule, by });
          }}
        />
      )}
    </div>
  );
}
