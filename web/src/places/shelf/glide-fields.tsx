import { Checkbox, Select, TextInput } from '@mantine/core';
import { SIREN_SHAPES, type SirenWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FigureField } from './figure-field.tsx';
import { GlideEndField } from './glide-end.tsx';
import type { WorkFieldsProps } from './work-fields.types.ts';

/** A glide: between which heights of the range, its shape, how often and how long. */
export function GlideFields({ work, change, problemAt }: WorkFieldsProps<SirenWork>): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <Select
        allowDeselect={false}
        label={t('shelf.work.shape')}
        data={SIREN_SHAPES.map((value) => ({ value, label: t(`shelf.work.shapes.${value}`) }))}
        value={work.shape}
        onChange={(value) => {
          const shape = SIREN_SHAPES.find((known) => known === value);
          if (shape) change({ ...work, shape });
        }}
      />
      <FigureField
        label={t('shelf.work.glides')}
        value={work.repeats}
        error={problemAt('repeats')}
        onChange={(repeats) => {
          change({ ...work, repeats });
        }}
      />
      {(['secondsEach', 'restSeconds'] as const).map((name) => (
        <FigureField
          key={name}
          label={t(`shelf.work.${name}`)}
          decimals={1}
          value={work[name]}
          error={problemAt(name)}
          onChange={(seconds) => {
            change({ ...work, [name]: seconds });
          }}
        />
      ))}
      {(['low', 'high'] as const).map((side) => (
        <GlideEndField
          key={side}
          side={side}
          share={work[`${side}Share`]}
          end={work[`${side}End`]}
          error={problemAt(`${side}Share`) ? t('shelf.work.between', { least: 0, most: 100 }) : problemAt(`${side}End`)}
          onShare={(share) => {
            change({ ...work, [`${side}Share`]: share });
          }}
          onEnd={(end) => {
            change({ ...work, [`${side}End`]: end });
          }}
        />
      ))}
      <TextInput
        label={t('shelf.sheet.syllables')}
        value={work.syllables}
        maxLength={2000}
        error={problemAt('syllables')}
        onChange={({ currentTarget }) => {
          change({ ...work, syllables: currentTarget.value });
        }}
      />
      <Checkbox
        label={t('shelf.work.mirrored')}
        checked={work.mirrored ?? false}
        onChange={({ currentTarget }) => {
          change({ ...work, mirrored: currentTarget.checked || undefined });
        }}
      />
    </>
  );
}
