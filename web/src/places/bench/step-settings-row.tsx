import { Select } from '@mantine/core';
import { OVERLAYS, repeatsOf, takesOverlay, type Exercise, type StepSettings, type Travel } from '@soft-lark/core';
import { memo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteField } from '../../ui/note-field.tsx';
import type { BenchAction } from './bench.reducer.ts';
import { CountField } from './count-field.tsx';
import { FigureFields } from './figure-fields.tsx';
import { LadderFields, type SetSetting } from './ladder-fields.tsx';
import classes from './bench.module.css';

/** What the fields show; each of it stays the same while nothing of it changes, whatever else the day does. */
interface StepSettingsRowProps {
  readonly stepId: string;
  readonly exercise: Exercise;
  /** The exercise as it stands on the shelf. */
  readonly written: Exercise;
  readonly settings: StepSettings;
  readonly start?: number;
  readonly proposed?: number;
  readonly travel?: Travel;
  readonly act: Dispatch<BenchAction>;
}

/** What of a step can be set by hand; each field shows its usual value until something else is wanted. */
export const StepSettingsRow = memo(function StepSettingsRow(props: StepSettingsRowProps): ReactElement {
  const { t } = useTranslation();
  const { stepId, settings, exercise, written, act } = props;
  const { work } = exercise;
  const set: SetSetting = (name, value) => {
    if (value === undefined) act({ type: 'set', stepId, settings: {}, clear: [name] });
    else act({ type: 'set', stepId, settings: { [name]: value } });
  };
  const usualRepeats = repeatsOf(work);
  return (
    <div className={classes['settings']} key={stepId}>
      <LadderFields {...props} set={set} />
      {work.kind === 'timed' && (
        <CountField
          label={t('bench.seconds')}
          value={settings.seconds}
          usual={String(work.seconds)}
          min={5}
          max={900}
          onSet={(value) => {
            set('seconds', value);
          }}
        />
      )}
      {usualRepeats !== undefined && (
        <CountField
          label={t('bench.repeats')}
          value={settings.repeats}
          usual={String(usualRepeats)}
          min={1}
          max={30}
          onSet={(value) => {
            set('repeats', value);
          }}
        />
      )}
      <FigureFields exercise={written} figures={settings.figures} set={set} />
      {takesOverlay(exercise) && (
        <Select
          size="sm"
          w={190}
          clearable
          label={t('bench.overlay')}
          placeholder={t('bench.noOverlay')}
          data={OVERLAYS.map(({ id, name }) => ({ value: id, label: name }))}
          value={settings.overlay ?? null}
          onChange={(value) => {
            set('overlay', value ?? undefined);
          }}
        />
      )}
      {(work.kind === 'pattern' || work.kind === 'siren') && (
        <div className={classes['noteSetting']}>
          <NoteField
            key={`ceiling-${stepId}`}
            label={t('bench.ceilingByHand')}
            value={settings.ceiling}
            onChange={(note) => {
              if (note !== null) set('ceiling', note);
            }}
          />
        </div>
      )}
    </div>
  );
});
