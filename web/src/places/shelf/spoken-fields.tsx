import { Select, TagsInput, Textarea } from '@mantine/core';
import { LINE_ORDERS, type SpokenWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FigureField } from './figure-field.tsx';
import type { WorkFieldsProps } from './work-fields.types.ts';
import classes from './sheet.module.css';

/** Words and calls: what is said, how often, how fast, whether it quickens, and in which order a list is called. */
export function SpokenFields({ work, change, problemAt }: WorkFieldsProps<SpokenWork>): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      {(['repeats', 'beats', 'tempo', 'restSeconds'] as const).map((name) => (
        <FigureField
          key={name}
          label={t(`shelf.work.${name === 'repeats' ? 'times' : name}`)}
          decimals={name === 'beats' || name === 'restSeconds' ? 1 : 0}
          value={work[name]}
          error={problemAt(name)}
          onChange={(value) => {
            change({ ...work, [name]: value });
          }}
        />
      ))}
      <FigureField
        label={t('shelf.work.quickening')}
        value={Math.round(work.quickening * 100)}
        error={problemAt('quickening') && t('shelf.work.between', { least: 0, most: 20 })}
        onChange={(percent) => {
          change({ ...work, quickening: percent / 100 });
        }}
      />
      <Textarea
        className={classes['wide'] ?? ''}
        label={t('shelf.work.text')}
        autosize
        maxLength={240}
        value={work.text}
        error={problemAt('text')}
        onChange={({ currentTarget }) => {
          change({ ...work, text: currentTarget.value });
        }}
      />
      <TagsInput
        className={classes['wide'] ?? ''}
        label={t('shelf.work.lines')}
        description={t('shelf.work.linesHint')}
        splitChars={['|']}
        acceptValueOnBlur
        value={work.lines}
        error={problemAt('lines')}
        onChange={(lines) => {
          change({ ...work, lines });
        }}
      />
      <Select
        allowDeselect={false}
        label={t('shelf.work.order')}
        data={LINE_ORDERS.map((value) => ({ value, label: t(`shelf.work.orders.${value}`) }))}
        value={work.order}
        onChange={(value) => {
          const order = LINE_ORDERS.find((known) => known === value);
          if (order) change({ ...work, order });
        }}
      />
    </>
  );
}
