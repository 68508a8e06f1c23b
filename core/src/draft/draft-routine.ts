import { STAGES, USUAL_RULES, type Stage } from '../limits/index.ts';
import { fitRoutine, layRoutine, reviewRoutine } from '../routine/index.ts';
import { overlayFor, spanOf, takesOverlay, type Exercise } from '../shelf/index.ts';
import { withCoolDown, withMoreCoolDown } from './cool-down.ts';
import { sortOut, type Eligible } from './draft-candidates.ts';
import { GOAL_OVERLAYS, type DraftSlot } from './draft-plan.data.ts';
import { POOR_EASE, WANTS } from './draft-shape.data.ts';
import { shapeOf, stepShape } from './draft-shape.ts';
import { slotsOf } from './draft-slots.ts';
import type { DraftContext, DraftedRoutine, DraftedStep } from './draft.types.ts';
import { bringHome, fillPlace, leastOf, pinnedSteps, withSettings, type Filled, type Pool } from './drafting.ts';
import { risesLate, withMorningRise } from './morning-rise.ts';
import { smoothJumps } from './smooth-jumps.ts';

/** Steps in the order of their stages, the lighter and narrower first. */
function inOrder<T extends { readonly exercise: Exercise }>(steps: readonly T[]): readonly T[] {
  return [...steps].sort(
    ({ exercise: a }, { exercise: b }) =>
      STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage) || a.load - b.load || (spanOf(a) ?? 0) - (spanOf(b) ?? 0),
  );
}

/** A jaw or posture goal lies over the first modest step that is sung, which is worth more than a step of its own. */
function withOverlays(steps: readonly Filled[], { voice, goals = voice.goals }: DraftContext): readonly Filled[] {
  const goal = goals.find((one) => GOAL_OVERLAYS[one] !== undefined);
  const under = steps.find(
    ({ exercise, locked }) => !locked && takesOverlay(exercise) && exercise.stage !== 'occluded',
  );
  if (!goal || !under) return steps;
  const overlay = overlayFor(under.exercise, GOAL_OVERLAYS[goal], voice.cautions)?.id;
  if (!overlay) return steps;
  return steps.map((step) =>
    step === under
      ? {
          ...withSettings(step, { overlay }),
          reason: `${step.reason} The goal ${goal.replaceAll('-', ' ')} lies over it.`,
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
function worthOf({ points, exercise }: Filled, context: DraftContext): number {
  return Math.max(1, points + 4) * (isWanted(exercise, context) ? WANTS.weight : 1);
}

function isWanted(exercise: Exercise, { voice, goals = voice.goals, minutes }: DraftContext): boolean {
  return minutes >= WANTS.fromMinutes && exercise.goals.some((goal) => goals.includes(goal));
}

/** The steps in order, with their overlays, fitted to the minutes; what cannot be sung where it stands is let go. */
function assemble(filled: readonly Filled[], context: DraftContext, stretch = 1): readonly Filled[] {
  const ordered = singable(withOverlays(inOrder(filled), context), context);
  const risen = withMorningRise(ordered, context);
  const steps = fitted(risen, context, stretch);
  return risen === ordered || risesLate(steps, context) ? steps : fitted(ordered, context, stretch);
}

/** Ordered steps fitted to the minutes, without far jumps. */
function fitted(ordered: readonly Filled[], context: DraftContext, stretch: number): readonly Filled[] {
  let steps = smoothJumps(ordered, context);
  for (;;) {
    steps = withCoolDown(steps, context);
    const fit = fitRoutine(steps.map(asFixed), context.minutes * 60, context, {
      shapeOf: (exercise) => ({
        ...stepShape(exercise, context, stretch),
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

/** A draft looked over as a routine made by hand would be: more occluded work where it is short, and no end up high. */
function mended(filled: readonly Filled[], pool: Pool): readonly Filled[] {
  const { context } = pool;
  let { eligible } = pool;
  let all = filled;
  let steps = assemble(all, context);
  for (let time = 0; time < MOST_MENDED; time += 1) {
    const lost = all.find(({ id, isKept, locked }) => isKept && !locked && !steps.some((step) => step.id === id));
    if (lost) {
      // It could not be sung where it came to stand; another of its stage may.
      eligible = eligible.filter(({ exercise }) => exercise.id !== lost.exerciseId);
      const others = all.filter(({ id }) => id !== lost.id);
      const room = context.minutes * 60 - leastOf(others.filter(({ isKept }) => isKept));
      all = fillPlace(others, { stage: lost.exercise.stage, keep: true }, room, { context, eligible });
      steps = assemble(all, context);
      continue;
    }
    const findings = reviewRoutine({ ...context, steps });
    const left = findings.find(({ rule }) => rule === 'left-high')?.stepId;
    const isShort = findings.some(({ rule }) => rule === 'little-occluded');
    const home = left === undefined ? all : bringHome(all, left);
    const room = context.minutes * 60 - leastOf(home.filter(({ isKept }) => isKept));
    // Enough occluded work for a voice that needs it goes before few exercises.
    const isGentleDay = context.conditions.some((one) => one === 'tired' || one === 'recovering');
    const hasRoom = all.length < shapeOf(context).most + (isGentleDay ? 1 : 0);
    const next =
      isShort && hasRoom ? fillPlace(home, { stage: 'occluded', isUrgent: true }, room, { context, eligible }) : home;
    if (next === all) return steps;
    all = next;
    steps = assemble(all, context);
  }
  return steps;
}

/**
 * Proposes a whole routine: what is allowed today first, then what serves goals and song best, with variety and little
 * explaining; fitted to the minutes exactly. The same inputs and seed give the same routine.
 *
 * @returns steps in order, each with its reason; `leftOut` with what may not be sung today and why; no step at all where
 * the shelf has nothing for this voice today
 */
export function draftRoutine(context: DraftContext): DraftedRoutine {
  const { minutes, seed } = context;
  const budget = minutes * 60;
  const { eligible, leftOut } = sortOut(context);
  const pool: Pool = { context, eligible };
  const slots = slotsOf(context, eligible);
  let filled = pinnedSteps(context);
  const keeps = slots.filter(({ keep, stage }) => keep && !filled.some(({ exercise }) => exercise.stage === stage));
  for (const [index, slot] of keeps.entries())
    filled = fillPlace(filled, slot, (budget - leastOf(filled)) / (keeps.length - index), pool);
  // In two minutes only the shortest there is may fit.
  if (leastOf(filled) > budget)
    filled = keeps.reduce((before, slot) => fillPlace(before, slot, 0, pool), pinnedSteps(context));
  filled = withMoreCoolDown(filled, pool);
  filled = withRest(filled, [...comingBack(context, eligible), ...slots.filter(({ keep }) => !keep)], pool);
  const steps = stretched(mended(filled, pool), context);
  const { seconds } = layRoutine(steps, context);
  const overBy = seconds - budget;
  return { steps: steps.map(drafted), seconds, seed, leftOut, ...(overBy > 1e-6 && { overBy }) };
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
function withRest(kept: readonly Filled[], slots: readonly DraftSlot[], pool: Pool): readonly Filled[] {
  const { context } = pool;
  const budget = context.minutes * 60;
  const { wanted, most } = shapeOf(context);
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

/**
 * Places for what comes back from the last run: about two thirds of it, chosen by the seed. What went poorly comes back
 * as its easier relative.
 */
function comingBack(context: DraftContext, eligible: readonly Eligible[]): readonly DraftSlot[] {
  const [last = []] = context.recent ?? [];
  const may = new Map(eligible.map((one) => [one.exercise.id, one]));
  const { wanted } = shapeOf(context);
  const easier = (id: string): string | undefined =>
    context.exercises.get(id)?.relatives.find((relative) => relative.as === 'easier')?.id;
  const isPoor = (id: string): boolean => (context.ease?.get(id) ?? 5) <= POOR_EASE;
  const ids = last.map((id) => (isPoor(id) ? easier(id) : id)).filter((id) => id !== undefined && may.has(id));
  return [...new Set(ids)]
    .flatMap((id) => may.get(id ?? '') ?? [])
    .sort((a, b) => b.chance - a.chance)
    .slice(0, Math.round(Math.min(wanted, last.length) * (context.rules ?? USUAL_RULES).draft.comesBack))
    .map(({ exercise: { id, stage } }) => ({ stage, only: id }));
}

/** A filled place as it is handed out; only pinned steps are locked. */
function drafted({ id, exerciseId, settings, locked, block, reason, passedOver }: Filled): DraftedStep {
  const own = { ...(locked && { locked }), ...(block !== undefined && { block }) };
  return { id, exerciseId, settings, reason, passedOver, ...own };
}
