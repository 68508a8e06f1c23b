import { Combobox, TextInput, useCombobox } from '@mantine/core';
import { parsePattern, PatternError, type Mode } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { completionsAt } from './complete-pattern.ts';
import classes from './sheet.module.css';
import { errorText } from '../../text/say.ts';

/** What is wrong with a pattern as it is typed; `null` for nothing. */
export function patternErrorOf(text: string, mode: Mode, syllables: string): PatternError | null {
  try {
    parsePattern(text, { mode, ...(syllables !== '' && { syllables }) });
    return null;
  } catch (error) {
    if (error instanceof PatternError) return error;
    throw error;
  }
}

interface PatternFieldProps {
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly error: PatternError | null;
}

/** The text a teacher types, with the error at its character and completion of what may follow. */
export function PatternField({ value, onChange, error }: PatternFieldProps): ReactElement {
  const { t } = useTranslation();
  const [cursor, setCursor] = useState<number | null>(null);
  const combobox = useCombobox({
    onDropdownClose: () => {
      combobox.resetSelectedOption();
    },
  });
  const place = Math.min(cursor ?? value.length, value.length);
  const options = completionsAt(value, place);
  const isAtText = error !== null && error.code !== 'BAD_SYLLABLES';
  return (
    <div>
      <Combobox
        store={combobox}
        onOptionSubmit={(option) => {
          onChange(value.slice(0, place) + option + value.slice(place));
          setCursor(place + option.length);
          combobox.closeDropdown();
        }}
      >
        <Combobox.Target>
          <TextInput
            label={t('shelf.sheet.pattern')}
            classNames={{ input: classes['patternInput'] ?? '' }}
            error={isAtText}
            aria-invalid={isAtText}
            aria-errormessage={isAtText ? 'pattern-error' : undefined}
            aria-describedby="pattern-error"
            spellCheck={false}
            autoComplete="off"
            maxLength={20_000}
            value={value}
            onChange={({ currentTarget }) => {
              onChange(currentTarget.value);
              combobox.updateSelectedOptionIndex();
            }}
            onSelect={({ currentTarget }) => {
              setCursor(currentTarget.selectionStart);
            }}
            onBlur={() => {
              combobox.closeDropdown();
            }}
          />
        </Combobox.Target>
        <Combobox.Dropdown hidden={options.length === 0}>
          <Combobox.Options>
            {options.map(({ text, what }) => (
              <Combobox.Option key={text} value={text}>
                <b>{text.trim()}</b> {t(`shelf.completions.${what}`)}
              </Combobox.Option>
            ))}
          </Combobox.Options>
        </Combobox.Dropdown>
      </Combobox>
      <div id="pattern-error" className={classes['patternError']} role="status">
        {isAtText && (
          <>
            <span className={classes['marked']} aria-hidden>
              {value.slice(0, error.position)}
              <mark>{value.slice(error.position).split(' ')[0] || '·'}</mark>
              {value.slice(error.position + (value.slice(error.position).split(' ')[0]?.length ?? 0)).slice(0, 60)}
            </span>
            <span>{errorText(error)}</span>
          </>
        )}
        {error && !isAtText && <span>{errorText(error)}</span>}
      </div>
    </div>
  );
}
