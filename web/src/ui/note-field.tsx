import { TextInput } from '@mantine/core';
import { PitchError, readNote, writeNote } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

/** A note typed by name: `undefined` where nothing is written, `null` where it cannot be read. */
export type NoteValue = number | undefined | null;

export function noteOf(text: string): NoteValue {
  if (text.trim() === '') return undefined;
  try {
    return readNote(text);
  } catch (error) {
    if (error instanceof PitchError) return null;
    throw error;
  }
}

interface NoteFieldProps {
  readonly label: string;
  readonly value?: NoteValue;
  readonly onChange: (value: NoteValue) => void;
  readonly error?: string;
  readonly required?: boolean;
}

/** A field for one note by its name, such as B♭3. */
export function NoteField({ label, value, onChange, error, required = false }: NoteFieldProps): ReactElement {
  const { t } = useTranslation();
  const [typed, setTyped] = useState(typeof value === 'number' ? writeNote(value) : '');
  const shown = typeof value === 'number' && noteOf(typed) !== value ? writeNote(value) : typed;
  return (
    <TextInput
      label={label}
      placeholder={t('students.noteHint')}
      value={shown}
      required={required}
      error={value === null ? t('students.badNote') : error}
      onChange={({ currentTarget }) => {
        setTyped(currentTarget.value);
        onChange(noteOf(currentTarget.value));
      }}
      onBlur={() => {
        if (typeof value === 'number') setTyped(writeNote(value));
      }}
    />
  );
}
