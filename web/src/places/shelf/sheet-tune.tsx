import { Button, TextInput } from '@mantine/core';
import type { PatternWork } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Contour } from '../../flight/contour.tsx';
import { Staff } from '../../flight/staff.tsx';
import { useEventNow, type Sounding } from '../../sound/use-event-now.ts';
import { FromSong } from './from-song.tsx';
import { PatternField } from './pattern-field.tsx';
import { SingIn } from './sing-in.tsx';
import type { Draft } from './use-draft.ts';
import classes from './sheet.module.css';

interface SheetTuneProps {
  readonly draft: Draft;
  readonly work: PatternWork;
  /** Where degree 1 of the staff stands, MIDI. */
  readonly tonic: number;
  /** The tune, while it is heard. */
  readonly sounding: Sounding | null;
}

/** The pattern and its syllables as they are typed, sung or played in, with the pictures that follow. */
export function SheetTune({ draft, work, tonic, sounding }: SheetTuneProps): ReactElement {
  const { t } = useTranslation();
  const { readable, pattern, error, changeWork } = draft;
  const now = useEventNow(pattern ?? undefined, sounding);
  const [open, setOpen] = useState<'sing' | 'song' | null>(null);
  const toggle = (way: 'sing' | 'song'): void => {
    setOpen(open === way ? null : way);
  };
  return (
    <div className={classes['tune']}>
      <div>
        <PatternField
          value={work.pattern}
          error={error}
          onChange={(text) => {
            changeWork({ pattern: text });
          }}
        />
        <div className={classes['under']}>
          <Contour exercise={readable} />
          <TextInput
            label={t('shelf.sheet.syllables')}
            value={work.syllables}
            maxLength={2000}
            error={error?.code === 'BAD_SYLLABLES'}
            onChange={({ currentTarget }) => {
              changeWork({ syllables: currentTarget.value });
            }}
          />
        </div>
        <div className={classes['ways']}>
          <Button
            aria-expanded={open === 'sing'}
            onClick={() => {
              toggle('sing');
            }}
          >
            {t('shelf.sheet.singIn')}
          </Button>
          <Button
            aria-expanded={open === 'song'}
            onClick={() => {
              toggle('song');
            }}
          >
            {t('shelf.sheet.fromSong')}
          </Button>
        </div>
        {open === 'song' && (
          <FromSong
            onPattern={({ pattern: text, syllables, mode }, tempo) => {
              changeWork({ pattern: text, syllables, mode, tempo: { ...work.tempo, usual: Math.round(tempo) } });
              setOpen(null);
            }}
          />
        )}
        {open === 'sing' && (
          <SingIn
            tempo={work.tempo.usual}
            mode={work.mode}
            onPattern={({ pattern: text }) => {
              changeWork({ pattern: text, syllables: 'ah' });
              setOpen(null);
            }}
          />
        )}
      </div>
      {pattern && <Staff pattern={pattern} tonic={tonic} now={now} />}
    </div>
  );
}
