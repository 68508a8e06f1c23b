import { Button, TextInput, Title } from '@mantine/core';
import { isStillWork } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { collectionsQuery, shelfQuery } from '../../api/shelf.queries.ts';
import { unreadableQuery } from '../../api/unreadable.queries.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { UnreadableRows } from '../../ui/unreadable-rows.tsx';
import { ChosenBar } from './chosen-bar.tsx';
import { FilterBar } from './filter-bar.tsx';
import { addressOf, filtersOf, type ShelfFilters } from './shelf-filters.ts';
import { RemoveCollection } from './remove-collection.tsx';
import { ShelfList } from './shelf-list.tsx';
import { StageFilter } from './stage-filter.tsx';
import { useFound } from './use-found.ts';
import { usePlaced } from './use-placed.ts';
import classes from './shelf.module.css';

interface ShelfHeadProps {
  readonly count: number;
  /** The student in hand. */
  readonly name: string | null | undefined;
}

function ShelfHead({ count, name }: ShelfHeadProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['heading']}>
      <Title order={1} fz={32}>
        {t('shelf.heading', { count })}
      </Title>
      <p>{name ? t('shelf.for', { name }) : t('shelf.nobody')}</p>
      <Button component={Link} to="/shelf/import">
        {t('shelf.import')}
      </Button>
      <Button variant="filled" component={Link} to="/shelf/new">
        {t('shelf.add')}
      </Button>
    </div>
  );
}

/** The shelf: every exercise, found by letters, stage and whatever else it is narrowed by. */
export function ShelfPlace(): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery);
  const collections = useQuery(collectionsQuery).data ?? [];
  const unreadable = useQuery(unreadableQuery('exercises')).data ?? [];
  const [address, setAddress] = useSearchParams();
  const filters = useMemo(() => filtersOf(address), [address]);
  const placing = usePlaced(shelf.data);
  const collection = collections.find(({ id }) => id === filters.collection);
  const { standing, found, laid } = useFound(shelf.data, useDeferredValue(filters), collection, placing);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const show = (next: ShelfFilters): void => {
    // At once: a second press before the page was drawn anew would start from the filters before the first.
    setAddress(addressOf(next), { replace: true, flushSync: true });
  };
  if (shelf.error && !shelf.data) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Shape rows={9} height={42} />;
  return (
    <>
      <ShelfHead count={found.length} name={placing.name} />
      <div className={classes['asks']}>
        <TextInput
          className={classes['search'] ?? ''}
          type="search"
          aria-label={t('shelf.search')}
          placeholder={t('shelf.search')}
          value={filters.q}
          onChange={({ currentTarget }) => {
            show({ ...filters, q: currentTarget.value });
          }}
        />
        {collection && (
          <RemoveCollection
            collection={collection}
            onGone={() => {
              const { collection: gone, ...rest } = filters;
              if (gone !== undefined) show(rest);
            }}
          />
        )}
        <FilterBar filters={filters} onChange={show} collections={collections} />
      </div>
      <StageFilter
        exercises={standing}
        value={filters.stage ?? null}
        onChange={(stage) => {
          const { stage: before, ...rest } = filters;
          show(stage === null || stage === before ? rest : { ...rest, stage });
        }}
      />
      {filters.stage === 'occluded' && <p className={classes['silentHint']}>{t('terms.occluded.says')}</p>}
      {found.some(({ work }) => isStillWork(work)) && <p className={classes['silentHint']}>{t('shelf.silentHint')}</p>}
      <UnreadableRows rows={unreadable} />
      {found.length === 0 && <p>{t('shelf.nothing')}</p>}
      <ShelfList
        exercises={found}
        laid={laid}
        chosen={chosen}
        onChoose={(id, isChosen) => {
          const next = new Set(chosen);
          if (isChosen) next.add(id);
          else next.delete(id);
          setChosen(next);
        }}
      />
      {chosen.size > 0 && (
        <ChosenBar
          shelf={shelf.data}
          chosen={[...chosen].flatMap((id) => shelf.data.get(id) ?? [])}
          collections={collections}
          collection={collection}
          onDone={() => {
            setChosen(new Set());
          }}
        />
      )}
    </>
  );
}
