import {
  ageFor,
  isChild,
  isTooYoungForBelt,
  type AvoidZone,
  type Caution,
  type ChangingStage,
  type LastingObstacle,
  type RuleTable,
  type Style,
  type VoiceType,
} from '@soft-lark/core';
import type { Student } from '../../api/students.queries.ts';
import type { NoteValue } from '../../ui/note-field.tsx';

interface PairValues {
  readonly low: NoteValue;
  readonly high: NoteValue;
}

interface ZoneValues extends PairValues {
  readonly kind: AvoidZone['kind'];
  readonly seconds: number | '';
}

/** A voice file as its form holds it: every field typed, some still unreadable. */
export interface VoiceValues {
  readonly name: string;
  readonly note: string;
  readonly type: VoiceType;
  readonly changingStage: ChangingStage;
  readonly style: Style;
  readonly otherStyles: readonly Style[];
  readonly age: number | '';
  readonly goals: string;
  readonly low: NoteValue;
  readonly high: NoteValue;
  readonly reachLow: NoteValue;
  readonly reachHigh: NoteValue;
  readonly date: string;
  readonly speakingNote: NoteValue;
  readonly hardFloor: NoteValue;
  readonly hardCeiling: NoteValue;
  readonly beltCeiling: NoteValue;
  /** Semitones; empty where the rules decide. */
  readonly margin: number | '';
  readonly gritAllowed: boolean;
  readonly wanted: string;
  readonly piece: string;
  readonly cautions: readonly Caution[];
  readonly obstacles: readonly LastingObstacle[];
  readonly clearedOn: string | null;
  readonly consentOn: string | null;
  readonly beltEaseOn: string | null;
  readonly holdsOnSince: string | null;
  readonly gaps: readonly PairValues[];
  readonly bridges: readonly PairValues[];
  readonly avoid: readonly ZoneValues[];
}

/** What of a voice file can apply to a singer of an age; what is written down already is shown whatever the age. */
export interface Applies {
  readonly isChild: boolean;
  readonly belt: boolean;
  readonly consent: boolean;
  readonly gritDecision: boolean;
}

export function whatApplies(
  { type, age: typed, beltCeiling, beltEaseOn, consentOn, gritAllowed }: VoiceValues,
  rules: RuleTable,
): Applies {
  const singer = { type, ...(typeof typed === 'number' && { age: typed }) };
  const age = ageFor(singer);
  return {
    isChild: isChild(singer, rules),
    belt: !isTooYoungForBelt(singer, rules) || typeof beltCeiling === 'number' || beltEaseOn !== null,
    consent: age < rules.young.grownFrom || consentOn !== null,
    gritDecision: (age >= rules.young.noGritUnder && age < rules.young.grownFrom) || gritAllowed,
  };
}

export function valuesOf({ name, note, voice }: Student, today: string): VoiceValues {
  const { measured } = voice;
  return {
    name,
    note,
    type: voice.type,
    changingStage: voice.changingStage ?? 'second',
    style: voice.style,
    otherStyles: voice.otherStyles ?? [],
    age: voice.age ?? '',
    goals: voice.goals.join('\n'),
    low: measured?.low,
    high: measured?.high,
    reachLow: measured?.reachLow,
    reachHigh: measured?.reachHigh,
    date: measured?.date ?? today,
    speakingNote: voice.speakingNote,
    hardFloor: voice.hardFloor,
    hardCeiling: voice.hardCeiling,
    beltCeiling: voice.beltCeiling,
    margin: voice.margin ?? '',
    gritAllowed: voice.gritAllowed ?? false,
    wanted: voice.wanted ?? '',
    piece: voice.piece ?? '',
    cautions: voice.cautions ?? [],
    obstacles: voice.obstacles ?? [],
    clearedOn: voice.clearedOn ?? null,
    consentOn: voice.consentOn ?? null,
    beltEaseOn: voice.beltEaseOn ?? null,
    holdsOnSince: voice.holdsOnSince ?? null,
    gaps: voice.gaps ?? [],
    bridges: voice.bridges.map(({ low, high }) => ({ low, high })),
    avoid: voice.avoid.map(({ low, high, kind, seconds }) => ({ low, high, kind, seconds: seconds ?? '' })),
  };
}

function optional<K extends string>(name: K, value: NoteValue): Partial<Record<K, number>> {
  return typeof value === 'number' ? ({ [name]: value } as Record<K, number>) : {};
}

/** What the form has no field for stays as it is. */
function untouched({ voice }: Student): Pick<Student['voice'], 'approach' | 'rules'> {
  const { approach, rules } = voice;
  return { ...(approach && { approach }), ...(rules && { rules }) };
}

function dayOf<K extends string>(name: K, day: string | null): Partial<Record<K, string>> {
  return day ? ({ [name]: day } as Record<K, string>) : {};
}

/** Only a note that is not to be held long has a length. */
function zoneOf(zone: ZoneValues & { readonly low: number; readonly high: number }): AvoidZone {
  const { low: from, high: to, kind, seconds } = zone;
  return { low: from, high: to, kind, ...(kind === 'not-held' && seconds !== '' && { seconds }) };
}

/** The file a form stands for; half-filled rows are left out. */
export function fileOf(values: VoiceValues, before: Student): Pick<Student, 'name' | 'note' | 'voice'> {
  const { type, style, age, low, high, date } = values;
  const hasRange = typeof low === 'number' && typeof high === 'number';
  const pairs = <T extends PairValues>(rows: readonly T[]): (T & { low: number; high: number })[] =>
    rows.filter(
      (row): row is T & { low: number; high: number } => typeof row.low === 'number' && typeof row.high === 'number',
    );
  return {
    name: values.name,
    note: values.note,
    voice: {
      ...untouched(before),
      type,
      style,
      otherStyles: values.otherStyles.filter((other) => other !== style),
      ...(type === 'changing' && { changingStage: values.changingStage }),
      ...(typeof age === 'number' && { age }),
      goals: values.goals
        .split('\n')
        .map((goal) => goal.trim())
        .filter(Boolean),
      bridges: pairs(values.bridges).map(({ low: from, high: to }) => ({
        low: from,
        high: to,
        ...dayOf('date', before.voice.bridges.find((old) => old.low === from && old.high === to)?.date ?? null),
      })),
      gaps: pairs(values.gaps).map((gap) => ({ low: gap.low, high: gap.high })),
      ...(values.gritAllowed && { gritAllowed: true }),
      ...(values.wanted.trim() && { wanted: values.wanted.trim() }),
      ...(values.piece.trim() && { piece: values.piece.trim() }),
      cautions: [...values.cautions],
      obstacles: [...values.obstacles],
      ...dayOf('clearedOn', values.clearedOn),
      ...dayOf('consentOn', values.consentOn),
      ...dayOf('beltEaseOn', values.beltEaseOn),
      ...dayOf('holdsOnSince', values.holdsOnSince),
      avoid: pairs(values.avoid).map(zoneOf),
      ...(hasRange && {
        measured: {
          low,
          high,
          ...optional('reachLow', values.reachLow),
          ...optional('reachHigh', values.reachHigh),
          date,
        },
      }),
      ...optional('speakingNote', values.speakingNote),
      ...optional('hardFloor', values.hardFloor),
      ...optional('hardCeiling', values.hardCeiling),
      ...optional('beltCeiling', values.beltCeiling),
      ...(values.margin !== '' && { margin: values.margin }),
    },
  };
}

const NOTES = [
  'low',
  'high',
  'reachLow',
  'reachHigh',
  'speakingNote',
  'hardFloor',
  'hardCeiling',
  'beltCeiling',
] as const;

/** Fields that hold something which is no note, by name. */
export function unreadable(values: VoiceValues): readonly string[] {
  const single = NOTES.filter((field) => values[field] === null);
  const rows = (['bridges', 'gaps', 'avoid'] as const).flatMap((list) =>
    values[list].flatMap((row, index) =>
      (['low', 'high'] as const).filter((end) => row[end] === null).map((end) => `${list}.${String(index)}.${end}`),
    ),
  );
  return [...single, ...rows];
}
