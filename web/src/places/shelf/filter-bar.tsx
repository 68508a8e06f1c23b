import { Button, Group, NumberInput, Popover, Select, Stack } from '@mantine/core';
import { IconAdjustmentsHorizontal } from '@tabler/icons-react';
import { LEVELS, NOISES, STYLES, VOICE_TYPES } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Collection } from '../../api/shelf.queries.ts';
import type { ShelfFilters } from './shelf-filters.ts';

interface FilterBarProps {
  readonly filters: ShelfFilters;
  readonly onChange: (filters: ShelfFilters) => void;
  readonly collections: readonly Collection[];
}

type ChoiceName = 'level' | 'noise' | 'style' | 'voice' | 'kit' | 'known' | 'from';

function useChoiceWords(): Readonly<Record<ChoiceName, readonly { readonly value: string; readonly label: string }[]>> {
  const { t } = useTranslation();
  return {
    level: LEVELS.map((value) => ({ value, label: t(`shelf.levels.${value}`) })),
    noise: NOISES.map((value) => ({ value, label: t(`shelf.noises.${value}`) })),
    style: STYLES.map((value) => ({ value, label: t(`styles.${value}`) })),
    voice: VOICE_TYPES.map((value) => ({ value, label: t(`voices.${value}`) })),
    kit: [{ value: 'none', label: t('shelf.filters.noKit') }],
    known: [
      { value: 'yes', label: t('shelf.filters.knownYes') },
      { value: 'no', label: t('shelf.filters.knownNo') },
    ],
    from: [
      { value: 'own', label: t('shelf.filters.own') },
      { value: 'archived', label: t('shelf.filters.archived') },
    ],
  };
}

interface CollectionSelectProps {
  readonly collections: readonly Collection[];
  readonly value: string | null;
  readonly onChange: (id: string | null) => void;
}

function CollectionSelect({ collections, value, onChange }: CollectionSelectProps): ReactElement | null {
  const { t } = useTranslation();
  if (collections.length === 0) return null;
  return (
    <Select
      w={210}
      clearable
      aria-label={t('shelf.collection')}
      placeholder={t('shelf.collection')}
      data={collections.map(({ id, name }) => ({ value: id, label: name }))}
      value={value}
      onChange={onChange}
    />
  );
}

/** Everything but letters and stage that the shelf can be narrowed by; each can be combined with each. */
export function FilterBar({ filters, onChange, collections }: FilterBarProps): ReactElement {
  const { t } = useTranslation();
  const set = (name: keyof ShelfFilters, value: string | number | null): void => {
    const rest = Object.fromEntries(Object.entries(filters).filter(([other]) => other !== name));
    onChange({ ...rest, ...(value !== null && value !== '' && { [name]: value }) } as ShelfFilters);
  };
  const words = useChoiceWords();
  const choice = (name: ChoiceName): ReactElement => (
    <Select
      key={name}
      clearable
      comboboxProps={{ withinPortal: false }}
      label={t(`shelf.filters.${name}`)}
      data={words[name]}
      value={filters[name] ?? null}
      onChange={(value) => {
        set(name, value);
      }}
    />
  );
  const most = (name: 'load' | 'span' | 'seconds', max: number): ReactElement => (
    <NumberInput
      label={t(`shelf.filters.${name}`)}
      min={1}
      max={max}
      value={filters[name] ?? ''}
      onChange={(value) => {
        set(name, typeof value === 'number' ? value : null);
      }}
    />
  );
  const count = Object.keys(filters).filter((name) => !['q', 'stage', 'collection'].includes(name)).length;
  return (
    <Group gap="sm">
      <CollectionSelect
        collections={collections}
        value={filters.collection ?? null}
        onChange={(value) => {
          set('collection', value);
        }}
      />
      <Popover width={520} position="bottom-end" trapFocus>
        <Popover.Target>
          <Button leftSection={<IconAdjustmentsHorizontal size={18} />}>
            {count === 0 ? t('shelf.filters.more') : t('shelf.filters.some', { count })}
          </Button>
        </Popover.Target>
        <Popover.Dropdown>
          <Stack gap="sm">
            <Group grow>{(['level', 'noise', 'known'] as const).map(choice)}</Group>
            <Group grow>{(['style', 'voice', 'kit'] as const).map(choice)}</Group>
            <Group grow align="flex-end">
              {most('load', 5)}
              {most('span', 36)}
              {most('seconds', 900)}
            </Group>
            <Group grow align="flex-end">
              {choice('from')}
              <Button
                disabled={count === 0}
                onClick={() => {
                  const { q, stage, collection } = filters;
                  onChange({ q, ...(stage && { stage }), ...(collection && { collection }) });
                }}
              >
                {t('shelf.filters.none')}
              </Button>
            </Group>
          </Stack>
        </Popover.Dropdown>
      </Popover>
    </Group>
  );
}
