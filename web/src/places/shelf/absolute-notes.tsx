import { VOICE_TYPES, type PatternWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteField } from '../../ui/note-field.tsx';
import classes from './sheet.module.css';

type Absolute = Extract<PatternWork['placement'], { rule: 'absolute' }>;

interface AbsoluteNotesProps {
  readonly placement: Absolute;
  readonly onChange: (placement: Absolute) => void;
}

/** The note an exercise starts on, by the type of voice; a voice without one starts from its floor. */
export function AbsoluteNotes({ placement, onChange }: AbsoluteNotesProps): ReactElement {
  const { t } = useTranslation();
  return (
    <fieldset className={`${classes['wide'] ?? ''} ${classes['absolute'] ?? ''}`}>
      <legend>{t('shelf.sheet.absolute')}</legend>
      {VOICE_TYPES.map((type) => (
        <NoteField
          key={type}
          label={t(`voices.${type}`)}
          value={placement.notes[type]}
          onChange={(note) => {
            if (note === null) return;
            const others = Object.fromEntries(Object.entries(placement.notes).filter(([other]) => other !== type));
            onChange({ rule: 'absolute', notes: { ...others, ...(note !== undefined && { [type]: note }) } });
          }}
        />
      ))}
    </fieldset>
  );
}
