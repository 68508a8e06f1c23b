import { Button, NumberInput, Table } from '@mantine/core';
import { RULE_ROWS, ruleFigure, type RuleChanges, type RuleGroup, type RuleRow, type RuleTable } from '@soft-lark/core';
import { Fragment, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteField } from './note-field.tsx';
import { writeNote } from '../text/note-names.ts';
import classes from './ui.module.css';

interface RuleEditorProps {
  /** Figures set here, over the table below. */
  readonly changes: RuleChanges;
  /** What stands where nothing is set here. */
  readonly below: RuleTable;
  readonly onChange: (changes: RuleChanges) => void;
}

function RuleField({ row, value, onSet }: RuleFieldProps): ReactElement {
  if (row.unit === 'note') {
    return (
      <NoteField
        label=""
        name={row.label}
        value={value}
        onChange={(note) => {
          if (typeof note === 'number') onSet(note);
        }}
      />
    );
  }
  return (
    <NumberInput
      size="sm"
      aria-label={row.label}
      value={value}
      step={row.unit === 'share' ? 0.05 : 1}
      decimalScale={row.unit === 'share' ? 2 : 0}
      onChange={(typed) => {
        if (typeof typed === 'number') onSet(typed);
      }}
    />
  );
}

interface RuleFieldProps {
  readonly row: RuleRow;
  readonly value: number;
  readonly onSet: (value: number) => void;
}

function groupOf(row: RuleRow | undefined): RuleGroup | undefined {
  return row?.path.split('.')[0] as RuleGroup | undefined;
}

/** The rule table: every figure with what it was before, its source, and a way back to the reference. */
export function RuleEditor({ changes, below, onChange }: RuleEditorProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Table className={classes['rules'] ?? ''} verticalSpacing={6}>
      <Table.Thead>
        <Table.Tr>
          {(['rule', 'figure', 'unit', 'source'] as const).map((name) => (
            <Table.Th key={name}>{t(`settings.rules.${name}`)}</Table.Th>
          ))}
          <Table.Th />
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {RULE_ROWS.map((row, index) => {
          const usual = ruleFigure(below, row.path);
          const own = changes[row.path];
          const group = groupOf(row);
          const isFirst = index === 0 || groupOf(RULE_ROWS[index - 1]) !== group;
          return (
            <Fragment key={row.path}>
              {isFirst && group && (
                <Table.Tr>
                  <Table.Td colSpan={5} className={classes['ruleGroup'] ?? ''}>
                    {t(`settings.groups.${group}`)}
                  </Table.Td>
                </Table.Tr>
              )}
              <Table.Tr data-own={own !== undefined}>
                <Table.Td>{row.label}</Table.Td>
                <Table.Td w={110}>
                  <RuleField
                    row={row}
                    value={own ?? usual}
                    onSet={(value) => {
                      onChange({ ...changes, [row.path]: value });
                    }}
                  />
                </Table.Td>
                <Table.Td>{t(`settings.units.${row.unit}`)}</Table.Td>
                <Table.Td>{below.changed?.[row.path] ?? row.source ?? below.source}</Table.Td>
                <Table.Td w={210}>
                  {own !== undefined && (
                    <Button
                      size="xs"
                      variant="subtle"
                      onClick={() => {
                        const { [row.path]: dropped, ...rest } = changes;
                        if (dropped !== undefined) onChange(rest);
                      }}
                    >
                      {t('settings.rules.back', {
                        figure: row.unit === 'note' ? writeNote(usual) : String(Math.round(usual * 100) / 100),
                      })}
                    </Button>
                  )}
                </Table.Td>
              </Table.Tr>
            </Fragment>
          );
        })}
      </Table.Tbody>
    </Table>
  );
}
