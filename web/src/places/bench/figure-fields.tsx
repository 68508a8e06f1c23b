import { figuresOf, type Exercise, type StepSettings } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { CountField } from './count-field.tsx';
import type { SetSetting } from './ladder-fields.tsx';

interface FigureFieldsProps {
  /** As it is written; what a step sets stands over it. */
  readonly exercise: Exercise;
  readonly figures: StepSettings['figures'];
  readonly set: SetSetting;
}

/** Shares are spoken of in hundredths. */
const IN_PERCENT: ReadonlySet<string> = new Set(['lowShare', 'highShare', 'quickening']);
const IN_PARTS: ReadonlySet<string> = new Set(['secondsEach', 'restSeconds', 'mostSeconds', 'beats']);

/** The figures of breath, glides and words in one step; each shows the exercise’s own until something else is wanted. */
export function FigureFields({ exercise, figures = {}, set }: FigureFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      {figuresOf(exercise).map(({ name, usual, least, most }) => {
        const times = IN_PERCENT.has(name) ? 100 : 1;
        const value = figures[name];
        return (
          <CountField
            key={name}
            label={t(`shelf.work.${name}`)}
            value={value === undefined ? undefined : Math.round(value * times * 10) / 10}
            usual={String(Math.round(usual * times * 10) / 10)}
            min={least * times}
            max={most * times}
            allowsParts={IN_PARTS.has(name)}
            onSet={(typed) => {
              const others = Object.fromEntries(Object.entries(figures).filter(([other]) => other !== name));
              const next = typed === undefined ? others : { ...others, [name]: typed / times };
              set('figures', Object.keys(next).length === 0 ? undefined : next);
            }}
          />
        );
      })}
    </>
  );
}
