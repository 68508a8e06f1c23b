// Source: house starting points from common warm-up practice; minutes from the usual time references.
import type { RoutineKind } from '../day/index.ts';
import type { Stage } from '../limits/index.ts';
import type { Exercise } from '../shelf/index.ts';
import { isAdultType, VOICE_TYPES, type Style, type VoiceType } from '../voice/index.ts';

/** One place in a recipe: a stage, what it should serve, and how much it may ask. */
export interface RecipePart {
  readonly stage: Stage;
  readonly goals?: readonly string[];
  readonly mostLoad?: number;
  /** Steps that stay when time is short. */
  readonly keep?: boolean;
}

/** A way to begin: stages in order, filled for one voice on one day. */
export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly kind: RoutineKind;
  readonly parts: readonly RecipePart[];
  /** Left out it is for every voice. */
  readonly forWhom?: {
    readonly voices?: readonly VoiceType[];
    readonly styles?: readonly Style[];
    readonly fromAge?: number;
    readonly underAge?: number;
  };
  /** No louder than this. */
  readonly noise?: Exercise['noise'];
  readonly without?: 'car' | 'kit';
  readonly mostSpan?: number;
}

const part = (stage: Stage, goals: readonly string[] = [], mostLoad?: number): RecipePart => ({
  stage,
  ...(goals.length > 0 && { goals }),
  ...(mostLoad !== undefined && { mostLoad }),
});
const keep = (stage: Stage, goals: readonly string[] = []): RecipePart => ({ ...part(stage, goals), keep: true });

const COOL = keep('cool', ['cool']);
const GROWN = VOICE_TYPES.filter(isAdultType);

export const RECIPES: readonly Recipe[] = [
  {
    id: 'late-arrival',
    name: 'Late arrival',
    minutes: 3,
    kind: 'late',
    parts: [keep('occluded'), part('middle'), COOL],
  },
  {
    id: 'short',
    name: 'Short',
    minutes: 5,
    kind: 'lesson',
    parts: [keep('occluded'), keep('occluded', ['bridge']), part('resonance'), part('middle'), COOL],
  },
  {
    id: 'lesson-8',
    name: 'Lesson, eight minutes',
    minutes: 8,
    kind: 'lesson',
    parts: [keep('occluded'), keep('occluded', ['bridge']), part('resonance'), part('middle'), part('agility'), COOL],
  },
  {
    id: 'lesson-12',
    name: 'Lesson, twelve minutes',
    minutes: 12,
    kind: 'lesson',
    parts: [
      part('breath'),
      keep('occluded'),
      keep('occluded', ['bridge']),
      keep('occluded', ['ease']),
      part('resonance'),
      part('middle'),
      part('registers'),
      part('agility'),

      COOL,
    ],
  },
  {
    id: 'long-and-high',
    name: 'Long and high',
    minutes: 20,
    kind: 'lesson',
    forWhom: { voices: GROWN },
    parts: [
      part('settle'),
      part('breath'),
      part('release'),
      keep('occluded'),
      keep('occluded', ['bridge']),
      part('resonance'),
      part('middle'),
      part('middle', ['line']),
      part('registers'),
      part('agility'),
      part('tone', ['light-top']),
      COOL,
    ],
  },
  {
    id: 'performance-morning',
    name: 'Performance day, in the morning',
    minutes: 8,
    kind: 'performance',
    parts: [
      part('breath'),
      keep('occluded'),
      keep('occluded', ['bridge']),
      part('resonance'),
      part('middle', [], 2),
      COOL,
    ],
  },
  {
    id: 'performance-noon',
    name: 'Performance day, towards noon',
    minutes: 10,
    kind: 'performance',
    parts: [
      keep('occluded'),
      keep('occluded', ['bridge']),
      part('resonance'),
      part('middle'),
      part('registers', [], 3),
      part('words'),
      COOL,
    ],
  },
  {
    id: 'performance-before',
    name: 'Performance day, just before you go on',
    minutes: 5,
    kind: 'performance',
    parts: [keep('occluded'), keep('occluded', ['bridge']), part('resonance', [], 2), part('words')],
  },
  {
    id: 'low-programme',
    name: 'Low programme',
    minutes: 12,
    kind: 'lesson',
    forWhom: { voices: GROWN },
    parts: [
      part('breath'),
      keep('occluded'),
      keep('occluded', ['ease']),
      part('resonance'),
      part('middle', ['bottom', 'line']),
      part('range', ['range-down']),
      part('words'),
      COOL,
    ],
  },
  {
    id: 'talked-all-day',
    name: 'Talked all day',
    minutes: 8,
    kind: 'lesson',
    parts: [
      part('settle'),
      part('release', ['release']),
      keep('occluded', ['ease']),
      keep('occluded'),
      part('resonance', [], 1),
      COOL,
    ],
  },
  {
    id: 'coming-back',
    name: 'Coming back',
    minutes: 6,
    kind: 'lesson',
    parts: [part('breath', [], 0), keep('occluded'), keep('occluded', ['ease']), part('resonance', [], 1), COOL],
  },
  {
    id: 'young-voice',
    name: 'Young voice',
    minutes: 5,
    kind: 'lesson',
    forWhom: { underAge: 13 },
    mostSpan: 7,
    parts: [keep('occluded', ['play']), part('resonance', ['play', 'pitch']), part('words', ['play']), COOL],
  },
  {
    id: 'changing-voice',
    name: 'Changing voice',
    minutes: 6,
    kind: 'lesson',
    forWhom: { voices: ['changing'] },
    mostSpan: 7,
    parts: [keep('occluded'), keep('occluded', ['play']), part('resonance', ['pitch']), part('middle', [], 2), COOL],
  },
  {
    id: 'older-voice',
    name: 'Older voice',
    minutes: 10,
    kind: 'lesson',
    forWhom: { fromAge: 60 },
    parts: [
      part('breath'),
      keep('occluded'),
      keep('occluded', ['ease']),
      keep('occluded', ['balance']),
      part('resonance'),
      part('middle', [], 2),
      COOL,
    ],
  },
  {
    id: 'heavy-style',
    name: 'Hard styles, clean first',
    minutes: 12,
    kind: 'lesson',
    forWhom: { voices: GROWN, styles: ['heavy', 'rock', 'pop', 'gospel', 'theatre'], fromAge: 18 },
    parts: [
      part('breath'),
      keep('occluded'),
      keep('occluded', ['ease']),
      part('resonance'),
      part('middle'),
      part('registers', ['mix']),
      part('style', ['belt']),
      COOL,
    ],
  },
  {
    id: 'thin-walls',
    name: 'Thin walls',
    minutes: 6,
    kind: 'home',
    noise: 'quiet',
    parts: [part('breath'), keep('occluded'), keep('occluded', ['bridge']), part('resonance'), COOL],
  },
  {
    id: 'in-the-car',
    name: 'In the car, audio only',
    minutes: 5,
    kind: 'home',
    without: 'car',
    parts: [keep('occluded'), keep('occluded', ['ease']), part('resonance'), part('words', ['ease']), COOL],
  },
  { id: 'cool-down-only', name: 'Cool-down only', minutes: 4, kind: 'cool-down', parts: [COOL, COOL, COOL] },
  {
    id: 'occluded-only',
    name: 'Occluded only, before a set',
    minutes: 5,
    kind: 'performance',
    parts: [part('breath'), keep('occluded'), keep('occluded', ['bridge']), keep('occluded', ['ease'])],
  },
  {
    id: 'speech-first',
    name: 'Speech first, low morning',
    minutes: 6,
    kind: 'lesson',
    parts: [part('words', ['ease'], 0), keep('occluded'), keep('occluded', ['ease']), part('resonance', [], 2), COOL],
  },
];
