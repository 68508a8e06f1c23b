// Source: house starting points from common warm-up practice; minutes from the usual time references.
import type { RoutineKind } from '../day/index.ts';
import type { Stage } from '../limits/index.ts';
import type { Exercise } from '../shelf/index.ts';

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
const HEAD = [part('settle'), part('breath'), part('release')];

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
    parts: [part('breath'), keep('occluded'), part('resonance'), part('middle'), COOL],
  },
  {
    id: 'lesson-8',
    name: 'Lesson, eight minutes',
    minutes: 8,
    kind: 'lesson',
    parts: [...HEAD, keep('occluded'), part('resonance'), part('middle'), part('agility'), COOL],
  },
  {
    id: 'lesson-12',
    name: 'Lesson, twelve minutes',
    minutes: 12,
    kind: 'lesson',
    parts: [
      ...HEAD,
      keep('occluded'),
      keep('occluded', ['bridge']),
      part('resonance'),
      part('middle'),
      part('registers'),
      part('agility'),
      part('words'),
      COOL,
    ],
  },
  {
    id: 'long-and-high',
    name: 'Long and high',
    minutes: 20,
    kind: 'lesson',
    parts: [
      ...HEAD,
      keep('occluded'),
      keep('occluded', ['bridge']),
      part('resonance'),
      part('onset'),
      part('middle'),
      part('middle', ['line']),
      part('registers'),
      part('agility'),
      part('range', ['range-up']),
      part('dynamics'),
      part('tone', ['light-top']),
      COOL,
    ],
  },
  {
    id: 'performance-day',
    name: 'Performance day, first of three blocks',
    minutes: 8,
    kind: 'performance',
    parts: [
      part('settle'),
      part('breath'),
      keep('occluded'),
      keep('occluded', ['bridge']),
      part('resonance'),
      part('middle', [], 2),
      COOL,
    ],
  },
  {
    id: 'low-programme',
    name: 'Low programme',
    minutes: 12,
    kind: 'lesson',
    parts: [
      ...HEAD,
      keep('occluded'),
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
    parts: [
      part('breath', [], 0),
      part('release', [], 1),
      keep('occluded'),
      keep('occluded', ['ease']),
      part('resonance', [], 1),
      COOL,
    ],
  },
  {
    id: 'young-voice',
    name: 'Young voice',
    minutes: 5,
    kind: 'lesson',
    mostSpan: 7,
    parts: [
      part('settle'),
      keep('occluded'),
      part('resonance', ['play', 'pitch']),
      part('resonance', ['pitch']),
      part('words', ['play']),
      COOL,
    ],
  },
  {
    id: 'changing-voice',
    name: 'Changing voice',
    minutes: 6,
    kind: 'lesson',
    mostSpan: 7,
    parts: [
      part('breath'),
      keep('occluded'),
      part('resonance', ['pitch']),
      part('release'),
      part('middle', [], 2),
      COOL,
    ],
  },
  {
    id: 'older-voice',
    name: 'Older voice',
    minutes: 10,
    kind: 'lesson',
    parts: [
      ...HEAD,
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
    name: 'Heavy style, clean first',
    minutes: 12,
    kind: 'lesson',
    parts: [
      ...HEAD,
      keep('occluded'),
      part('resonance'),
      part('middle'),
      part('registers', ['mix']),
      part('style', ['belt']),
      keep('occluded', ['ease']),
      COOL,
    ],
  },
  {
    id: 'thin-walls',
    name: 'Thin walls',
    minutes: 6,
    kind: 'home',
    noise: 'quiet',
    parts: [part('settle'), part('breath'), keep('occluded'), keep('occluded', ['bridge']), part('resonance'), COOL],
  },
  {
    id: 'in-the-car',
    name: 'In the car, audio only',
    minutes: 5,
    kind: 'home',
    without: 'car',
    parts: [keep('occluded'), part('resonance'), part('words', ['ease']), COOL],
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
    parts: [
      part('words', ['ease'], 0),
      part('breath'),
      keep('occluded'),
      part('release', ['release']),
      part('resonance', [], 2),
      COOL,
    ],
  },
];
