import { type StepShape, USUAL_SET_UP, leastKeys } from '../routine/index.ts';
import type { Exercise } from '../shelf/index.ts';
import {
  COOL_DOWN,
  DRAFT_SHAPES,
  LONGEST_STEP,
  MOST_EXPLAINING,
  YOUNG_SHAPE,
  type DraftShape,
} from './draft-shape.data.ts';
import type { DraftContext } from './draft.types.ts';

function isYoung(voice: DraftContext['voice']): boolean {
  return voice.type === 'treble' || (voice.age !== undefined && voice.age < YOUNG_SHAPE.under);
}

/** A row of the table as it holds for one student. */
interface ShapeOfDraft extends DraftShape {
  /** Exercises aimed at; `most` only where these cannot fill the minutes. */
  readonly wanted: number;
  /** Exercises that have to be explained, gentle ones too. */
  readonly mostUnknown: number;
}

/**
 * How a draft for this student is shaped: the least where nothing is known yet, else the middle of what is usual; a child
 * gets one exercise fewer.
 *
 * @example ten minutes, all known: 7 exercises
 */
export function shapeOf({ minutes, known, voice, setUp = USUAL_SET_UP }: DraftContext): ShapeOfDraft {
  const row = [...DRAFT_SHAPES].reverse().find((one) => one.minutes <= minutes) ?? DRAFT_SHAPES[0];
  if (!row) throw new Error('There is no shape of a draft.');
  const fewer = isYoung(voice) ? 1 : 0;
  const wanted = known.size === 0 ? row.least : Math.round((row.least + row.most) / 2);
  const { share, inShort, shortMinutes } = MOST_EXPLAINING;
  const explained = (minutes * 60 * (minutes <= shortMinutes ? inShort : share)) / Math.max(1, setUp.whenNew);
  const most = known.size === 0 ? Math.min(row.most, Math.max(row.least, Math.floor(explained))) : row.most;
  const later = Math.max(row.mostNew, Math.floor((minutes * 60 * MOST_EXPLAINING.later) / Math.max(1, setUp.whenNew)));
  const mostUnknown = known.size < MOST_EXPLAINING.fewKnown ? Infinity : later;
  return { ...row, mostUnknown, most: Math.max(3, most), wanted: Math.max(3, wanted - fewer) };
}

/** House choice: so few keys may be sung twice each; any number where few steps have to fill the minutes. */
const FEW_KEYS = 6;

/**
 * What a draft asks of the length of one of its steps.
 *
 * @param stretch how many times its usual most a step may last, where few steps have to fill the minutes
 */
export function stepShape(
  { stage }: Pick<Exercise, 'stage'>,
  { minutes, voice }: DraftContext,
  stretch = 1,
): StepShape {
  const { share, least, most } = LONGEST_STEP;
  const usual = stretch * Math.min(most, Math.max(least, minutes * 60 * share));
  return {
    leastKeys: leastKeys(stage),
    twiceUpToKeys: stretch > 1 ? Infinity : FEW_KEYS,
    mostSeconds: isYoung(voice) ? Math.min(YOUNG_SHAPE.mostSeconds, usual) : usual,
  };
}

/** Seconds the cool-down takes, after work of such a load. */
export function coolDownSeconds(minutes: number, mostLoad: number): number {
  const { share, least, leastInShort, shortMinutes, afterHeavy, heavyLoad } = COOL_DOWN;
  const usual = Math.max(minutes <= shortMinutes ? leastInShort : least, minutes * 60 * share);
  return mostLoad >= heavyLoad && minutes > shortMinutes
    ? Math.max(usual, Math.min(afterHeavy, minutes * 60 * 0.3))
    : usual;
}
