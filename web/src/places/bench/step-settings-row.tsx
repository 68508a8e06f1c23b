import { Button, NumberInput, Select } from '@mantine/core';
import { OVERLAYS, takesOverlay, type Exercise, type StepSettings, type Travel } from '@soft-lark/core';
import { memo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteField } from '../../ui/note-field.tsx';
import type { BenchAction } from './bench.reducer.ts';
import { writeNote } from '../../text/note-names.ts';
import classes from './bench.module.css';

/** What the fields show; each of it stays the same while nothing of it changes, whatever else the day does. */
interface StepSettingsRowProps {
  readonly stepId: string;
  readonly exercise: Exercise;
  readonly settings: StepSettings;
  readonly start?: number;
  readonly proposed?: number;
  readonly act: Dispatch<BenchAction>;
}

type SetSetting = <K extends keyof StepSettings>(name: K, value: StepSettings[K] | undefined) => void;

const TRAVELS: readonly Travel[] = ['rise-return', 'rise', 'fall', 'fall-return', 'rise-fall', 'stay'];
const STEPS = ['1', '2', '3', '4'] as const;

interface CountFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly usual: string;
  readonly min: number;
  readonly max: number;
  readonly onSet: (value: number | undefined) => void;
}

/** A number that may be left to its usual value; what is out of bounds is not taken. */
function CountField({ label, value, usual, min, max, onSet }: CountFieldProps): ReactElement {
  return (
    <NumberInput
      w={104}
      size="sm"
      label={label}
      min={min}
      max={max}
      clampBehavior="blur"
      allowDecimal={false}
      placeholder={usual}
      value={value ?? ''}
      onChange={(typed) => {
        if (typed === '') onSet(undefined);
        else if (typeof typed === 'number' && typed >= min && typed <= max) onSet(typed);
      }}
    />
  );
}

type LadderFieldsProps = Omit<StepSettingsRowProps, 'act'> & { readonly set: SetSetting };

function LadderFields({ stepId, exercise, settings, start, proposed, set }: LadderFieldsProps): ReactElement | null {
  const { t } = useTranslation();
  const { work } = exercise;
  if (work.kind !== 'pattern') return null;
  return (
    <>
      <div className={classes['noteSetting']}>
        <NoteField
          key={`start-${stepId}`}
          label={t('bench.start')}
          value={settings.start ?? start}
          onChange={(note) => {
            if (note !== null) set('start', note);
          }}
        />
      </div>
      <Select
        w={132}
        size="sm"
        label={t('bench.stepSize')}
        data={STEPS.map((value) => ({
          value,
          label: value === '2' ? t('bench.wholeTone') : t('bench.semitone', { count: Number(value) }),
        }))}
        value={String(settings.step ?? work.step)}
        onChange={(value) => {
          set('step', Number(value));
        }}
      />
      <Select
        w={188}
        size="sm"
        label={t('bench.travel')}
        data={TRAVELS.map((value) => ({ value, label: t(`travels.${value}`) }))}
        value={settings.travel ?? work.travel}
        onChange={(value) => {
          const chosen = TRAVELS.find((travel) => travel === value);
          if (chosen) set('travel', chosen);
        }}
      />
      <CountField
        label={t('bench.mostKeys')}
        value={settings.maxKeys}
        usual={String(work.mostKeys ?? t('bench.asFar'))}
        min={1}
        max={48}
        onSet={(value) => {
          set('maxKeys', value);
        }}
      />
      <CountField
        label={t('bench.tempo')}
        value={settings.tempo}
        usual={String(work.tempo.usual)}
        min={30}
        max={240}
        onSet={(value) => {
          set('tempo', value);
        }}
      />
      {settings.start !== undefined && proposed !== undefined && settings.start !== proposed && (
        <Button
          size="sm"
          className={classes['backToProposed'] ?? ''}
          onClick={() => {
            set('start', undefined);
          }}
        >
          {t('bench.proposedAt', { note: writeNote(proposed) })}
        </Button>
      )}
    </>
  );
}

/** What of a step can be set by hand; each field shows its usual value until something else is wanted. */
export const StepSettingsRow = memo(function StepSettingsRow(props: StepSettingsRowProps): ReactElement {
  const { t } = useTranslation();
  const { stepId, settings, exercise, act } = props;
  const { work } = exercise;
  const set: SetSetting = (name, value) => {
    if (value === undefined) act({ type: 'set', stepId, settings: {}, clear: [name] });
    else act({ type: 'set', stepId, settings: { [name]: value } });
  };
  const usualRepeats =
    work.kind === 'breath'
      ? (work.counts?.cycles ?? work.bursts?.repeats)
      : 'repeats' in work
        ? work.repeats
        : undefined;
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
