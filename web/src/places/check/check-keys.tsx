import { UnstyledButton } from '@mantine/core';

import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import classes from './check.module.css';

const AROUND = 9;

interface CheckKeysProps {
  readonly target: number;
  readonly onNote: (midi: number) => void;
}

/** Keys around the note asked for: press the one that was sung. */
export function CheckKeys({ target, onNote }: CheckKeysProps): ReactElement {
  const { t } = useTranslation();
  const notes = Array.from({ length: 2 * AROUND + 1 }, (_, index) => target - AROUND + index);
  return (
    <div className={classes['keys']} role="group" aria-label={t('check.keys')}>
      {notes.map((midi) => (
        <UnstyledButton
          key={midi}
          className={classes['key'] ?? ''}
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
