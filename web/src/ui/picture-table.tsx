import { Table, UnstyledButton } from '@mantine/core';
import { useState, type ReactElement, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './ui.module.css';

interface PictureTableProps {
  readonly label: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
  /** The way to the table lies in the picture's own corner at the left, not under it. */
  readonly isOver?: boolean;
  readonly children: ReactNode;
}

/** A picture, and a table with the same figures one press away. */
export function PictureTable({ label, head, rows, isOver = false, children }: PictureTableProps): ReactElement {
  const { t } = useTranslation();
  const [isOpen, setOpen] = useState(false);
  return (
    <figure className={classes['picture']} aria-label={label}>
      <div className={classes['drawn']} data-over={isOver}>
        {children}
        <UnstyledButton
          className={classes['asTable'] ?? ''}
          aria-expanded={isOpen}
          onClick={() => {
            setOpen(!isOpen);
          }}
        >
          {isOpen ? t('app.hideTable') : t('app.asTable')}
        </UnstyledButton>
      </div>
      {isOpen && (
        <Table aria-label={label} className={classes['figures'] ?? ''}>
          <Table.Thead>
            <Table.Tr>
              {head.map((name) => (
                <Table.Th key={name}>{name}</Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {rows.map((row, index) => (
              <Table.Tr key={index}>
                {row.map((cell, column) => (
                  <Table.Td key={column}>{cell}</Table.Td>
                ))}
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </figure>
  );
}
