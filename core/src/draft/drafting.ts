import { hasWhatItNeeds, isGentle } from '../day/index.ts';
import { answerTo, isSungWork, opposedOn, type Exercise } from '../shelf/index.ts';
import { layRoutine, type StepSettings } from '../routine/index.ts';
import { turned } from './coming-back.ts';
import { mayBeMet, weigh, type Candidate, type Eligible } from './draft-candidates.ts';
import { DRAFT_POINTS, type DraftSlot } from './draft-plan.data.ts';
import { shapeOf, stepShape } from './draft-shape.ts';
import type { DraftContext, DraftedStep, PassedOver, WhyNotCode } from './draft.types.ts';
import { lengthsOf, type Lengths } from './lengths.ts';
import { voiceOf } from '../voice/index.ts';

/** A place that was filled: the step, its seconds at least and at most, and why. */
export interface Filled extends DraftedStep {
  readonly exercise: Exercise;
  readonly isKept: boolean;
  readonly points: number;
  readonly least: number;
  readonly most: number;
  /** What was set before its length was: a shorter one starts from it again. */
  readonly own: StepSettings;
  /** Where it stands, where the plan has an order of its own. */
  readonly place?: number;
  /** Minutes go to it before anything else. */
  readonly isFavoured?: boolean;
  /** Its length is settled before the rest is fitted. */
  readonly isFixed?: boolean;
}

/** An exercise that was looked at for a place. */
interface Tried extends Lengths {
  readonly candidate: Candidate;
  /** Something is to be said against it here. */
  readonly isSecondBest: boolean;
}

/** House choice: places looked at before the best that can be sung is taken. */
const MOST_TRIED = 12;
const MOST_PASSED_OVER = 4;
/** Fewer keys than this are no ladder. */
const FEWEST_KEYS = 3;
/** House choice: silent steps a thorough school of breath adds. */
const THOROUGH_BREATHS = 3;
function isFastBreath({ work }: Exercise): boolean {
  return work.kind === 'breath' && work.bursts !== undefined;
}

/** What a draft takes its steps from. */
export interface Pool {
  readonly context: DraftContext;
  readonly eligible: readonly Eligible[];
}

/** Seconds of steps at their shortest, and at full length. */
export function leastOf(filled: readonly Filled[]): number {
  return filled.reduce((sum, { least }) => sum + least, 0);
}

/** The steps a draft begins with: those that are pinned. */
export function pinnedSteps(context: DraftContext): readonly Filled[] {
  return (context.pinned ?? []).flatMap((step): readonly Filled[] => {
    const exercise = context.exercises.get(step.exerciseId);
    if (!exercise) return [];
    const seconds = layRoutine([step], context).steps[0]?.seconds ?? 0;
    const own = {
      ...step,
      locked: true,
      reasons: [{ code: 'draft.pinned' as const }],
      passedOver: [],
      isKept: true,
      points: 10,
    };
    return [{ ...own, own: step.settings, exercise, least: seconds, most: seconds }];
  });
}

/** Less for what two steps of the stage serve already. */
function withVariety(candidate: Candidate, filled: readonly Filled[]): Candidate {
  const { stage, goals } = candidate.exercise;
  const alike = filled.filter(
    ({ exercise }) => exercise.stage === stage && exercise.goals.some((goal) => goals.includes(goal)),
  );
  return alike.length < 2 ? candidate : { ...candidate, points: candidate.points + DRAFT_POINTS.thirdOfAKind };
}

/** Whether a step has no voice in it. */
function isSilent(exercise: Exercise): boolean {
  return !isSungWork(exercise) && exercise.work.kind !== 'spoken';
}

/** Whether one more such exercise fits what a draft holds: new ones, silent ones, and no tune twice. */
function fitsShape(exercise: Exercise, filled: readonly Filled[], context: DraftContext): boolean {
  const { mostNew, mostUnknown, mostSilent } = shapeOf(context);
  const countsNew = (one: Exercise): boolean => !context.known.has(one.id) && !isGentle(one);
  if (countsNew(exercise) && filled.filter((other) => countsNew(other.exercise)).length >= mostNew) return false;
  const isUnknown = ({ id }: Exercise): boolean => !context.known.has(id);
  if (isUnknown(exercise) && filled.filter((other) => isUnknown(other.exercise)).length >= mostUnknown) return false;
  const thorough = answerTo(context.approach, 'breath-share') === 'thorough' ? THOROUGH_BREATHS : 0;
  const isCoolDown = context.kind === 'cool-down';
  if (
    isSilent(exercise) &&
    !isCoolDown &&
    filled.filter((other) => isSilent(other.exercise)).length >= mostSilent + thorough
  )
    return false;
  const tune = tuneOf(exercise);
  return tune === null || !filled.some((other) => tuneOf(other.exercise) === tune);
}

/** The tune of an exercise, so that no two steps are sung to the same; none for glides and silent work. */
function tuneOf({ work }: Exercise): string | null {
  return work.kind === 'pattern' ? work.pattern : null;
}

/** Whether a step sounds the first bridge on file, or a note over it; true where none is on file. */
function reachesBridge({ highest }: Lengths, { voice }: DraftContext): boolean {
  const [bridge] = voiceOf(voice).bridges ?? [];
  return bridge === undefined || (highest ?? 0) >= bridge;
}

/** Why something else would be better at a place, if it can be had; null where nothing is to be said against it. */
function whySecondBest(
  found: Lengths,
  { isOverBridge = false }: DraftSlot,
  mostSeconds: number,
  context: DraftContext,
): WhyNotCode | null {
  if (found.isNarrow) return 'not.few-keys';
  if (isOverBridge && !reachesBridge(found, context)) return 'not.under-bridge';
  return found.least > mostSeconds ? 'not.large-share' : null;
}

/** An exercise that was looked at and not taken; where another suited better, that one is named. */
function notTaken({ id, name }: Exercise, code: WhyNotCode, better = name): PassedOver {
  return { exerciseId: id, reason: { code, values: { name: better } } };
}

/** Fills a place with the best that can be sung there within so many seconds; at a kept place else with the shortest. */
export function fillPlace(
  filled: readonly Filled[],
  slot: DraftSlot,
  room: number,
  { context, eligible }: Pool,
): readonly Filled[] {
  const taken = new Set(filled.map(({ exercise }) => exercise.id));
  const weighed = eligible
    .filter(({ exercise }) => exercise.stage === slot.stage && !taken.has(exercise.id))
    .filter(({ exercise }) => slot.only === undefined || exercise.id === slot.only)
    .filter(({ exercise }) => !slot.mustServe || exercise.goals.some((goal) => slot.goals?.includes(goal)))
    .filter(({ exercise }) => !slot.isSung || isSungWork(exercise))
    .filter(({ exercise }) => exercise.load <= (slot.mostLoad ?? Infinity))
    .filter(({ exercise }) => (slot.keep ?? false) || fitsShape(exercise, filled, context))
    .filter(({ exercise }) => hasWhatItNeeds(exercise, context, taken))
    .filter(({ exercise }) => !(isFastBreath(exercise) && filled.some((other) => isFastBreath(other.exercise))))
    .filter(({ exercise }) => filled.every((other) => opposedOn(exercise, other.exercise) === null))
    .filter(({ exercise }) => (slot.keep ?? slot.isUrgent ?? false) || mayBeMet(exercise, context))
    .map((one) => withVariety(weigh(one, slot, context), filled))
    .sort((a, b) => b.points - a.points);
  const tried: Tried[] = [];
  const passedOver: PassedOver[] = [];
  for (const candidate of slot.keep ? weighed : weighed.slice(0, MOST_TRIED)) {
    const { exercise } = candidate;
    const found = lengthsOf(exercise, filled, context);
    if (!found) {
      passedOver.push(notTaken(exercise, 'not.no-room'));
      continue;
    }
    const { keys, least } = found;
    if (!(slot.keep ?? false) && keys !== null && keys < FEWEST_KEYS) {
      passedOver.push(notTaken(exercise, 'not.few-keys'));
      continue;
    }
    const secondBest = whySecondBest(found, slot, stepShape(exercise, context).mostSeconds, context);
    tried.push({ candidate, ...found, isSecondBest: secondBest !== null });
    if (least <= room && secondBest === null) break;
    passedOver.push(notTaken(exercise, secondBest ?? 'not.no-time'));
  }
  const within = tried.filter(({ least }) => least <= room);
  // A place that need not be filled is rather left to the next stage than filled with a few keys.
  const fitting =
    within.find(({ isSecondBest }) => !isSecondBest) ?? within.find(({ isNarrow }) => slot.keep ?? !isNarrow);
  const chosen = fitting ?? (slot.keep ? [...tried].sort((a, b) => a.least - b.least)[0] : undefined);
  if (!chosen) return filled;
  const { exercise, reasons, points } = chosen.candidate;
  const { settings } = chosen;
  const others = weighed
    .filter(
      (other) =>
        other.exercise.id !== exercise.id && !passedOver.some(({ exerciseId }) => exerciseId === other.exercise.id),
    )
    .map((other) => notTaken(other.exercise, 'not.second-best', exercise.name));
  const step: Filled = {
    id: `draft-${exercise.id}`,
    exerciseId: exercise.id,
    settings,
    reasons: [
      ...reasons,
      ...(settings.tempo === undefined || context.known.has(exercise.id)
        ? []
        : [{ code: 'draft.at-learning-tempo' } as const]),
      ...(settings.narrowTo === undefined ? [] : [{ code: 'draft.narrowed' } as const]),
    ],
    passedOver: [...passedOver.filter(({ exerciseId }) => exerciseId !== exercise.id), ...others].slice(
      0,
      MOST_PASSED_OVER,
    ),
    own: settings,
    exercise,
    isKept: slot.keep ?? false,
    points:
      points +
      (slot.early ?? 0) +
      (slot.isUrgent ? DRAFT_POINTS.urgent : 0) +
      (turned(exercise, context).wantsMore ? DRAFT_POINTS.wantsMore : 0),
    least: chosen.least,
    most: chosen.most,
    ...(slot.place !== undefined && { place: slot.place }),
  };
  return [...filled, step];
}

/** A step with more set: for its length now, and for what a shorter one starts from. */
export function withSettings(step: Filled, settings: StepSettings): Filled {
  return { ...step, own: { ...step.own, ...settings }, settings: { ...step.settings, ...settings } };
}

/** Sets a ladder that ends at its top to come home again. */
export function bringHome(filled: readonly Filled[], stepId: string): readonly Filled[] {
  const up = filled.find(({ id, exercise }) => id === stepId && exercise.work.kind === 'pattern');
  return up ? filled.map((step) => (step === up ? withSettings(step, { travel: 'rise-return' }) : step)) : filled;
}
