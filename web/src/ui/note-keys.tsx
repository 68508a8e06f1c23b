import { UnstyledButton } from '@mantine/core';
import type { PitchRange } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { writeNote } from '../text/note-names.ts';
import classes from './ui.module.css';

const AROUND = 9;

interface NoteKeysProps {
  readonly label: string;
  readonly target: number;
  /** The keys there are, whatever the target is; left out those around it. */
  readonly span?: PitchRange;
  readonly onNote: (midi: number) => void;
}

/** Keys of a voice, or around a note, to press the one that was sung or is wanted. */
export function NoteKeys({ label, target, span, onNote }: NoteKeysProps): ReactElement {
  const { low, high } = span ?? { low: target - AROUND, high: target + AROUND };
  const notes = Array.from({ length: high - low + 1 }, (_, index) => low + index);
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
