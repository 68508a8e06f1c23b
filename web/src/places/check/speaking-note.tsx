import type { CheckWay } from '@soft-lark/core';
import { Button, Group } from '@mantine/core';

import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import classes from './check.module.css';

interface SpeakingNoteProps {
  readonly way: CheckWay;
  /** The note that talk proposes. */
  readonly talk: number | null;
  readonly usual: number;
  readonly onSpeaking: (midi: number) => void;
}

/** The first thing: the note the voice speaks at, from talk, or pressed on the keys. */
export function SpeakingNote({ way, talk, usual, onSpeaking }: SpeakingNoteProps): ReactElement {
  const { t } = useTranslation();
  const isHeard = way === 'microphone' || way === 'simulated';
  const note = isHeard ? talk : usual;
  return (
    <>
      <p className={classes['ask']}>
        <span>{t(isHeard ? 'check.talk' : 'check.pressSpeaking')}</span>
        {note !== null && <b className="heading">{writeNote(note)}</b>}
      </p>
      <Group mb="md">
        <Button
          size="lg"
          variant="filled"
          disabled={note === null}
          onClick={() => {
            if (note !== null) onSpeaking(note);
          }}
        >
          {note === null ? t('check.listening') : t('check.takeSpeaking', { note: writeNote(note) })}
        </Button>
      </Group>
    </>
  );
}
