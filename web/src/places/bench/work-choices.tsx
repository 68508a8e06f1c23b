import { Checkbox, Select, TagsInput, TextInput } from '@mantine/core';
import { LINE_ORDERS, SIREN_SHAPES } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FieldGroup, type StepFieldsProps } from './field-group.tsx';

/** The shape of the glides of this step. */
function GlideChoices({ exercise: { work }, written, settings, set }: StepFieldsProps): ReactElement | null {
  const { t } = useTranslation();
  if (work.kind !== 'siren' || written.work.kind !== 'siren') return null;
  const usual = written.work;
  return (
    <FieldGroup title={t('bench.groups.work')}>
      <Select
        size="sm"
        w={190}
        allowDeselect={false}
        label={t('shelf.work.shape')}
        data={SIREN_SHAPES.map((value) => ({ value, label: t(`shelf.work.shapes.${value}`) }))}
        value={settings.shape ?? usual.shape}
        onChange={(value) => {
          const shape = SIREN_SHAPES.find((one) => one === value);
          set('shape', shape === usual.shape ? undefined : shape);
        }}
      />
      <Checkbox
        label={t('shelf.work.mirrored')}
        checked={work.mirrored ?? false}
        onChange={({ currentTarget: { checked } }) => {
          set('mirrored', checked === (usual.mirrored ?? false) ? undefined : checked);
        }}
      />
      <TextInput
        size="sm"
        w={190}
        label={t('shelf.sheet.syllables')}
        placeholder={usual.syllables}
        maxLength={120}
        value={settings.syllables ?? ''}
        onChange={({ currentTarget: { value } }) => {
          set('syllables', value.trim() === '' ? undefined : value);
        }}
      />
    </FieldGroup>
  );
}

/** What is said or called in this step. */
function LineChoices({ stepId, exercise: { work }, settings, set }: StepFieldsProps): ReactElement | null {
  const { t } = useTranslation();
  const [typed, setTyped] = useState<{ readonly stepId: string; readonly lines: readonly string[] } | null>(null);
  if (work.kind !== 'spoken') return null;
  const lines = typed?.stepId === stepId ? typed.lines : (settings.lines ?? []);
  return (
    <FieldGroup title={t('bench.groups.work')}>
      <TagsInput
        size="sm"
        miw={300}
        label={t('shelf.work.lines')}
        placeholder={lines.length === 0 ? (work.lines.length > 0 ? work.lines.join(' | ') : work.text) : ''}
        splitChars={['|']}
        acceptValueOnBlur
        maxTags={60}
        maxLength={120}
        error={lines.length === 1 && t('bench.twoLines')}
        value={[...lines]}
        onChange={(next) => {
          setTyped({ stepId, lines: next });
          if (next.length !== 1) set('lines', next.length === 0 ? undefined : next);
        }}
      />
      <Select
        size="sm"
        w={190}
        allowDeselect={false}
        label={t('shelf.work.order')}
        data={LINE_ORDERS.map((value) => ({ value, label: t(`shelf.work.orders.${value}`) }))}
        value={settings.order ?? work.order}
        onChange={(value) => {
          set(
            'order',
            LINE_ORDERS.find((one) => one === value),
          );
        }}
      />
    </FieldGroup>
  );
}

/** How the work of a step is done that is neither a tune nor counted. */
export function WorkChoices(props: StepFieldsProps): ReactElement {
  return (
    <>
      <GlideChoices {...props} />
      <LineChoices {...props} />
    </>
  );
}
