import { NumberInput, Select } from '@mantine/core';
import type { GlideEnd } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteField } from '../../ui/note-field.tsx';
import { FigureField } from './figure-field.tsx';
import classes from './sheet.module.css';

/** What an end of a glide may be counted by. */
const WAYS = ['share', 'floor', 'note'] as const;

interface GlideEndFieldProps {
  /** Which of the two, as the texts name it. */
  readonly side: 'low' | 'high';
  /** Its share of the range, 0 to 1. */
  readonly share: number;
  readonly end: GlideEnd | undefined;
  readonly error: string | undefined;
  readonly onShare: (share: number) => void;
  readonly onEnd: (end: GlideEnd | undefined) => void;
}

/** A note to begin with where one is to be typed: middle C, and a fifth over it. */
const FIRST_NOTE = { low: 60, high: 67 };
const FIRST_SEMITONES = { low: 0, high: 7 };

/** One end of a glide: a share of the range, semitones over the floor, or a note. */
export function GlideEndField({ side, share, end, error, onShare, onEnd }: GlideEndFieldProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['glideEnd']}>
      <Select
        allowDeselect={false}
        label={t(`shelf.work.ends.${side}`)}
        data={WAYS.map((value) => ({ value, label: t(`shelf.work.ends.by.${value}`) }))}
        value={end?.from ?? 'share'}
        onChange={(way) => {
          if (way === 'share') onEnd(undefined);
          if (way === 'floor') onEnd({ from: 'floor', semitones: FIRST_SEMITONES[side] });
          if (way === 'note') onEnd({ from: 'note', note: FIRST_NOTE[side] });
        }}
      />
      {!end && (
        <FigureField
          label={t(`shelf.work.${side}Share`)}
          value={Math.round(share * 100)}
          error={error}
          onChange={(percent) => {
            onShare(percent / 100);
          }}
        />
      )}
      {end?.from === 'floor' && (
        <NumberInput
          label={t('shelf.work.ends.semitones')}
          min={0}
          max={48}
          allowDecimal={false}
          error={error}
          value={end.semitones}
          onChange={(semitones) => {
            if (typeof semitones === 'number') onEnd({ from: 'floor', semitones });
          }}
        />
      )}
      {end?.from === 'note' && (
        <NoteField
          label={t('shelf.work.ends.note')}
          value={end.note}
          {...(error !== undefined && { error })}
          onChange={(note) => {
            if (typeof note === 'number') onEnd({ from: 'note', note });
          }}
        />
      )}
    </div>
  );
}
