import { Button, TextInput } from '@mantine/core';
import type { PatternWork } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Contour } from '../../flight/contour.tsx';
import { Staff } from '../../flight/staff.tsx';
import { PatternField } from './pattern-field.tsx';
import { SingIn } from './sing-in.tsx';
import type { Draft } from './use-draft.ts';
import classes from './sheet.module.css';

interface SheetTuneProps {
  readonly draft: Draft;
  readonly work: PatternWork;
  /** Where degree 1 of the staff stands, MIDI. */
  readonly tonic: number;
}

/** The pattern and its syllables as they are typed, sung or played in, with the pictures that follow. */
export function SheetTune({ draft, work, tonic }: SheetTuneProps): ReactElement {
  const { t } = useTranslation();
  const { readable, pattern, error, changeWork } = draft;
  const [isSinging, setSinging] = useState(false);
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
          <Button
            aria-expanded={isSinging}
            onClick={() => {
              setSinging(!isSinging);
            }}
          >
            {t('shelf.sheet.singIn')}
          </Button>
        </div>
        {isSinging && (
          <SingIn
            tempo={work.tempo.usual}
            mode={work.mode}
            onPattern={({ pattern: text }) => {
              changeWork({ pattern: text, syllables: 'ah' });
              setSinging(false);
            }}
          />
        )}
      </div>
      {pattern && <Staff pattern={pattern} tonic={tonic} />}
    </div>
  );
}
