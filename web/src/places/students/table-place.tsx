import { Anchor, Button, FileButton, Group, Textarea, Title } from '@mantine/core';
import { guessColumns, LARGEST_FILE, type StudentColumns } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { cellsOf, textOfTable } from './read-table.ts';
import { TablePreview } from './table-preview.tsx';
import { TableColumns } from './table-columns.tsx';
import classes from './table.module.css';

interface ReadTable {
  readonly cells: readonly (readonly string[])[];
  readonly columns: StudentColumns;
}

/** Students come in from a table: which column holds what, what would be added, and only then is it done. */
export function TablePlace(): ReactElement {
  const { t } = useTranslation();
  const [pasted, setPasted] = useState('');
  const [table, setTable] = useState<ReadTable | null>(null);
  const [isTooLarge, setTooLarge] = useState(false);
  const read = async (text: string): Promise<void> => {
    const cells = await cellsOf(text);
    setTable({ cells, columns: guessColumns(cells[0] ?? []) });
  };
  const take = async (file: File | null | undefined): Promise<void> => {
    if (!file) return;
    setTable(null);
    setTooLarge(file.size > LARGEST_FILE);
    if (file.size <= LARGEST_FILE) await read(textOfTable(new Uint8Array(await file.arrayBuffer())));
  };
  return (
    <>
      <Anchor component={Link} to="/students" className={classes['back'] ?? ''}>
        ← {t('students.table.back')}
      </Anchor>
      <Title order={1} fz={32}>
        {t('students.table.title')}
      </Title>
      <p className={classes['about']}>{t('students.table.text')}</p>
      <div
        className={classes['source']}
        onDragOver={(event) => {
          event.preventDefault();
        }}
        onDrop={(event) => {
          event.preventDefault();
          void take(event.dataTransfer.files[0]);
        }}
      >
        <Group justify="space-between">
          <span>{t('students.table.drop')}</span>
          <FileButton accept=".csv,.tsv,.txt,text/csv" onChange={(file) => void take(file)}>
            {(props) => <Button {...props}>{t('students.table.choose')}</Button>}
          </FileButton>
        </Group>
        <Group align="flex-end">
          <Textarea
            flex={1}
            label={t('students.table.paste')}
            minRows={2}
            maxRows={6}
            autosize
            value={pasted}
            onChange={({ currentTarget: { value } }) => {
              setPasted(value);
            }}
          />
          <Button disabled={pasted.trim() === ''} onClick={() => void read(pasted)}>
            {t('students.table.read')}
          </Button>
        </Group>
      </div>
      {isTooLarge && <p role="alert">{t('shelf.importing.tooLarge')}</p>}
      {table && (
        <>
          <TableColumns
            heads={table.cells[0] ?? []}
            columns={table.columns}
            onColumns={(columns) => {
              setTable({ ...table, columns });
            }}
          />
          <TablePreview cells={table.cells} columns={table.columns} />
        </>
      )}
    </>
  );
}
