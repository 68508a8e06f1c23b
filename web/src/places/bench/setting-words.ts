import { overlaysOf, type StepSettings } from '@soft-lark/core';
import type { TFunction } from 'i18next';
import { writeNote } from '../../text/note-names.ts';

type Name = keyof StepSettings;
type Values = { readonly [Each in Name]-?: (value: NonNullable<StepSettings[Each]>, t: TFunction) => string };

const plain = (value: string | number): string => String(value);
const notes = (value: readonly number[]): string => value.map(writeNote).join(' ');
/** What is only there or not needs no more than its name. */
const there = (): string => '';

function limitWords({ from, by }: NonNullable<StepSettings['ceilingRule']>, t: TFunction): string {
  const place = t(`bench.anchors.${from}`);
  if (by === 0) return place;
  return t(by < 0 ? 'bench.under' : 'bench.above', { count: Math.abs(by), what: place });
}

/** The value of each setting in words. */
const VALUES: Values = {
  start: writeNote,
  floor: writeNote,
  ceiling: writeNote,
  floorRule: limitWords,
  ceilingRule: limitWords,
  startRule: ({ rule, semitones }, t) => `${t(`shelf.rules.${rule}`)} ${String(semitones)}`,
  step: plain,
  returnStep: plain,
  travel: (value, t) => t(`travels.${value}`),
  maxKeys: plain,
  timesPerKey: plain,
  touchLimit: there,
  tempo: plain,
  tempoStep: (value) => (value > 0 ? `+${String(value)}` : String(value)),
  struck: notes,
  added: notes,
  narrowTo: plain,
  again: ({ further, ifEasy }, t) =>
    [t('bench.further', { count: further }), ...(ifEasy ? [t('bench.ifEasy')] : [])].join(', '),
  syllables: plain,
  manners: (value, t) => (value.length > 0 ? value.join(', ') : t('bench.oneManner')),
  help: (value, t) => t(`bench.helps.${value}`),
  pace: (value, t) => t(`approach.at-the-piano.${value}`),
  shape: (value, t) => t(`shelf.work.shapes.${value}`),
  mirrored: there,
  lines: (value) => value.join(' | '),
  order: (value, t) => t(`shelf.work.orders.${value}`),
  cueBeats: plain,
  restBeats: plain,
  setUpSeconds: plain,
  withinSeconds: plain,
  seconds: plain,
  repeats: plain,
  figures: (value, t) =>
    Object.entries(value)
      .map(([name, figure]) => `${t(`shelf.work.${name}` as 'shelf.work.beats')} ${String(figure)}`)
      .join(', '),
  overlay: (id) => overlaysOf().find((one) => one.id === id)?.name ?? '',
  contrast: there,
  cue: plain,
  note: plain,
};

/** A setting of a step in words: its name and its value, or that it is as usual. */
export function settingWords<Each extends Name>(name: Each, value: StepSettings[Each], t: TFunction): string {
  const label = t(`bench.did.settings.${name}`);
  if (value === undefined) return `${label} ${t('bench.did.usual')}`;
  const read = VALUES[name] as (value: NonNullable<StepSettings[Each]>, t: TFunction) => string;
  return `${label} ${read(value, t)}`.trim();
}

/** The settings a step has, by name. */
export function settingNames(settings: StepSettings): readonly Name[] {
  return (Object.keys(VALUES) as Name[]).filter((name) => settings[name] !== undefined);
}
