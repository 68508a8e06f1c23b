import { Button, Pill } from '@mantine/core';
import type { StepSettings } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import { settingNames, settingWords } from './setting-words.ts';
import classes from './bench.module.css';

interface SetByHandProps {
  readonly settings: StepSettings;
  /** Where it would start by itself, MIDI. */
  readonly proposed: number | undefined;
  /** Puts settings back to what the exercise and the day have. */
  readonly onPutBack: (names: readonly (keyof StepSettings)[]) => void;
}

/** What is said and noted has fields of its own in words. */
const IN_WORDS: ReadonlySet<keyof StepSettings> = new Set(['cue', 'note']);
const MANY = 3;

/** What of a step differs from its exercise, each to be put back with a press. */
export function SetByHand({ settings, proposed, onPutBack }: SetByHandProps): ReactElement | null {
  const { t } = useTranslation();
  const names = settingNames(settings).filter((name) => !IN_WORDS.has(name));
  if (names.length === 0) return null;
  return (
    <div className={classes['byHand']} role="group" aria-label={t('bench.byHand')}>
      <small>{t('bench.byHand')}</small>
      {names.map((name) => {
        const words = settingWords(name, settings[name], t);
        const isElsewhere = name === 'start' && proposed !== undefined && proposed !== settings.start;
        const what = isElsewhere ? t('bench.proposedAt', { what: words, note: writeNote(proposed) }) : words;
        return (
          <Pill
            key={name}
            withRemoveButton
            removeButtonProps={{ 'aria-label': t('bench.putBack', { what }), 'aria-hidden': false, tabIndex: 0 }}
            onRemove={() => {
              onPutBack([name]);
            }}
          >
            {what}
          </Pill>
        );
      })}
      {names.length >= MANY && (
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() => {
            onPutBack(names);
          }}
        >
          {t('bench.putAllBack')}
        </Button>
      )}
    </div>
  );
}
