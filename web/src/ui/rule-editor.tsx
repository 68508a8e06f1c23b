import { Button, NumberInput } from '@mantine/core';
import { RULE_ROWS, ruleFigure, type RuleChanges, type RuleGroup, type RuleRow, type RuleTable } from '@soft-lark/core';
import { useId, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { ruleRowText } from '../text/say.ts';
import { NoteField } from './note-field.tsx';
import { writeNote } from '../text/note-names.ts';
import classes from './rule-editor.module.css';

interface RuleEditorProps {
  /** Figures set here, over the table below. */
  readonly changes: RuleChanges;
  /** What stands where nothing is set here. */
  readonly below: RuleTable;
  readonly onChange: (changes: RuleChanges) => void;
}

interface RuleFieldProps {
  readonly row: RuleRow;
  readonly value: number;
  readonly onSet: (value: number) => void;
}

/** A figure out of bounds stays as typed and says so. */
function RuleField({ row: { path, unit, min, max }, value, onSet }: RuleFieldProps): ReactElement {
  const { t } = useTranslation();
  const label = ruleRowText(path);
  if (unit === 'note') {
    return (
      <NoteField
        label=""
        name={label}
        value={value}
        onChange={(note) => {
          if (typeof note === 'number') onSet(note);
        }}
        {...((value < min || value > max) && {
          error: t('settings.rules.between', { min: writeNote(min), max: writeNote(max) }),
        })}
      />
    );
  }
  return (
    <NumberInput
      size="sm"
      aria-label={label}
      value={value}
      step={unit === 'share' ? 0.05 : 1}
      decimalScale={unit === 'share' ? 2 : 0}
      clampBehavior="none"
      error={value < min || value > max ? t('settings.rules.between', { min, max }) : undefined}
      onChange={(typed) => {
        if (typeof typed === 'number') onSet(typed);
      }}
    />
  );
}

function figureText(row: RuleRow, figure: number): string {
  return row.unit === 'note' ? writeNote(figure) : String(Math.round(figure * 100) / 100);
}

const groupOf = ({ path }: RuleRow): RuleGroup => path.split('.')[0] as RuleGroup;
const GROUPS = [...new Set(RULE_ROWS.map(groupOf))];

function RuleLine({ row, changes, below, onChange }: RuleEditorProps & { readonly row: RuleRow }): ReactElement {
  const { t } = useTranslation();
  const usual = ruleFigure(below, row.path);
  const own = changes[row.path];
  return (
    <li data-own={own !== undefined}>
      <span>{ruleRowText(row.path)}</span>
      <RuleField
        row={row}
        value={own ?? usual}
        onSet={(value) => {
          onChange({ ...changes, [row.path]: value });
        }}
      />
      <small>{t(`settings.units.${row.unit}`)}</small>
      <small>{t(`said.lineSource.${below.changed?.[row.path] ?? row.source ?? 'reference'}`)}</small>
      {own !== undefined && (
        <Button
          size="xs"
          variant="subtle"
          onClick={() => {
            const { [row.path]: dropped, ...rest } = changes;
            if (dropped !== undefined) onChange(rest);
          }}
        >
          {t('settings.rules.back', { figure: figureText(row, usual) })}
        </Button>
      )}
    </li>
  );
}

/** The rule table: every figure with what it was before, its source, and a way back to the reference. */
export function RuleEditor(props: RuleEditorProps): ReactElement {
  const { t } = useTranslation();
  const id = useId();
  const { changes } = props;
  const countOf = (group: RuleGroup): number =>
    RULE_ROWS.filter((row) => groupOf(row) === group && changes[row.path] !== undefined).length;
  return (
    <div className={classes['rules']}>
      <nav aria-label={t('settings.rules.jump')}>
        {GROUPS.map((group) => (
          <a key={group} href={`#${id}${group}`}>
            {t(`settings.groups.${group}`)} {countOf(group) > 0 && <small>{countOf(group)}</small>}
          </a>
        ))}
      </nav>
      <div>
        {GROUPS.map((group) => (
          <section key={group} aria-labelledby={`${id}${group}`}>
            <h2 id={`${id}${group}`}>{t(`settings.groups.${group}`)}</h2>
            <ul>
              {RULE_ROWS.filter((row) => groupOf(row) === group).map((row) => (
                <RuleLine key={row.path} row={row} {...props} />
              ))}
            </ul>
          </section>
        ))}
      </div>
    </div>
  );
}
