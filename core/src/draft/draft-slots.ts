import { dayIs, strongest } from '../voice/index.ts';
import { isOlderVoice, servesGoals } from '../day/index.ts';
import { USUAL_RULES, type Stage } from '../limits/index.ts';
import { answerTo, isSungWork, type Exercise } from '../shelf/index.ts';
import type { Eligible } from './draft-candidates.ts';
import {
  BREATH_PLACES,
  DRAFT_PLANS,
  DRAFT_POINTS,
  GOAL_OVERLAYS,
  type DraftDay,
  type DraftSlot,
} from './draft-plan.data.ts';
import { WANTS } from './draft-shape.data.ts';
import { isForYoung, shapeOf } from './draft-shape.ts';
import type { DraftContext } from './draft.types.ts';

function dayOf(context: DraftContext): DraftDay {
  const { conditions, occasion, kind, hoursToPerformance = Infinity, rules = USUAL_RULES } = context;
  if (kind === 'cool-down') return kind;
  const plan = strongest(conditions, 'plan');
  if (plan) return plan;
  if (occasion === 'performance' || hoursToPerformance <= rules.performance.closeHours) return 'performance';
  if (kind === 'late') return kind;
  if (isForYoung(context)) return 'young';
  return isOlderVoice(context) ? 'older' : 'plain';
}

/** The plan of the day in three parts: what is always there, the early breath work a school wants, and the rest. */
function planOf(context: DraftContext): Readonly<Record<'kept' | 'early' | 'rest', readonly DraftSlot[]>> {
  const plan = DRAFT_PLANS[dayOf(context)];
  const { first = 0, most = Infinity } = BREATH_PLACES[answerTo(context.approach, 'breath-share') ?? ''] ?? {};
  const kept = plan.filter(({ keep }) => keep);
  const early = Array<DraftSlot>(first).fill({ stage: 'breath' });
  let breaths = 0;
  const rest = plan.filter(({ keep, stage }) => !keep && (stage !== 'breath' || (breaths += 1) <= most));
  return { kept, early, rest };
}

/** Places for what the student wants: from ten minutes on so many that it takes a third of what is sung. */
function placesForWants(
  stages: readonly Stage[],
  eligible: readonly Eligible[],
  context: DraftContext,
): readonly DraftSlot[] {
  const { voice, goals = voice.goals, songNeeds = [], kind, minutes } = context;
  if (!servesGoals(kind)) return [];
  const wanted = [...new Set([...songNeeds, ...goals])].filter((goal) => GOAL_OVERLAYS[goal] === undefined);
  const places = wanted.map((goal): readonly DraftSlot[] => {
    const serving = eligible.filter(({ exercise }) => exercise.goals.includes(goal) && exercise.stage !== 'cool');
    const stagesOf = (isOne: (exercise: Exercise) => boolean): readonly Stage[] => {
      const found = new Set(serving.filter(({ exercise }) => isOne(exercise)).map(({ exercise }) => exercise.stage));
      return stages.filter((stage) => found.has(stage));
    };
    // What an exercise is there for comes before what it serves by the way, and voice before silent work.
    return [
      ...stagesOf((exercise) => isSungWork(exercise) && exercise.goals[0] === goal),
      ...stagesOf(isSungWork),
      ...stagesOf(() => true),
    ].map((stage) => ({ stage, goals: [goal], mustServe: true }));
  });
  const count = minutes < WANTS.fromMinutes ? wanted.length : Math.ceil(shapeOf(context).wanted * WANTS.share);
  const rounds = Math.max(0, ...places.map(({ length }) => length));
  const inTurn = Array.from({ length: rounds }, (_, round) => places.flatMap((list) => list[round] ?? [])).flat();
  return inTurn.slice(0, Math.max(wanted.length, count));
}

/** The plan of the day, places for the wants right after what is never left out. */
export function slotsOf(context: DraftContext, eligible: readonly Eligible[]): readonly DraftSlot[] {
  const { kept, early, rest: usual } = planOf(context);
  const rest = [...usual];
  const forWants = placesForWants([...new Set([...early, ...rest].map(({ stage }) => stage))], eligible, context);
  for (const { stage } of forWants) {
    const same = rest.findIndex((slot) => slot.stage === stage);
    if (same >= 0) rest.splice(same, 1);
  }
  const isWhole = context.minutes >= WANTS.fromMinutes && servesGoals(context.kind);
  // From ten minutes on the whole range is visited and the bridge is crossed, whatever else there is room for.
  const wide: readonly DraftSlot[] =
    isWhole && !dayIs(context.conditions, 'low') ? [{ stage: 'occluded', isWide: true }] : [];
  const registers = rest.findIndex(({ stage }) => stage === 'registers');
  const over: readonly DraftSlot[] =
    isWhole && registers >= 0 ? rest.splice(registers, 1).map((slot) => ({ ...slot, isOverBridge: true })) : [];
  // An hour holds more than one round of the plan.
  const ranked = [...wide, ...early, ...over, ...forWants, ...rest, ...rest].map((slot, index) => ({
    ...slot,
    early: Math.max(0, DRAFT_POINTS.mostEarly - index),
  }));
  return [...kept, ...ranked];
}
