import { Button, Select } from '@mantine/core';
import {
  overlaysOf,
  repeatsOf,
  takesOverlay,
  type Exercise,
  type OwnOverlay,
  type StepSettings,
  type Travel,
} from '@soft-lark/core';
import { memo, useState, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import { NoteField } from '../../ui/note-field.tsx';
import type { BenchAction } from './bench.reducer.ts';
import { CountField } from './count-field.tsx';
import { FigureFields } from './figure-fields.tsx';
import { LadderFields, type SetSetting } from './ladder-fields.tsx';
import { MoreFields } from './more-fields.tsx';
import { SetByHand } from './set-by-hand.tsx';
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
  /** Where today’s limits lie, MIDI: what stands where nothing is set by hand. */
  readonly floor?: number;
  readonly ceiling?: number;
  /** Seconds it takes to explain today. */
  readonly usualSetUp: number;
  readonly hasSong: boolean;
  readonly ownOverlays?: readonly OwnOverlay[];
  /** Something is laid over it that is left out today. */
  readonly isOverlayOut: boolean;
  readonly act: Dispatch<BenchAction>;
}

const ENDS = [
  { name: 'ceiling', rule: 'ceilingRule' },
  { name: 'floor', rule: 'floorRule' },
] as const;

/** How far it goes: today’s limits until a note is set over them. */
function EndNotes({
  stepId,
  exercise: { work },
  settings,
  set,
  ...today
}: StepSettingsRowProps & { readonly set: SetSetting }): ReactElement[] | null {
  const { t } = useTranslation();
  if (work.kind !== 'pattern' && work.kind !== 'siren') return null;
  return ENDS.map(({ name, rule }) => {
    const usual = today[name];
    return (
      <div key={`${name}-${stepId}`} className={classes['noteSetting']}>
        <NoteField
          label={t(`bench.${name}ByHand`)}
          value={settings[name]}
          {...(usual !== undefined && { hint: t('bench.endToday', { note: writeNote(usual) }) })}
          onChange={(note) => {
            if (note !== null) set(name, note, rule);
          }}
        />
      </div>
    );
  });
}

interface CountFieldsProps {
  readonly work: Exercise['work'];
  readonly settings: StepSettings;
  readonly set: SetSetting;
}

/** Tempo, seconds, repeats: each where the work has it. */
function CountFields({ work, settings, set }: CountFieldsProps): ReactElement {
  const { t } = useTranslation();
  const usualRepeats = repeatsOf(work);
  return (
    <>
      {work.kind === 'pattern' && (
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
      )}
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
    </>
  );
}

/** What of a step can be set by hand; each field shows its usual value until something else is wanted. */
export const StepSettingsRow = memo(function StepSettingsRow(props: StepSettingsRowProps): ReactElement {
  const { t } = useTranslation();
  const { stepId, settings, exercise, written, proposed, ownOverlays, isOverlayOut, act } = props;
  const [isMore, setMore] = useState(false);
  const { work } = exercise;
  const putBack = (names: readonly (keyof StepSettings)[]): void => {
    act({ type: 'set', stepId, settings: {}, clear: names });
  };
  const set: SetSetting = (name, value, instead) => {
    if (value === undefined) putBack([name]);
    else act({ type: 'set', stepId, settings: { [name]: value }, ...(instead && { clear: [instead] }) });
  };
  return (
    <div className={classes['settings']} key={stepId}>
      <LadderFields {...props} set={set} />
      <EndNotes {...props} set={set} />
      <CountFields work={work} settings={settings} set={set} />
      <FigureFields exercise={written} figures={settings.figures} set={set} />
      {takesOverlay(exercise) && (
        <Select
          size="sm"
          w={190}
          clearable
          label={t('bench.overlay')}
          placeholder={t('bench.noOverlay')}
          data={overlaysOf(ownOverlays).map(({ id, name }) => ({ value: id, label: name }))}
          error={isOverlayOut && t('bench.overlayOut')}
          value={settings.overlay ?? null}
          onChange={(value) => {
            set('overlay', value ?? undefined);
          }}
        />
      )}
      <Button
        size="sm"
        variant="subtle"
        aria-expanded={isMore}
        onClick={() => {
          setMore(!isMore);
        }}
      >
        {t(isMore ? 'bench.fewer' : 'bench.moreFigures')}
      </Button>
      <SetByHand settings={settings} proposed={proposed} onPutBack={putBack} />
      {isMore && <MoreFields {...props} set={set} />}
    </div>
  );
});
