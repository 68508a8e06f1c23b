import { Select } from '@mantine/core';
import { STUDENT_COLUMNS, type StudentColumn, type StudentColumns } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './table.module.css';

interface TableColumnsProps {
  readonly heads: readonly string[];
  readonly columns: StudentColumns;
  readonly onColumns: (columns: StudentColumns) => void;
}

/** Columns with one of them put somewhere else, or nowhere. */
function moved(columns: StudentColumns, column: StudentColumn, place: string | null): StudentColumns {
  const others = Object.entries(columns).filter(([name]) => name !== column);
  return Object.fromEntries(place === null ? others : [...others, [column, Number(place)] as const]);
}

/** Which column of the table holds what, as its heads suggest and the teacher says. */
export function TableColumns({ heads, columns, onColumns }: TableColumnsProps): ReactElement {
  const { t } = useTranslation();
  const places = heads.map((head, index) => ({ value: String(index), label: head.trim() || String(index + 1) }));
  return (
    <section className={classes['columns']} aria-label={t('students.table.columns')}>
      <h2>{t('students.table.columns')}</h2>
      <div>
        {STUDENT_COLUMNS.map((column) => (
          <Select
            key={column}
            label={t(`students.table.column.${column}`)}
            placeholder={t('students.table.noColumn')}
            data={places}
            clearable
            clearButtonProps={{
              'aria-label': t('students.day.clear', { label: t(`students.table.column.${column}`) }),
            }}
            value={columns[column] === undefined ? null : String(columns[column])}
            onChange={(place) => {
              onColumns(moved(columns, column, place));
            }}
          />
        ))}
      </div>
    </section>
  );
}
