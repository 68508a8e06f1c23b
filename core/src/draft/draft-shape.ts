import { isChild, USUAL_RULES } from '../limits/index.ts';
import type { Exercise } from '../shelf/index.ts';
import { isAdultType, voiceOf } from '../voice/index.ts';
import type { StepShape } from '../fit/index.ts';
import { leastKeys, shapeFor, type RoutineShape } from '../routine/index.ts';
import { EXPLAINING, LONGEST_STEP } from './draft-shape.data.ts';
import type { DraftContext } from './draft.types.ts';

function isForChild({ voice, rules = USUAL_RULES }: DraftContext): boolean {
  return isChild(voiceOf(voice), rules);
}

/** A treble, a changing voice, or anyone of an age that plays. */
export function isForYoung(context: DraftContext): boolean {
  return !isAdultType(context.voice.type) || isForChild(context);
}

/** A row of the table as it holds for one student. */
interface ShapeOfDraft extends RoutineShape {
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
export function shapeOf(context: DraftContext): ShapeOfDraft {
  const { minutes, known, rules = USUAL_RULES } = context;
  const { setUp } = rules;
  const row = shapeFor(minutes, rules);
  const fewer = isForChild(context) ? 1 : 0;
  const wanted = known.size === 0 ? row.least : Math.round((row.least + row.most) / 2);
  const { explainFirst, explainShort, explainLater } = rules.draft;
  const explained = (share: number): number => (minutes * 60 * share) / Math.max(1, setUp.whenNew);
  const first = Math.floor(explained(minutes <= EXPLAINING.shortMinutes ? explainShort : explainFirst));
  const most = known.size === 0 ? Math.min(row.most, Math.max(row.least, first)) : row.most;
  // What every exercise costs, known or not, is spent before anything is explained.
  const extra = Math.max(1, setUp.whenNew - setUp.whenKnown);
  const later = Math.floor((minutes * 60 * explainLater - wanted * setUp.whenKnown) / extra);
  const mostUnknown = known.size < EXPLAINING.fewKnown ? Infinity : Math.max(0, later);
  return { ...row, mostUnknown, most: Math.max(3, most), wanted: Math.max(3, wanted - fewer) };
}

/** House choice: so few keys may be sung twice each; any number where few steps have to fill the minutes. */
const FEW_KEYS = 6;

/**
 * What a draft asks of the length of one of its steps.
 *
 * @param stretch how many times its usual most a step may last, where few steps have to fill the minutes
 */
export function stepShape({ stage }: Pick<Exercise, 'stage'>, context: DraftContext, stretch = 1): StepShape {
  const { share, least, most } = LONGEST_STEP;
  const usual = stretch * Math.min(most, Math.max(least, context.minutes * 60 * share));
  const { childMost } = (context.rules ?? USUAL_RULES).draft;
  return {
    leastKeys: leastKeys(stage),
    twiceUpToKeys: stretch > 1 ? Infinity : FEW_KEYS,
    mostSeconds: isForChild(context) ? Math.min(childMost, usual) : usual,
  };
}
