import { neverSounded, type Limits, type ReferenceRange, type VoiceFile } from '@soft-lark/core';
import { pitchScale, voiceSpan, type PitchScale } from '../../flight/pitch-scale.ts';
import { writeNote } from '../../text/note-names.ts';

export interface Bar {
  readonly top: number;
  readonly bottom: number;
}

interface RulerLabel {
  readonly y: number;
  readonly text: string;
  readonly isToday: boolean;
}

export interface RulerShapes {
  readonly usual: Bar;
  readonly comfortable: Bar;
  readonly reach: Bar;
  readonly today: Bar;
  readonly speaking: number | null;
  /** Where chest-led singing ends. */
  readonly belt: number | null;
  readonly bridges: readonly { readonly y: number; readonly low: string; readonly high: string }[];
  readonly zones: readonly (Bar & { readonly text: string })[];
  readonly hard: readonly { readonly y: number; readonly note: string; readonly side: 'floor' | 'ceiling' }[];
  readonly labels: readonly RulerLabel[];
  /** Heights of the words at the right, moved apart. */
  readonly wordYs: readonly number[];
}

const LABEL_GAP = 17;

/** Moves heights apart, from the top down, so that no two words touch. */
export function apart(ys: readonly number[], gap: number): readonly number[] {
  const order = ys.map((y, index) => ({ y, index })).sort((a, b) => a.y - b.y);
  let last = -Infinity;
  const moved = [...ys];
  for (const { y, index } of order) {
    last = Math.max(y, last + gap);
    moved[index] = last;
  }
  return moved;
}

/** Today's and the measured ends always; the rest where there is room. */
function layLabels(
  voice: VoiceFile,
  reference: ReferenceRange,
  limits: Limits,
  scale: PitchScale,
): readonly RulerLabel[] {
  const span = voiceSpan(voice, reference);
  const always = [
    { midi: limits.ceiling, isToday: true },
    { midi: limits.floor, isToday: true },
    ...[span.high, span.low]
      .filter((midi) => midi !== limits.ceiling && midi !== limits.floor)
      .map((midi) => ({ midi, isToday: false })),
  ];
  const alwaysYs = apart(
    always.map(({ midi }) => scale.y(midi)),
    LABEL_GAP,
  );
  const labels: RulerLabel[] = always.map(({ midi, isToday }, index) => ({
    y: alwaysYs[index] ?? 0,
    text: writeNote(midi),
    isToday,
  }));
  const wanted = [
    ...voice.bridges.map(({ low, high }) => ({ midi: low, at: (low + high) / 2 })),
    ...[span.reachHigh, span.reachLow, reference.usual.high, reference.usual.low].map((midi) => ({ midi, at: midi })),
  ];
  for (const { midi, at } of wanted) {
    const y = scale.y(at);
    if (labels.every((other) => Math.abs(other.y - y) >= LABEL_GAP))
      labels.push({ y, text: writeNote(midi), isToday: false });
  }
  return labels;
}

/** Lays reference, measured range, reach and today's limits out on one pitch scale. */
export function layRuler(
  voice: VoiceFile,
  reference: ReferenceRange,
  limits: Limits,
  height: number,
  belt: number | null = null,
): RulerShapes {
  const span = voiceSpan(voice, reference);
  const zones = neverSounded(voice);
  const hard = [
    { note: voice.hardFloor, side: 'floor' as const },
    { note: voice.hardCeiling, side: 'ceiling' as const },
  ].flatMap(({ note, side }) => (note === undefined ? [] : [{ note, side }]));
  const all = [
    reference.usual.low,
    reference.usual.high,
    span.reachLow,
    span.reachHigh,
    ...zones.flatMap(({ low, high }) => [low, high]),
    ...hard.map(({ note }) => note),
    ...(belt === null ? [] : [belt]),
  ];
  const scale = pitchScale(Math.min(...all) - 1, Math.max(...all) + 1, 14, height - 14);
  const bar = (low: number, high: number): Bar => ({ top: scale.y(high), bottom: scale.y(low) });
  const labels = layLabels(voice, reference, limits, scale);
  const bridges = voice.bridges.map(({ low, high }) => ({
    y: scale.y((low + high) / 2),
    low: writeNote(low),
    high: writeNote(high),
  }));
  const zoneBars = zones.map(({ low, high }) => ({
    ...bar(low - 0.4, high + 0.4),
    text: low === high ? writeNote(low) : `${writeNote(low)}–${writeNote(high)}`,
  }));
  const speaking = voice.speakingNote === undefined ? null : scale.y(voice.speakingNote);
  const hardLines = hard.map(({ note, side }) => ({ y: scale.y(note), note: writeNote(note), side }));
  const beltY = belt === null ? null : scale.y(belt);
  const words = [
    ...bridges.map(({ y }) => y),
    ...zoneBars.map(({ top, bottom }) => (top + bottom) / 2),
    ...hardLines.map(({ y }) => y),
    ...(speaking === null ? [] : [speaking]),
    ...(beltY === null ? [] : [beltY]),
  ];
  return {
    usual: bar(reference.usual.low, reference.usual.high),
    comfortable: bar(span.low, span.high),
    reach: bar(span.reachLow, span.reachHigh),
    today: bar(limits.floor, Math.max(limits.floor, limits.ceiling)),
    speaking,
    belt: beltY,
    bridges,
    zones: zoneBars,
    hard: hardLines,
    labels,
    wordYs: apart(words, LABEL_GAP),
  };
}
