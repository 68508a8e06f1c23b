import { Select } from '@mantine/core';
import { TRAVELS, type Exercise, type StepSettings, type Travel } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteField } from '../../ui/note-field.tsx';
import { CountField } from './count-field.tsx';
import classes from './bench.module.css';

/** Sets one thing of a step; nothing puts it back to what is usual. `instead` says the same otherwise and gives way. */
export type SetSetting = <K extends keyof StepSettings>(
  name: K,
  value: StepSettings[K] | undefined,
  instead?: keyof StepSettings,
) => void;

const STEPS = ['1', '2', '3', '4'] as const;

interface LadderFieldsProps {
  readonly stepId: string;
  readonly exercise: Exercise;
  readonly settings: StepSettings;
  readonly start?: number;
  /** How it travels today: as the exercise says, turned by the day or by the school. */
  readonly travel?: Travel;
  readonly set: SetSetting;
}

/** Where a ladder starts, how it travels and how many keys. */
export function LadderFields({
  stepId,
  exercise,
  settings,
  start,
  travel,
  set,
}: LadderFieldsProps): ReactElement | null {
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
            if (note !== null) set('start', note, 'startRule');
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
        w={174}
        size="sm"
        label={t('bench.travel')}
        data={TRAVELS.map((value) => ({ value, label: t(`travels.${value}`) }))}
        value={settings.travel ?? travel ?? work.travel}
        onChange={(value) => {
          const chosen = TRAVELS.find((one) => one === value);
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
    </>
  );
}
