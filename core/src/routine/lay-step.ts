import { type StepProblem, asTaught, leftOutToday, turnedSiren } from '../day/index.ts';
import { LadderError } from '../errors.ts';
import { buildSiren } from '../ladder/index.ts';
import {
  limitByRule,
  resolveLimits,
  USUAL_RULES,
  type LimitCode,
  type LimitContext,
  type LimitRule,
  type Limits,
} from '../limits/index.ts';
import { narrowPattern, formatPattern } from '../pattern/index.ts';
import {
  heavyBelowTop,
  isHeavyWork,
  isStillWork,
  overlayFor,
  patternOfWork,
  type Exercise,
  type SirenWork,
  type Work,
} from '../shelf/index.ts';
import type { Statement } from '../statement.ts';
import { courseOf } from '../still/index.ts';
import { neverSounded, voiceOf } from '../voice/index.ts';
import { glideOf } from './glide-of.ts';
import { layLadder } from './lay-ladder.ts';
import type { LaidLadder, LaidSiren, LaidStep, RoutineContext } from './routine.types.ts';
import { withLength, withSettings } from './step-figures.ts';
import type { RoutineStep, StepSettings } from './step.schema.ts';

/** What a step's own work comes to, before its place in the routine is known. */
type Outcome = Pick<
  LaidStep,
  'laid' | 'limits' | 'limitContext' | 'problem' | 'voicedSeconds' | 'lowest' | 'highest'
> & {
  readonly workSeconds: number;
};

const SILENT = { workSeconds: 0, voicedSeconds: 0, lowest: null, highest: null };

function problemOf(cause: unknown): StepProblem {
  if (!(cause instanceof LadderError)) throw cause;
  const { code, values, nearest } = cause;
  return { code, values, nearest };
}

/** An end of a step that stands over the rules, and the rule it comes from, where it is none by hand. */
interface OwnEnd {
  readonly note: number;
  readonly said?: Statement<LimitCode>;
}

function overrideOf(
  low: OwnEnd | false | undefined,
  high: OwnEnd | false | undefined,
): NonNullable<LimitContext['override']> {
  return {
    ...(low && { floor: low.note }),
    ...(high && { ceiling: high.note }),
    rules: { ...(low && low.said && { floor: low.said }), ...(high && high.said && { ceiling: high.said }) },
  };
}

/** The ends a teacher set for a step: as a note, else by rule. */
function limitsByHand(
  { floor, ceiling, floorRule, ceilingRule }: StepSettings,
  { voice, rules = USUAL_RULES, songRange }: RoutineContext,
): NonNullable<LimitContext['override']> {
  const byRule = (rule: LimitRule | undefined, side: 'floor' | 'ceiling') =>
    rule && limitByRule(rule, side, voiceOf(voice), rules, songRange);
  return overrideOf(
    floor === undefined ? byRule(floorRule, 'floor') : { note: floor },
    ceiling === undefined ? byRule(ceilingRule, 'ceiling') : { note: ceiling },
  );
}

/** The ends an exercise has by rule: they take away from what the day allows, and give way to the step’s own. */
function withinOwnEnds(
  work: Work,
  limitContext: LimitContext,
  { rules = USUAL_RULES, songRange }: RoutineContext,
): LimitContext {
  if (work.kind !== 'pattern' || !(work.floorRule || work.ceilingRule)) return limitContext;
  const today = resolveLimits(limitContext);
  const { override = {}, voice } = limitContext;
  const low = work.floorRule && limitByRule(work.floorRule, 'floor', voice, rules, songRange);
  const high = work.ceilingRule && limitByRule(work.ceilingRule, 'ceiling', voice, rules, songRange);
  const own = overrideOf(
    override.floor === undefined && low && low.note > today.floor && low,
    override.ceiling === undefined && high && high.note < today.ceiling && high,
  );
  return { ...limitContext, override: { ...own, ...override, rules: { ...own.rules, ...override.rules } } };
}

function limitContextOf(
  exercise: Exercise,
  settings: StepSettings,
  context: RoutineContext,
  sungSteps: number,
): LimitContext {
  const heavyBelow = heavyBelowTop(exercise) ?? (isHeavyWork(exercise) ? 0 : null);
  const advised = context.advised?.get(exercise.id);
  return {
    voice: voiceOf(context.voice),
    style: context.voice.style,
    exercise: {
      stage: exercise.stage,
      kind: exercise.work.kind,
      quiet: exercise.quiet,
      register: exercise.register,
      ...(heavyBelow !== null && { heavyBelowTop: heavyBelow }),
      isNew: !context.known.has(exercise.id),
      extendsRange: exercise.extendsRange,
      grit: exercise.grit,
    },
    sungSteps,
    conditions: context.conditions,
    occasion: context.occasion,
    ...(context.hoursToPerformance !== undefined && { hoursToPerformance: context.hoursToPerformance }),
    ...(context.rules && { rules: context.rules }),
    ...(advised !== undefined && { advice: { ceiling: advised } }),
    override: limitsByHand(settings, context),
    now: context.now,
  };
}

function laySiren(
  work: SirenWork,
  settings: StepSettings,
  context: RoutineContext,
  { floor, ceiling }: Limits,
): LaidSiren {
  const glide = glideOf(work, floor, ceiling);
  const siren = buildSiren({
    ...glide,
    shape: turnedSiren(glide.shape, context),
    repeats: settings.repeats ?? glide.repeats,
    avoid: neverSounded(context.voice),
  });
  return { kind: 'siren', siren };
}

/** What is drawn is drawn anew each day, and stays so for the day. */
function seedOfDay(now: string): number {
  return Number(now.slice(0, 10).replaceAll('-', ''));
}

/** The pattern text that fits these limits, where the step's own is too wide. */
function narrowerText(work: Work, limits: Limits): string | null {
  if (work.kind !== 'pattern') return null;
  const narrow = narrowPattern(patternOfWork(work), limits.ceiling - limits.floor);
  return narrow && formatPattern(narrow);
}

function crossed(work: Work, limits: Limits): StepProblem | null {
  if (!limits.conflict) return null;
  const [low, high] = limits.conflict;
  return {
    code: 'LIMITS_CROSS',
    values: { floor: low.said, ceiling: high.said },
    nearest: { setting: 'pattern', value: narrowerText(work, limits) },
  };
}

/** A shown key costs its time, but the student listens. */
function voicedIn({ ladder, pattern, ways }: LaidLadder): number {
  const shown = ladder.rungs.filter((_, index) => ways[index]?.help === 'shown');
  return ladder.voicedSeconds - shown.reduce((sum, { tempo }) => sum + (pattern.voicedBeats * 60) / tempo, 0);
}

function workOut(exercise: Exercise, settings: StepSettings, context: RoutineContext, sungSteps: number): Outcome {
  const { work } = exercise;
  const leftOut = leftOutToday(exercise, context.voice, context);
  if (leftOut) return { ...SILENT, problem: leftOut };
  if (isStillWork(work)) {
    const course = courseOf(withLength(work, settings), seedOfDay(context.now));
    return { ...SILENT, workSeconds: course.seconds, laid: { kind: 'still', course } };
  }
  const limitContext = withinOwnEnds(work, limitContextOf(exercise, settings, context, sungSteps), context);
  const limits = resolveLimits(limitContext);
  const conflict = crossed(work, limits);
  if (conflict) return { ...SILENT, limits, limitContext, problem: conflict };
  try {
    const laid =
      work.kind === 'pattern'
        ? layLadder(exercise, work, settings, context, limits, sungSteps)
        : laySiren(work, settings, context, limits);
    const { seconds, lowest, highest } = laid.kind === 'pattern' ? laid.ladder : laid.siren;
    const voicedSeconds = laid.kind === 'pattern' ? voicedIn(laid) : laid.siren.voicedSeconds;
    const empty = lowest === null ? { problem: NO_KEY_LEFT } : {};
    return { laid, limits, limitContext, workSeconds: seconds, voicedSeconds, lowest, highest, ...empty };
  } catch (cause) {
    return { ...SILENT, limits, limitContext, problem: problemOf(cause) };
  }
}

const NO_KEY_LEFT: StepProblem = { code: 'NO_KEY_LEFT' };

/** Whether a laid step is sung in keys or glides, and so counts for what comes after it. */
export function isSung({ laid }: Pick<LaidStep, 'laid'>): boolean {
  return laid?.kind === 'pattern' || laid?.kind === 'siren';
}

/** Sung steps that come before one of a laid routine. */
export function sungBefore(steps: readonly LaidStep[], stepId: string): number {
  const at = steps.findIndex(({ id }) => id === stepId);
  return steps.slice(0, at).filter(isSung).length;
}

/** Whether an exercise can be sung as it is on the shelf, after so many sung steps. */
export function isSingable(exercise: Exercise, context: RoutineContext, sungSteps: number): boolean {
  return !layStep({ id: '', exerciseId: exercise.id, settings: {} }, exercise, context, sungSteps, 0).problem;
}

/**
 * Works one step out for a voice today.
 *
 * @param sungSteps patterns and sirens before it in the routine
 * @param startsAt seconds from the start of the routine
 * @returns the step with its limits, keys and seconds; `problem` where it cannot be sung as it stands
 */
export function layStep(
  step: RoutineStep,
  written: Exercise,
  context: RoutineContext,
  sungSteps: number,
  startsAt: number,
): LaidStep {
  const exercise = asTaught(withSettings(written, step.settings), context);
  const isNew = !context.known.has(exercise.id);
  const { whenNew, whenKnown } = (context.rules ?? USUAL_RULES).setUp;
  const overlay = overlayFor(exercise, step.settings.overlay, context);
  const setUpSeconds = step.settings.setUpSeconds ?? (isNew ? whenNew : whenKnown) + (overlay?.setUpSeconds ?? 0);
  const { workSeconds, ...outcome } = workOut(exercise, step.settings, context, sungSteps);
  const seconds = outcome.problem && outcome.lowest === null && workSeconds === 0 ? 0 : setUpSeconds + workSeconds;
  const plain = { id: step.id, exercise, settings: step.settings, isNew, startsAt, setUpSeconds, seconds, ...outcome };
  return overlay ? { ...plain, overlay } : plain;
}
