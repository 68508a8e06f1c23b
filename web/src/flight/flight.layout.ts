import { type LaidRoutine, type Severity, type VoiceFile } from '@soft-lark/core';
import { line, symbol, symbolCircle, symbolDiamond, symbolTriangle } from 'd3-shape';
import { pitchScale, todaysLimits, voiceSpan, type PitchScale } from './pitch-scale.ts';
import { writeNote } from '../text/note-names.ts';
import { ribbonOf, type FlightRibbon } from './ribbon.layout.ts';

interface FlightLabel {
  readonly stepId: string;
  readonly x: number;
  readonly width: number;
  readonly text: string;
  /** Without pitch: lies on the ground as a pebble. */
  readonly isPebble: boolean;
  readonly isLeftOut: boolean;
}

/** Where the review has something to say: over the step, its shape by how much it matters. */
interface FlightMark {
  readonly stepId: string;
  readonly severity: Severity;
  readonly x: number;
  readonly y: number;
  readonly shape: string;
}

interface PitchLabel {
  readonly y: number;
  readonly text: string;
  readonly isLimit: boolean;
}

export interface FlightShapes {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly ground: number;
  readonly comfortable: { readonly top: number; readonly bottom: number };
  readonly stretches: readonly { readonly top: number; readonly bottom: number; readonly side: 'over' | 'under' }[];
  readonly bridges: readonly { readonly y: number; readonly text: string }[];
  readonly pitchLabels: readonly PitchLabel[];
  readonly ribbons: readonly FlightRibbon[];
  readonly labels: readonly FlightLabel[];
  readonly marks: readonly FlightMark[];
  readonly load: string;
  readonly ticks: readonly { readonly x: number; readonly minutes: number }[];
  readonly end: { readonly x: number; readonly seconds: number };
}

export interface FlightInput {
  readonly routine: LaidRoutine;
  readonly voice: VoiceFile;
  readonly budgetSeconds: number;
  /** Steps the review has something to say about. */
  readonly marked?: ReadonlyMap<string, Severity>;
  readonly width: number;
  readonly height: number;
}

const LEFT = 54;
const TOP = 26;
const BELOW_GROUND = 60;
const LETTER = 5.9;
const LABEL_GAP = 13;
/** Between the names of neighbours. */
const NAME_GAP = 4;

type X = (seconds: number) => number;

/** Shortens a name to the room it has; nothing where there is none. */
export function fitText(text: string, width: number): string {
  const letters = Math.floor(width / LETTER);
  if (text.length <= letters) return text;
  return letters < 4 ? '' : `${text.slice(0, letters - 1).trimEnd()}…`;
}

function labelsOf(routine: LaidRoutine, x: X): FlightLabel[] {
  return routine.steps.map((step) => {
    const width = Math.max(0, x(step.startsAt + step.seconds) - x(step.startsAt));
    const isPebble = step.laid?.kind === 'still';
    return {
      stepId: step.id,
      x: x(step.startsAt) + width / 2,
      width: Math.max(0, width - 6),
      text: fitText(step.exercise.shortName, width - (isPebble ? 14 : NAME_GAP)),
      isPebble,
      isLeftOut: step.problem !== undefined,
    };
  });
}

const MARKS = { stop: symbolDiamond, warn: symbolTriangle, note: symbolCircle };
const MARK_SIZE = { stop: 90, warn: 62, note: 34 };
const OVER_RIBBON = 15;
const OVER_GROUND = 16;

function marksOf(
  { routine, marked }: Pick<FlightInput, 'routine' | 'marked'>,
  x: X,
  scale: PitchScale,
  ground: number,
): FlightMark[] {
  return routine.steps.flatMap(({ id, startsAt, seconds, highest }) => {
    const severity = marked?.get(id);
    if (!severity) return [];
    const y = highest === null ? ground - OVER_GROUND : Math.max(OVER_RIBBON / 2, scale.y(highest) - OVER_RIBBON);
    const shape = symbol(MARKS[severity], MARK_SIZE[severity])() ?? '';
    return [{ stepId: id, severity, x: x(startsAt + seconds / 2), y, shape }];
  });
}

/** Only the notes that mean something; of two that would touch, the one that matters more. */
function pitchLabelsOf(voice: VoiceFile, routine: LaidRoutine, scale: PitchScale): PitchLabel[] {
  const limits = todaysLimits(routine);
  const span = voiceSpan(voice, routine.reference);
  const wanted = [
    ...(limits ? [limits.ceiling, limits.floor].map((midi) => ({ midi, isLimit: true })) : []),
    ...[...voice.bridges.map(({ low }) => low), span.high, span.low, span.reachHigh, span.reachLow].map((midi) => ({
      midi,
      isLimit: false,
    })),
  ];
  const placed: PitchLabel[] = [];
  for (const { midi, isLimit } of wanted) {
    const y = scale.y(midi);
    if (placed.every((other) => Math.abs(other.y - y) >= LABEL_GAP)) placed.push({ y, text: writeNote(midi), isLimit });
  }
  return placed;
}

function loadLine(routine: LaidRoutine, x: X, ground: number): string {
  const points = routine.steps.flatMap((step): [number, number][] => {
    const y = ground + 34 - step.exercise.load * 2.6;
    return [
      [x(step.startsAt) + 3, y],
      [x(step.startsAt + step.seconds) - 3, y],
    ];
  });
  return line()(points) ?? '';
}

/** Minutes that are marked, as close as their words allow. */
const TICKS_EVERY = [1, 2, 5, 10, 20, 60];
const LEAST_ROOM = 52;
const MOST_TICKS = 9;

function ticksOf(minutes: number, x: X): FlightShapes['ticks'] {
  const fits = (every: number): boolean => x(every * 60) - x(0) >= LEAST_ROOM && minutes / every <= MOST_TICKS;
  const every = TICKS_EVERY.find(fits) ?? TICKS_EVERY.at(-1) ?? 1;
  return Array.from({ length: Math.floor(minutes / every) + 1 }, (_, index) => ({
    minutes: index * every,
    x: x(index * every * 60),
  }));
}

/**
 * Turns a worked-out routine into the shapes of its flight: minutes left to right, pitch upwards.
 *
 * @returns positions in pixels of a picture `width` by `height`
 */
export function layFlight({ routine, voice, budgetSeconds, marked, width, height }: FlightInput): FlightShapes {
  const right = width - 10;
  const ground = height - BELOW_GROUND;
  const span = voiceSpan(voice, routine.reference);
  const minutes = Math.max(budgetSeconds, routine.seconds, 60) / 60;
  const x: X = (seconds) => LEFT + 26 + (seconds / (minutes * 60)) * (right - LEFT - 40);
  const scale = pitchScale(
    Math.min(span.reachLow, routine.lowest ?? Infinity) - 1,
    Math.max(span.reachHigh, routine.highest ?? -Infinity) + 1,
    TOP,
    ground - 12,
  );
  const limits = todaysLimits(routine) ?? { floor: span.low, ceiling: span.high };
  const upper = Math.max(span.high, limits.ceiling);
  const lower = Math.min(span.low, limits.floor);
  return {
    width,
    height,
    left: LEFT,
    right,
    ground,
    comfortable: { top: scale.y(limits.ceiling), bottom: scale.y(limits.floor) },
    stretches: [
      { top: scale.y(upper), bottom: scale.y(limits.ceiling), side: 'over' as const },
      { top: scale.y(limits.floor), bottom: scale.y(lower), side: 'under' as const },
    ].filter(({ top, bottom }) => bottom - top > 1),
    bridges: voice.bridges.map(({ low }) => ({ y: scale.y(low), text: writeNote(low) })),
    pitchLabels: pitchLabelsOf(voice, routine, scale),
    ribbons: routine.steps.flatMap((step) => ribbonOf(step, x, scale) ?? []),
    labels: labelsOf(routine, x),
    marks: marksOf({ routine, ...(marked && { marked }) }, x, scale, ground),
    load: loadLine(routine, x, ground),
    ticks: ticksOf(minutes, x),
    end: { x: x(routine.seconds), seconds: routine.seconds },
  };
}
