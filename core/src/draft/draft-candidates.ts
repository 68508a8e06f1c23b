import { asTaught, isCloseToPerformance, isGentle, leftOutToday, mayExtend, problemStatement } from '../day/index.ts';
import { USUAL_RULES } from '../limits/index.ts';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { againstSchool, isForVoice, isNoLouder, isSungWork, obstacleTo, type Exercise } from '../shelf/index.ts';
import { wordsOf, type Statement } from '../statement.ts';
import { dayIs, isAdultType } from '../voice/index.ts';
import { DRAFT_POINTS, type DraftSlot } from './draft-plan.data.ts';
import { isForYoung } from './draft-shape.ts';
import type { DraftCode, DraftContext, PassedOver, WhyNotCode } from './draft.types.ts';

/** House choice: more reasons than these are not read. */
const MOST_REASONS = 2;

/** What one exercise has to say for itself at a place of the draft. */
export interface Candidate {
  readonly exercise: Exercise;
  readonly points: number;
  readonly reasons: readonly Statement<DraftCode>[];
}

/** An exercise that may be taken, with its share of chance. */
export interface Eligible {
  readonly exercise: Exercise;
  readonly chance: number;
}

/** Whether an exercise may be met at a place that need not be filled: close to a performance nothing new is. */
export function mayBeMet({ id }: Exercise, context: DraftContext): boolean {
  return context.known.has(id) || !isCloseToPerformance(context);
}

function whyNot(exercise: Exercise, context: DraftContext): PassedOver['reason'] | null {
  const { voice, known, noise, occasion } = context;
  const { name } = exercise;
  const not = (code: WhyNotCode, values: Statement['values'] = {}): PassedOver['reason'] => ({
    code,
    values: { name, ...values },
  });
  const problem = leftOutToday(asTaught(exercise, context), voice, context);
  if (problem) return problemStatement(problem);
  const obstacle = obstacleTo(exercise, voice);
  if (obstacle) return not('not.obstacle', { obstacle: { word: obstacle, of: 'obstacle' } });
  if (!isForVoice(exercise, voice.type)) return not('not.other-voices');
  if (
    exercise.styles.length > 0 &&
    ![voice.style, ...(voice.otherStyles ?? [])].some((style) => exercise.styles.includes(style))
  )
    return not('not.other-style');
  if (exercise.optIn || exercise.grit) return not('not.by-hand-only');
  if (noise && !isNoLouder(exercise, noise)) return not('not.louder');
  const isClose = isCloseToPerformance(context);
  if (isClose && exercise.extendsRange) return not('not.extends-close');
  if (isClose && !known.has(exercise.id) && !isGentle(exercise)) return not('not.new-close');
  const against = againstSchool(exercise, context.approach);
  if (against) return not('not.other-school', { question: { word: against, of: 'pull' } });
  if (exercise.extendsRange && !mayExtend(exercise, context)) return not('not.restores-only');
  if (dayIs(context.conditions, 'worn') && exercise.extendsRange)
    return not('not.worn', { conditions: wordsOf('condition', context.conditions) });
  if (occasion === 'home' && exercise.level === 'advanced' && !known.has(exercise.id))
    return not('not.advanced-at-home');
  if (known.size === 0 && exercise.level !== 'first') return not('not.first-lesson');
  return null;
}

/** A whole number of the person: two students do not draw the same lots on one day. */
function personOf({ voice: { type, style, goals, age = 0 } }: DraftContext): number {
  const words = [type, style, ...goals, String(Math.floor(age / 10))].join(' ');
  return Array.from(words).reduce((sum, sign) => (Math.imul(sum, 31) + (sign.codePointAt(0) ?? 0)) | 0, 7);
}

/** The shelf in two: what may be taken, and what may not and why. */
interface Sorted {
  readonly eligible: readonly Eligible[];
  readonly leftOut: readonly PassedOver[];
}

/** Lets go what another draft puts something else for, where its stage has something else. */
function withChange(
  { eligible, leftOut }: Sorted,
  { instead = [], pinned = [], rules = USUAL_RULES }: DraftContext,
): Sorted {
  const count = Math.ceil((instead.length + pinned.length) * rules.draft.another);
  const isBefore = ({ exercise }: Eligible): boolean => instead.includes(exercise.id);
  const others = new Set(eligible.filter((one) => !isBefore(one)).map(({ exercise }) => exercise.stage));
  const going = eligible
    .filter((one) => isBefore(one) && others.has(one.exercise.stage))
    .sort((a, b) => a.chance - b.chance)
    .slice(0, count)
    .map(({ exercise }) => exercise);
  return {
    eligible: eligible.filter(({ exercise }) => !going.includes(exercise)),
    leftOut: [
      ...leftOut,
      ...going.map(({ id, name }) => ({
        exerciseId: id,
        reason: { code: 'not.another-draft' as const, values: { name } },
      })),
    ],
  };
}

/** Parts the shelf in two: what may be taken today, and what may not and why. Archived exercises are not looked at. */
export function sortOut(context: DraftContext): Sorted {
  const generator = xoroshiro128plus(context.seed ^ personOf(context));
  const eligible: Eligible[] = [];
  const leftOut: PassedOver[] = [];
  // In the order of their ids, so that the same seed falls the same way whatever order the shelf is in.
  const shelf = [...context.exercises.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
  for (const exercise of shelf) {
    const chance = uniformFloat64(generator);
    const reason = whyNot(exercise, context);
    if (reason === null) eligible.push({ exercise, chance });
    else leftOut.push({ exerciseId: exercise.id, reason });
  }
  return withChange({ eligible, leftOut }, context);
}

/** House choice: a glide that leaves out no more than so much of today's range at either end goes through all of it. */
const WIDE = { low: 0.1, high: 0.9 };

function goesThroughAll({ work }: Exercise): boolean {
  return work.kind === 'siren' && work.lowShare <= WIDE.low && work.highShare >= WIDE.high;
}

/** Whether an exercise was written for young voices and no others. */
function isMadeForYoung({ voices }: Exercise): boolean {
  return voices.length > 0 && !voices.some(isAdultType);
}

/** Points for an exercise at a place, and the weightiest reasons for it. */
export function weigh({ exercise, chance }: Eligible, slot: DraftSlot, context: DraftContext): Candidate {
  const { voice, known, goals = voice.goals, songNeeds = [], recent = [], ease } = context;
  const served = goals.filter((goal) => exercise.goals.includes(goal));
  const needed = songNeeds.filter((need) => exercise.goals.includes(need));
  const isKnown = known.has(exercise.id);
  const went = ease?.get(exercise.id);
  const {
    goalOfSlot,
    goal,
    mostGoals,
    songNeed,
    sungCoolDown,
    wide,
    workedWell,
    doneLast,
    doneBefore,
    advanced,
    style,
    madeForYoung,
  } = DRAFT_POINTS;
  const points =
    ((slot.goals ?? []).some((one) => exercise.goals.includes(one)) ? goalOfSlot : 0) +
    (slot.keep && isSungWork(exercise) ? sungCoolDown : 0) +
    (slot.isWide && goesThroughAll(exercise) ? wide : 0) +
    goal * Math.min(mostGoals, served.length) +
    songNeed * Math.min(1, needed.length) +
    (isKnown ? (isCloseToPerformance(context) ? DRAFT_POINTS.knownWhenClose : DRAFT_POINTS.known) : 0) +
    (went !== undefined && went >= 4 ? workedWell : 0) +
    (slot.only === undefined && recent[0]?.includes(exercise.id) ? doneLast : 0) +
    (recent[1]?.includes(exercise.id) ? doneBefore : 0) +
    (exercise.level === 'advanced' && !isKnown ? advanced : 0) +
    (exercise.styles.includes(voice.style) ? style : 0) +
    (isMadeForYoung(exercise) && isForYoung(context) ? madeForYoung : 0) +
    DRAFT_POINTS.chance * chance;
  const reasons: readonly Statement<DraftCode>[] = [
    ...(needed.length > 0 ? [{ code: 'draft.prepares', values: { needs: wordsOf('goal', needed) } } as const] : []),
    ...(slot.because ?? []),
    ...(served.length > 0 ? [{ code: 'draft.serves', values: { goals: wordsOf('goal', served) } } as const] : []),
    ...(slot.keep ? [{ code: slot.stage === 'cool' ? 'draft.brings-down' : 'draft.never-left-out' } as const] : []),
    ...(isMadeForYoung(exercise) ? [{ code: 'draft.for-young' } as const] : []),
    isKnown ? { code: 'draft.known' } : { code: 'draft.new', values: { why: exercise.why.replace(/\.$/, '') } },
    ...(recent.length > 0 && !recent.some((run) => run.includes(exercise.id))
      ? [{ code: 'draft.a-change' } as const]
      : []),
  ];
  return { exercise, points, reasons: reasons.slice(0, MOST_REASONS) };
}
