import { isChild, USUAL_RULES } from '../limits/index.ts';
import { dayIs, voiceOf } from '../voice/index.ts';
import { narrowPattern, withBreaths, type Pattern } from '../pattern/index.ts';
import { answerTo, type Exercise } from '../shelf/index.ts';
import type { DayContext } from './day.types.ts';

/** Source: usual breath limits, schools differ; the longest hold of the gentle school, counts. */
const GENTLE_HOLD = 4;

/** An exercise as this studio teaches it: breath holds only as long as its approach allows. */
export function asTaught(exercise: Exercise, { approach }: Pick<DayContext, 'approach'>): Exercise {
  const breathHolds = answerTo(approach, 'breath-holds');
  const { work, optIn } = exercise;
  if (optIn || breathHolds === 'timed' || work.kind !== 'breath' || !work.counts) return exercise;
  const holdCounts = breathHolds === 'off' ? 0 : Math.min(work.counts.holdCounts, GENTLE_HOLD);
  return { ...exercise, work: { ...work, counts: { ...work.counts, holdCounts } } };
}

/** Whether a voice is one of the older ones of the rule table. */
export function isOlderVoice({ voice, rules = USUAL_RULES }: Pick<DayContext, 'voice' | 'rules'>): boolean {
  return voice.age !== undefined && voice.age >= rules.older.from;
}

/** The pattern of a first sung step: an older voice begins with intervals up to a sixth. */
export function openingPattern(
  pattern: Pattern,
  sungSteps: number,
  context: Pick<DayContext, 'voice' | 'rules'>,
): Pattern {
  const { rules = USUAL_RULES } = context;
  if (!isOlderVoice(context) || sungSteps >= rules.opening.sungSteps) return pattern;
  return narrowPattern(pattern, rules.older.firstSpan) ?? pattern;
}

/**
 * The longest stretch this voice sings today without a rest, seconds: a child, a first lesson and an older voice have
 * less breath than is usual, and a recovering one a share of it.
 */
function mostBreathSeconds({ voice, known, conditions, rules = USUAL_RULES }: DayContext): number {
  const { child, beginner, usual, recoveringShare } = rules.breath;
  const isLess = known.size === 0 || isOlderVoice({ voice, rules });
  const whole = isChild(voiceOf(voice), rules) ? child : isLess ? beginner : usual;
  return whole * (dayIs(conditions, 'short-breath') ? recoveringShare : 1);
}

/** A pattern as one breath carries it at this tempo: where it is longer, a breath is put in, never a slower tempo. */
export function inOneBreath(pattern: Pattern, tempo: number, context: DayContext): Pattern {
  return withBreaths(pattern, (mostBreathSeconds(context) * tempo) / 60);
}
