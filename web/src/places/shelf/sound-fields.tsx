import { NumberInput, Select, TextInput } from '@mantine/core';
import { MODES, PLACEMENT_RULES, TRAVELS, ZONES, type Mode, type PatternWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { AbsoluteNotes } from './absolute-notes.tsx';
import { CarryFields } from './carry-fields.tsx';
import { MarkFields } from './mark-fields.tsx';
import { PlacementPicture } from './placement-picture.tsx';
import classes from './sheet.module.css';

interface SoundFieldsProps {
  readonly work: PatternWork;
  readonly change: (change: Partial<PatternWork>) => void;
}

type Figure = 'step' | 'returnStep' | 'fewestKeys' | 'mostKeys' | 'timesPerKey' | 'cueBeats' | 'restBeats';
const FIGURES: readonly { readonly name: Figure; readonly min: number; readonly max: number }[] = [
  { name: 'step', min: 1, max: 12 },
  { name: 'returnStep', min: 1, max: 12 },
  { name: 'fewestKeys', min: 1, max: 24 },
  { name: 'mostKeys', min: 1, max: 24 },
  { name: 'timesPerKey', min: 1, max: 8 },
  { name: 'cueBeats', min: 0, max: 16 },
  { name: 'restBeats', min: 0, max: 16 },
];

/** Where the first key lies, by rule and distance, or by the note for each voice. */
function PlacementFields({
  placement,
  change,
}: Pick<SoundFieldsProps, 'change'> & Pick<PatternWork, 'placement'>): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <Select
        allowDeselect={false}
        label={t('shelf.sheet.placement')}
        data={[...PLACEMENT_RULES, 'absolute' as const].map((value) => ({ value, label: t(`shelf.rules.${value}`) }))}
        value={placement.rule}
        onChange={(value) => {
          const rule = PLACEMENT_RULES.find((known) => known === value);
          if (value === 'absolute') change({ placement: { rule: 'absolute', notes: {} } });
          else if (rule === 'speaking-pitch') change({ placement: { rule } });
          else if (rule) change({ placement: { rule, semitones: rule === 'low-anchor' ? 3 : 2 } });
        }}
      />
      {'semitones' in placement && (
        <NumberInput
          label={t('shelf.sheet.semitones')}
          min={-12}
          max={24}
          value={placement.semitones}
          onChange={(value) => {
            if (typeof value === 'number') change({ placement: { ...placement, semitones: value } });
          }}
        />
      )}
      {placement.rule === 'absolute' && (
        <AbsoluteNotes
          placement={placement}
          onChange={(absolute) => {
            change({ placement: absolute });
          }}
        />
      )}
    </>
  );
}

/** Other syllables low, in the middle and high. */
function SyllablesAtFields({ work, change }: SoundFieldsProps): readonly ReactElement[] {
  const { t } = useTranslation();
  return ZONES.map((zone) => (
    <TextInput
      key={zone}
      label={t(`shelf.sheet.syllablesAt.${zone}`)}
      placeholder={work.syllables}
      value={work.syllablesAt[zone] ?? ''}
      onChange={({ currentTarget }) => {
        const others = Object.fromEntries(Object.entries(work.syllablesAt).filter(([name]) => name !== zone));
        const text = currentTarget.value;
        change({ syllablesAt: { ...others, ...(text !== '' && { [zone]: text }) } });
      }}
    />
  ));
}

/** Mode, tempo, placement and travel of a pattern, with a small picture of what placement and travel do. */
export function SoundFields({ work, change }: SoundFieldsProps): ReactElement {
  const { t } = useTranslation();
  const { tempo } = work;
  return (
    <div className={classes['sound']}>
      <Select
        allowDeselect={false}
        label={t('shelf.sheet.mode')}
        data={(Object.keys(MODES) as Mode[]).map((value) => ({ value, label: t(`shelf.modes.${value}`) }))}
        value={work.mode}
        onChange={(value) => {
          if (value) change({ mode: value });
        }}
      />
      {(['learn', 'usual', 'fast'] as const).map((name) => (
        <NumberInput
          key={name}
          label={t(`shelf.sheet.tempos.${name}`)}
          min={20}
          max={300}
          value={tempo[name] ?? ''}
          onChange={(value) => {
            if (typeof value === 'number') change({ tempo: { ...tempo, [name]: value } });
            else if (name !== 'usual') change({ tempo: { usual: tempo.usual } });
          }}
        />
      ))}
      <PlacementFields placement={work.placement} change={change} />
      <Select
        allowDeselect={false}
        label={t('shelf.sheet.travel')}
        data={TRAVELS.map((value) => ({ value, label: t(`travels.${value}`) }))}
        value={work.travel}
        onChange={(value) => {
          const travel = TRAVELS.find((known) => known === value);
          if (travel) change({ travel });
        }}
      />
      <PlacementPicture work={work} />
      {FIGURES.map(({ name, min, max }) => (
        <NumberInput
          key={name}
          label={t(`shelf.sheet.figures.${name}`)}
          min={min}
          max={max}
          value={work[name] ?? ''}
          onChange={(value) => {
            if (typeof value === 'number') change({ [name]: value });
            else if (name === 'mostKeys' || name === 'returnStep') change({ [name]: undefined });
          }}
        />
      ))}
      <SyllablesAtFields work={work} change={change} />
      <CarryFields work={work} change={change} />
      <MarkFields work={work} change={change} />
      <TextInput
        className={classes['wide'] ?? ''}
        label={t('shelf.sheet.syllableSets')}
        description={t('shelf.sheet.syllableSetsHint')}
        value={work.syllableSets.join(' | ')}
        onChange={({ currentTarget }) => {
          change({
            syllableSets: currentTarget.value
              .split('|')
              .map((set) => set.trim())
              .filter((set) => set !== ''),
          });
        }}
      />
    </div>
  );
}
