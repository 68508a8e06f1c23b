import { TextInput } from '@mantine/core';
import type { BreathWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FigureField } from './figure-field.tsx';
import type { WorkFieldsProps } from './work-fields.types.ts';

const COUNTS = ['inCounts', 'holdCounts', 'outCounts', 'restCounts', 'cycles', 'countTempo', 'growsBy'] as const;
const GOES = ['repeats', 'secondsEach', 'restSeconds'] as const;
const LONGEST = ['rounds', 'mostSeconds', 'restSeconds'] as const;

/** Breath: by counts, in goes, or as long as it lasts. */
export function BreathFields({ work, change, problemAt }: WorkFieldsProps<BreathWork>): ReactElement {
  const { t } = useTranslation();
  const { counts, bursts, longest } = work;
  return (
    <>
      {counts &&
        COUNTS.map((name) => (
          <FigureField
            key={name}
            label={t(`shelf.work.${name}`)}
            value={counts[name]}
            error={problemAt(`counts.${name}`)}
            onChange={(value) => {
              change({ ...work, counts: { ...counts, [name]: value } });
            }}
          />
        ))}
      {counts && counts.growsBy > 0 && (
        <FigureField
          label={t('shelf.work.growsTo')}
          value={counts.growsTo}
          error={problemAt('counts.growsTo')}
          onChange={(growsTo) => {
            change({ ...work, counts: { ...counts, growsTo: Number.isNaN(growsTo) ? undefined : growsTo } });
          }}
        />
      )}
      {bursts &&
        GOES.map((name) => (
          <FigureField
            key={name}
            label={t(`shelf.work.${name === 'repeats' ? 'goes' : name}`)}
            decimals={name === 'repeats' ? 0 : 1}
            value={bursts[name]}
            error={problemAt(`bursts.${name}`)}
            onChange={(value) => {
              change({ ...work, bursts: { ...bursts, [name]: value } });
            }}
          />
        ))}
      {longest &&
        LONGEST.map((name) => (
          <FigureField
            key={name}
            label={t(`shelf.work.${name}`)}
            value={longest[name]}
            error={problemAt(`longest.${name}`)}
            onChange={(value) => {
              change({ ...work, longest: { ...longest, [name]: value } });
            }}
          />
        ))}
      <TextInput
        label={t('shelf.work.soundOut')}
        value={work.syllables ?? ''}
        maxLength={200}
        error={problemAt('syllables')}
        onChange={({ currentTarget: { value } }) => {
          change({ ...work, syllables: value === '' ? undefined : value });
        }}
      />
    </>
  );
}
