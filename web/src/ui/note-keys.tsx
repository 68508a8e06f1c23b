import { UnstyledButton } from '@mantine/core';

import type { ReactElement } from 'react';
import { writeNote } from '../text/note-names.ts';
import classes from './ui.module.css';

const AROUND = 9;

interface NoteKeysProps {
  readonly label: string;
  readonly target: number;
  readonly onNote: (midi: number) => void;
}

/** Keys around a note, to press the one that was sung or is wanted. */
export function NoteKeys({ label, target, onNote }: NoteKeysProps): ReactElement {
  const notes = Array.from({ length: 2 * AROUND + 1 }, (_, index) => target - AROUND + index);
  return (
    <div className={classes['noteKeys']} role="group" aria-label={label}>
      {notes.map((midi) => (
        <UnstyledButton
          key={midi}
          className={classes['noteKey'] ?? ''}
          data-target={midi === target}
          onClick={() => {
            onNote(midi);
          }}
        >
          {writeNote(midi)}
        </UnstyledButton>
      ))}
    </div>
  );
}
