import { STAGES } from '../limits/index.ts';
import { answerTo, spanOf, takesOverlay, type Exercise } from '../shelf/index.ts';
import { isAdultType } from '../voice/index.ts';
import { isOlderVoice } from './as-taught.ts';
import { sortOut, type Eligible } from './draft-candidates.ts';
import {
  BREATH_PLACES,
  DRAFT_PLANS,
  DRAFT_POINTS,
  GOAL_OVERLAYS,
  type DraftDay,
  type DraftSlot,
} from './draft-plan.data.ts';
import type { DraftContext, DraftedRoutine, DraftedStep } from './draft.types.ts';
import { bringHome, fillPlace, leastOf, pinnedSteps, usualOf, type Filled, type Pool } from './drafting.ts';
import { fitRoutine } from './fit-routine.ts';
import { servesGoals } from './kinds.ts';
import { layRoutine } from './lay-routine.ts';
import { reviewRoutine } from './review/review-routine.ts';

/** House choice: a draft takes steps until they would fill the minutes this many times at their usual length. */
const FULLNESS = 1.1;

function dayOf(context: DraftContext): DraftDay {
  const { conditions, occasion, kind, hoursToPerformance = Infinity, voice } = context;
  if (kind === 'cool-down') return kind;
  if (conditions.includes('recovering')) return 'recovering';
  if (conditions.includes('tired')) return 'tired';
  if (occasion === 'performance' || hoursToPerformance <= 24) return 'performance';
  if (kind === 'late') return kind;
  if (!isAdultType(voice.type) || (voice.age !== undefined && voice.age < 13)) return 'young';
  return isOlderVoice(context) ? 'older' : 'plain';
}

/** The plan of the day with as much breath work as the school wants. */
function planOf(context: DraftContext): readonly DraftSlot[] {
  const plan = DRAFT_PLANS[dayOf(context)];
  const { first = 0, most = Infinity } = BREATH_PLACES[answerTo(context.approach, 'breath-share') ?? ''] ?? {};
  const kept = plan.filter(({ keep }) => keep);
  const early = Array<DraftSlot>(first).fill({ stage: 'breath' });
  let breaths = 0;
  const rest = plan.filter(({ keep, stage }) => !keep && (stage !== 'breath' || (breaths += 1) <= most));
  return [...kept, ...early, ...rest];
}

/** The plan of the day, places for the goals right after what is never left out. */
function slotsOf(context: DraftContext, eligible: readonly Eligible[]): readonly DraftSlot[] {
  const { voice, goals = voice.goals, songNeeds = [], kind } = context;
  const plan = planOf(context);
  const wanted = servesGoals(kind)
    ? [...new Set([...songNeeds, ...goals])].filter((goal) => GOAL_OVERLAYS[goal] === undefined)
    : [];
  const forGoals = wanted.flatMap((goal): readonly DraftSlot[] => {
    const stages = plan.map(({ stage }) => stage);
    const serving = eligible.filter(({ exercise }) => exercise.goals.includes(goal) && stages.includes(exercise.stage));
    const [stage] = stages.filter((one) => serving.some(({ exercise }) => exercise.stage === one && one !== 'cool'));
    return stage ? [{ stage, goal }] : [];
  });
  const kept = plan.filter(({ keep }) => keep);
  const rest = [...plan.filter(({ keep }) => !keep)];
  for (const { stage } of forGoals) {
    const same = rest.findIndex((slot) => slot.stage === stage);
    if (same >= 0) rest.splice(same, 1);
  }
  // An hour holds more than one round of the plan.
  const ranked = [...forGoals, ...rest, ...rest].map((slot, index) => ({
    ...slot,
    early: Math.max(0, DRAFT_POINTS.mostEarly - index),
  }));
  return [...kept, ...ranked];
}

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
  const overlay = goal && GOAL_OVERLAYS[goal];
  const under = steps.find(
    ({ exercise, locked }) => !locked && takesOverlay(exercise) && exercise.stage !== 'occluded',
  );
  if (!goal || !overlay || !under) return steps;
  return steps.map((step) =>
    step === under
      ? {
          ...step,
          settings: { ...step.settings, overlay },
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

/** The steps in order, with their overlays, fitted to the minutes; what cannot be sung where it stands is let go. */
function assemble(filled: readonly Filled[], context: DraftContext): readonly Filled[] {
  let steps = singable(withOverlays(inOrder(filled), context), context);
  for (;;) {
    const fitted = fitRoutine(steps, context.minutes * 60, context, {
      keep: new Set(steps.filter(({ isKept }) => isKept).map(({ id }) => id)),
      worth: new Map(steps.map(({ id, points }) => [id, Math.max(1, points + 4)])),
      mayDrop: true,
    });
    const kept = steps.flatMap((step): readonly Filled[] => {
      const set = fitted.steps.find(({ id }) => id === step.id);
      return set ? [{ ...step, settings: set.settings }] : [];
    });
    const tooMuch = fitted.feasible
      ? undefined
      : kept.find(({ locked, exercise }) => !locked && exercise.stage !== 'cool');
    const sound = singable(tooMuch ? kept.filter((step) => step !== tooMuch) : kept, context);
    if (sound.length === kept.length) return kept;
    steps = sound;
  }
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
    const next = isShort ? fillPlace(home, { stage: 'occluded', isUrgent: true }, room, { context, eligible }) : home;
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
  for (const slot of slots.filter(({ keep }) => !keep)) {
    if (usualOf(filled, minutes) >= budget * FULLNESS) break;
    filled = fillPlace(filled, slot, budget - leastOf(filled), pool);
  }
  const steps = mended(filled, pool);
  const { seconds } = layRoutine(steps, context);
  const overBy = seconds - budget;
  return { steps: steps.map(drafted), seconds, seed, leftOut, ...(overBy > 1e-6 && { overBy }) };
}

/** A filled place as it is handed out; only pinned steps are locked. */
function drafted({ id, exerciseId, settings, locked, block, reason, passedOver }: Filled): DraftedStep {
  const own = { ...(locked && { locked }), ...(block !== undefined && { block }) };
  return { id, exerciseId, settings, reason, passedOver, ...own };
}
