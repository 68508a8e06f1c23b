import { Button, Table } from '@mantine/core';
import {
  RANGE_NAMES,
  RANGE_ROWS,
  ruleFigure,
  type ReferenceName,
  type RuleChanges,
  type RuleRow,
  type RuleTable,
} from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { referenceText, ruleRowText } from '../text/say.ts';
import { NoteField } from './note-field.tsx';
import classes from './ui.module.css';

const PARTS = [
  { part: 'usual.low', word: 'lowestUsual' },
  { part: 'comfortable.low', word: 'lowest' },
  { part: 'bridges.0', word: 'firstBridge' },
  { part: 'bridges.1', word: 'secondBridge' },
  { part: 'comfortable.high', word: 'highest' },
  { part: 'usual.high', word: 'highestUsual' },
] as const;

interface RangeEditorProps {
  /** Figures set here, over the table below; rows of other tables stay as they are. */
  readonly changes: RuleChanges;
  readonly below: RuleTable;
  readonly onChange: (changes: RuleChanges) => void;
  /** The voices to show; all where it is left out. */
  readonly names?: readonly ReferenceName[];
}

function without(changes: RuleChanges, rows: readonly RuleRow[]): RuleChanges {
  const gone = new Set<string>(rows.map(({ path }) => path));
  return Object.fromEntries(Object.entries(changes).filter(([path]) => !gone.has(path)));
}

/** What a row of the table is called; voices and stages have their word already. */
/** The reference ranges: what a voice starts from before anything was measured, a row a voice. */
export function RangeEditor({ changes, below, onChange, names = RANGE_NAMES }: RangeEditorProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Table className={classes['ranges'] ?? ''} verticalSpacing={6}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>{t('settings.ranges.voice')}</Table.Th>
          {PARTS.map(({ part, word }) => (
            <Table.Th key={part}>{t(`settings.ranges.parts.${word}`)}</Table.Th>
          ))}
          <Table.Td />
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {names.map((name) => {
          const rows = RANGE_ROWS.filter(({ path }) => path.startsWith(`ranges.${name}.`));
          const isOwn = rows.some(({ path }) => changes[path] !== undefined);
          return (
            <Table.Tr key={name} data-own={isOwn}>
              <Table.Td>{referenceText(name)}</Table.Td>
              {PARTS.map(({ part }) => {
                const row = rows.find(({ path }) => path.endsWith(part));
                return (
                  <Table.Td key={part}>
                    {row && (
                      <NoteField
                        label=""
                        name={ruleRowText(row.path)}
                        value={changes[row.path] ?? ruleFigure(below, row.path)}
                        onChange={(note) => {
                          if (typeof note === 'number') onChange({ ...changes, [row.path]: note });
                        }}
                      />
                    )}
                  </Table.Td>
                );
              })}
              <Table.Td>
                {isOwn && (
                  <Button
                    size="xs"
                    variant="subtle"
                    onClick={() => {
                      onChange(without(changes, rows));
                    }}
                  >
                    {t('settings.ranges.back')}
                  </Button>
                )}
              </Table.Td>
            </Table.Tr>
          );
        })}
      </Table.Tbody>
    </Table>
  );
}
