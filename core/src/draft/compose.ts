import { dayIs } from '../voice/index.ts';
import { isOlderVoice } from '../day/index.ts';
import { STAGES, type Stage } from '../limits/index.ts';
import { isSungWork, overlayFor, spanOf, takesOverlay, type Exercise } from '../shelf/index.ts';
import { fitRoutine } from '../fit/index.ts';
import { reviewRoutine } from '../review/index.ts';
import { layRoutine } from '../routine/index.ts';
import { withCoolDown, withMoreCoolDown } from './cool-down.ts';
import { GOAL_OVERLAYS, type DraftSlot } from './draft-plan.data.ts';
import { WANTS } from './draft-shape.data.ts';
import { shapeOf, stepShape } from './draft-shape.ts';
import type { DraftContext } from './draft.types.ts';
import { bringHome, fillPlace, leastOf, pinnedSteps, withSettings, type Filled, type Pool } from './drafting.ts';
import { risesLate, withMorningRise } from './morning-rise.ts';
import { smoothJumps } from './smooth-jumps.ts';

/**
 * Steps in the order of their stages, the lighter and narrower first. Where the places have an order of their own, what
 * came without a place stands with its stage, the cool-down at the end.
 */
function inOrder(steps: readonly Filled[]): readonly Filled[] {
  const placed = steps.filter(({ place }) => place !== undefined);
  const placeOf = ({ place, exercise: { stage } }: Filled): number =>
    place ?? Math.max(-1, ...placed.filter(({ exercise }) => exercise.stage === stage).map((step) => step.place ?? 0));
  return [...steps].sort(
    (a, b) =>
      placeOf(a) - placeOf(b) ||
      STAGES.indexOf(a.exercise.stage) - STAGES.indexOf(b.exercise.stage) ||
      a.exercise.load - b.exercise.load ||
      (spanOf(a.exercise) ?? 0) - (spanOf(b.exercise) ?? 0),
  );
}

/** A jaw or posture goal lies over the first modest step that is sung, which is worth more than a step of its own. */
function withOverlays(steps: readonly Filled[], context: DraftContext): readonly Filled[] {
  const { goals = context.voice.goals } = context;
  const goal = goals.find((one) => GOAL_OVERLAYS[one] !== undefined);
  const under = steps.find(
    ({ exercise, locked }) =>
      !locked && takesOverlay(exercise) && isSungWork(exercise) && exercise.stage !== 'occluded',
  );
  if (!goal || !under) return steps;
  const overlay = overlayFor(under.exercise, GOAL_OVERLAYS[goal], context)?.id;
  if (!overlay) return steps;
  return steps.map((step) =>
    step === under
      ? {
          ...withSettings(step, { overlay }),
          reasons: [...step.reasons, { code: 'draft.lies-over', values: { goal: { word: goal, of: 'goal' } } }],
        }
      : step,
  );
}

/** Steps that can be sung where they stand; what another’s leaving broke goes as well. */
function singable(steps: readonly Filled[], context: DraftContext): readonly Filled[] {
  const broken = layRoutine(steps, context).steps.find(
    ({ problem, id }) => problem && !steps.some((step) => step.id === id && step.locked),
  );
  return broken
    ? singable(
        steps.filter(({ id }) => id !== broken.id),
        context,
      )
    : steps;
}

/** What a step is worth in the fit: minutes go to what is wanted first. House choice. */
function worthOf({ points, exercise, isFavoured }: Filled, context: DraftContext): number {
  return Math.max(1, points + 4 + (isFavoured ? FAVOUR : 0)) * (isWanted(exercise, context) ? WANTS.weight : 1);
}

function isWanted(exercise: Exercise, { voice, goals = voice.goals, minutes }: DraftContext): boolean {
  return minutes >= WANTS.fromMinutes && exercise.goals.some((goal) => goals.includes(goal));
}

/** House choice: points of a step that minutes go to before anything else, and how far it may be stretched. */
const FAVOUR = 30;
const FAVOUR_STRETCH = 1.3;

/** The steps in order, with their overlays, fitted to the minutes; what cannot be sung where it stands is let go. */
function assemble(filled: readonly Filled[], context: DraftContext, stretch = 1): readonly Filled[] {
  const ordered = singable(withOverlays(inOrder(filled), context), context);
  const risen = withMorningRise(ordered, context);
  const steps = fitted(risen, context, stretch);
  return risen === ordered || risesLate(steps, context) ? steps : fitted(ordered, context, stretch);
}

/** Ordered steps fitted to the minutes, without far jumps. */
function fitted(ordered: readonly Filled[], context: DraftContext, stretch: number): readonly Filled[] {
  const favours = new Set(ordered.filter(({ isFavoured }) => isFavoured).map(({ exercise }) => exercise));
  let steps = smoothJumps(ordered, context);
  for (;;) {
    steps = withCoolDown(steps, context);
    const fit = fitRoutine(steps.map(asFixed), context.minutes * 60, context, {
      shapeOf: (exercise) => ({
        ...stepShape(exercise, context, favours.has(exercise) ? Math.max(stretch, FAVOUR_STRETCH) : stretch),
        ...(isWanted(exercise, context) && { leastShare: WANTS.leastShare }),
      }),
      keep: new Set(steps.filter(({ isKept }) => isKept).map(({ id }) => id)),
      worth: new Map(steps.map((step) => [step.id, worthOf(step, context)])),
      mayDrop: true,
    });
    const kept = steps.flatMap((step): readonly Filled[] => {
      const set = fit.steps.find(({ id }) => id === step.id);
      return set ? [{ ...step, settings: set.settings }] : [];
    });
    const tooMuch = fit.feasible
      ? undefined
      : kept.find(({ locked, exercise }) => !locked && exercise.stage !== 'cool');
    const sound = singable(tooMuch ? kept.filter((step) => step !== tooMuch) : kept, context);
    if (sound.length === kept.length) return kept;
    steps = sound;
  }
}

/** A step whose length is laid by is left alone by the fit. */
function asFixed(step: Filled): Filled {
  return step.isFixed ? { ...step, locked: true } : step;
}

/** House choice: times a draft is looked over and mended before it is handed out. */
const MOST_MENDED = 6;

/** Occluded work that minutes go to before anything else: it is short, and there is no place for more of it. */
function favoured(steps: readonly Filled[]): readonly Filled[] {
  const isOccluded = ({ exercise }: Filled): boolean => exercise.stage === 'occluded';
  if (steps.some((step) => isOccluded(step) && step.isFavoured)) return steps;
  return steps.map((step) => (isOccluded(step) ? { ...step, isFavoured: true } : step));
}

/** Seconds that the minutes have beside the steps that stay whatever happens. */
function roomBeside(steps: readonly Filled[], { minutes }: DraftContext): number {
  return minutes * 60 - leastOf(steps.filter(({ isKept }) => isKept));
}

/** Another exercise of its stage for a step that cannot stay. */
function replaced(all: readonly Filled[], going: Filled, { context, eligible }: Pool): readonly Filled[] {
  const others = all.filter(({ id }) => id !== going.id);
  const room = roomBeside(others, context);
  const place = going.place === undefined ? {} : { place: going.place };
  return fillPlace(others, { stage: going.exercise.stage, keep: true, ...place }, room, { context, eligible });
}

/** A draft looked over as a routine made by hand would be: more occluded work where it is short, and no end up high. */
function mended(filled: readonly Filled[], pool: Pool): readonly Filled[] {
  const { context } = pool;
  let { eligible } = pool;
  let all = filled;
  let steps = assemble(all, context);
  for (let time = 0; time < MOST_MENDED; time += 1) {
    const lost = all.find(({ id, isKept, locked }) => isKept && !locked && !steps.some((step) => step.id === id));
    const findings = lost ? [] : reviewRoutine({ ...context, steps });
    const left = findings.find(({ rule }) => rule === 'left-high' || rule === 'nothing-comes-down')?.stepId;
    // What could not be sung where it came to stand, or is a glide that ends up high: another of its stage may do.
    const glide = all.find(({ id, exercise, locked }) => id === left && !locked && exercise.work.kind === 'siren');
    const going = lost ?? glide;
    if (going) {
      eligible = eligible.filter(({ exercise }) => exercise.id !== going.exerciseId);
      all = replaced(all, going, { context, eligible });
      steps = assemble(all, context);
      continue;
    }
    const isShort = findings.some(({ rule }) => rule === 'little-occluded');
    const home = left === undefined ? all : bringHome(all, left);
    const room = roomBeside(home, context);
    // Enough occluded work for a voice that needs it goes before few exercises.
    const isGentleDay = isOlderVoice(context) || dayIs(context.conditions, 'worn');
    const hasRoom = all.length < shapeOf(context).most + (isGentleDay ? 1 : 0);
    const more = (): readonly Filled[] =>
      hasRoom ? fillPlace(home, { stage: 'occluded', isUrgent: true }, room, { context, eligible }) : favoured(home);
    const next = isShort ? more() : home;
    if (next === all) return steps;
    all = next;
    steps = assemble(all, context);
  }
  return steps;
}

/** House choice: a draft shorter than this share of its minutes is stretched, by so much and then by so much. */
const SHORT_SHARE = 0.95;
const STRETCHES = [1.3, 1.6];

/** Longer steps where the usual ones leave minutes empty. */
function stretched(steps: readonly Filled[], context: DraftContext): readonly Filled[] {
  let all = steps;
  for (const stretch of STRETCHES) {
    if (layRoutine(all, context).seconds >= context.minutes * 60 * SHORT_SHARE) return all;
    all = assemble(all, context, stretch);
  }
  return all;
}

/** Fills the other places: as many as the shape of the draft wants, and more only where these cannot fill the minutes. */
function withRest(
  kept: readonly Filled[],
  slots: readonly DraftSlot[],
  pool: Pool,
  { wanted, most }: HowMany,
): readonly Filled[] {
  const budget = pool.context.minutes * 60;
  let filled = kept;
  const back = new Map<Stage, number>();
  for (const slot of slots) {
    const isFull = filled.reduce((sum, step) => sum + step.most, 0) >= budget;
    if (filled.length >= (isFull ? wanted : most)) break;
    // A stage that came back from the last run needs its usual place no more.
    const spared = back.get(slot.stage) ?? 0;
    if (slot.only === undefined && spared > 0) {
      back.set(slot.stage, spared - 1);
      continue;
    }
    const next = fillPlace(filled, slot, budget - leastOf(filled), pool);
    if (slot.only !== undefined && next !== filled) back.set(slot.stage, spared + 1);
    filled = next;
  }
  return filled;
}

/** How many exercises are aimed at, and how many where these cannot fill the minutes. */
type HowMany = Pick<ReturnType<typeof shapeOf>, 'wanted' | 'most'>;

/**
 * Fills places in the order in which they are given room, and fits what was found to the minutes: kept places first, then
 * the cool-down, then the rest.
 *
 * @returns steps in the order of their stages, or of the places where these have one; none where nothing can be sung
 */
export function compose(
  slots: readonly DraftSlot[],
  pool: Pool,
  howMany: HowMany = shapeOf(pool.context),
): readonly Filled[] {
  const { context } = pool;
  const budget = context.minutes * 60;
  let filled = pinnedSteps(context);
  const keeps = slots.filter(({ keep, stage }) => keep && !filled.some(({ exercise }) => exercise.stage === stage));
  for (const [index, slot] of keeps.entries())
    filled = fillPlace(filled, slot, (budget - leastOf(filled)) / (keeps.length - index), pool);
  // In two minutes only the shortest there is may fit.
  if (leastOf(filled) > budget)
    filled = keeps.reduce((before, slot) => fillPlace(before, slot, 0, pool), pinnedSteps(context));
  if (slots.some(({ stage }) => stage === 'cool')) filled = withMoreCoolDown(filled, pool);
  const rest = slots.filter(({ keep }) => !keep);
  return stretched(mended(withRest(filled, rest, pool, howMany), pool), context);
}
