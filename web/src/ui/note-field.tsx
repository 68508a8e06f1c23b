import { TextInput } from '@mantine/core';
import { PitchError } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { readNote, writeNote } from '../text/note-names.ts';

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

/** Every voice has it, and it shows how black keys are written. */
const SHOWN = 58;

interface NoteFieldProps {
  readonly label: string;
  /** Its name where the label stands elsewhere, as in a table. */
  readonly name?: string;
  readonly value?: NoteValue;
  readonly onChange: (value: NoteValue) => void;
  readonly error?: string;
  readonly required?: boolean;
  /** What holds while nothing is written. */
  readonly hint?: string;
}

/** A field for one note by its name, such as B♭3. What is being typed stands as typed until it is a note and the field is left. */
export function NoteField({
  label,
  name,
  value,
  onChange,
  error,
  required = false,
  hint,
}: NoteFieldProps): ReactElement {
  const { t } = useTranslation();
  const [draft, setDraft] = useState<string>();
  const isUnreadable = draft !== undefined && noteOf(draft) === null;
  return (
    <TextInput
      label={label}
      aria-label={name}
      placeholder={hint ?? t('students.noteHint', { note: writeNote(SHOWN) })}
      value={draft ?? (typeof value === 'number' ? writeNote(value) : '')}
      required={required}
      error={isUnreadable ? t('students.badNote') : error}
      onChange={({ currentTarget }) => {
        setDraft(currentTarget.value);
        onChange(noteOf(currentTarget.value));
      }}
      onBlur={() => {
        if (!isUnreadable) setDraft(undefined);
      }}
    />
  );
}
