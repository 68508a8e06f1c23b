import { Button } from '@mantine/core';
import { LEAST_PLAYED } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useMidi } from '../../listening/use-midi.ts';
import { writeNote } from '../../text/note-names.ts';
import { NoteKeys } from '../../ui/note-keys.tsx';
import classes from './shelf.module.css';

/** The keys on the screen: from the C in the middle, an octave and a note more. */
const SPAN = { low: 60, high: 73 };
const NO_KEY = -1;

interface PlayItProps {
  /** What was played so far, MIDI. */
  readonly played: readonly number[];
  /** How many exercises begin so. */
  readonly found: number;
  readonly onPlayed: (played: readonly number[]) => void;
}

/** The first notes of a tune, on a MIDI keyboard or on keys on the screen, in any key. */
export function PlayIt({ played, found, onPlayed }: PlayItProps): ReactElement {
  const { t } = useTranslation();
  const state = useMidi(true, 0, {
    onNote: (midi) => {
      onPlayed([...played, midi]);
    },
  });
  return (
    <div className={classes['playIt']}>
      <div>
        <p role="status">
          {played.length === 0 && t(state === 'on' ? 'shelf.playIt.onKeyboard' : 'shelf.playIt.onScreen')}
          {played.length > 0 && <b>{played.map(writeNote).join(' ')}</b>}{' '}
          {played.length > 0 && played.length < LEAST_PLAYED && t('shelf.playIt.more')}
          {played.length >= LEAST_PLAYED && t('shelf.playIt.found', { count: found })}
        </p>
        {played.length > 0 && (
          <Button
            variant="subtle"
            onClick={() => {
              onPlayed([]);
            }}
          >
            {t('shelf.playIt.afresh')}
          </Button>
        )}
      </div>
      <NoteKeys
        label={t('shelf.playIt.keys')}
        target={played.at(-1) ?? NO_KEY}
        span={SPAN}
        onNote={(midi) => {
          onPlayed([...played, midi]);
        }}
      />
    </div>
  );
}
