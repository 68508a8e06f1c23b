import { hasWhatItNeeds } from '../day/index.ts';
import {
  type LaidStep,
  type RoutineContext,
  type RoutineStep,
  isSingable,
  layRoutine,
  outwardKeys,
} from '../routine/index.ts';
import { USUAL_RULES } from '../limits/index.ts';
import { isNoLouder, isPossibleWith, obstacleTo, isSungWork, spanOf, type Exercise } from '../shelf/index.ts';
import type { Recipe, RecipePart } from './recipes.data.ts';

function isWithin(exercise: Exercise, part: RecipePart, { noise, without, mostSpan }: Recipe): boolean {
  if (exercise.stage !== part.stage || exercise.optIn || exercise.grit) return false;
  if (part.mostLoad !== undefined && exercise.load > part.mostLoad) return false;
  if (noise && !isNoLouder(exercise, noise)) return false;
  if (without === 'car' && !isPossibleWith(exercise, 'in-the-car')) return false;
  if (without === 'kit' && exercise.kit.length > 0) return false;
  return mostSpan === undefined || (spanOf(exercise) ?? 0) <= mostSpan;
}

function worthOf(exercise: Exercise, part: RecipePart, { voice, known }: RoutineContext): number {
  const serves = (goals: readonly string[] = []): boolean => goals.some((goal) => exercise.goals.includes(goal));
  return (serves(part.goals) ? 4 : 0) + (known.has(exercise.id) ? 2 : 0) + (serves(voice.goals) ? 1 : 0);
}

/** Close to a performance nothing new is begun, and what comes before an exercise has come. */
function isReady(exercise: Exercise, context: RoutineContext, taken: ReadonlySet<string>): boolean {
  const { known, hoursToPerformance = Infinity, rules = USUAL_RULES } = context;
  if (obstacleTo(exercise, context.voice)) return false;
  if (hoursToPerformance <= rules.performance.nothingNewHours && !known.has(exercise.id)) return false;
  return hasWhatItNeeds(exercise, context, taken);
}

/** A key fewer of the longest ladder that can spare one; `null` where none can. */
function shortened(steps: readonly RoutineStep[], laid: readonly LaidStep[]): readonly RoutineStep[] | null {
  const [longest] = laid
    .filter((step) => {
      const { work } = step.exercise;
      return work.kind === 'pattern' && outwardKeys(step) > work.fewestKeys;
    })
    .sort((a, b) => b.seconds - a.seconds);
  if (!longest) return null;
  const maxKeys = outwardKeys(longest) - 1;
  return steps.map((step) => (step.id === longest.id ? { ...step, settings: { ...step.settings, maxKeys } } : step));
}

/** Without the last step that may go: those kept and the way home stay. */
function withoutOne(steps: readonly RoutineStep[], kept: ReadonlySet<string>): readonly RoutineStep[] | null {
  const gone = [...steps].reverse().find(({ id }) => !kept.has(id));
  return gone ? steps.filter(({ id }) => id !== gone.id) : null;
}

/**
 * Fills a recipe for one voice today: at each place the exercise that serves it best and can be sung, then keys fewer
 * until the minutes hold it, then steps fewer, those the recipe keeps last of all.
 *
 * @param newId gives each step its id
 * @returns steps in the recipe's order; places nothing can fill are left out
 */
export function fillRecipe(recipe: Recipe, context: RoutineContext, newId: () => string): readonly RoutineStep[] {
  const taken = new Set<string>();
  const kept = new Set<string>();
  let sungSteps = 0;
  let steps: readonly RoutineStep[] = recipe.parts.flatMap((part) => {
    const [best] = [...context.exercises.values()]
      .filter(
        (exercise) => isWithin(exercise, part, recipe) && !taken.has(exercise.id) && isReady(exercise, context, taken),
      )
      .map((exercise) => ({ exercise, worth: worthOf(exercise, part, context) }))
      .sort((a, b) => b.worth - a.worth)
      .filter(({ exercise }) => isSingable(exercise, context, sungSteps));
    if (!best) return [];
    taken.add(best.exercise.id);
    if (isSungWork(best.exercise)) sungSteps += 1;
    const step = { id: newId(), exerciseId: best.exercise.id, settings: {} };
    if (part.keep) kept.add(step.id);
    return [step];
  });
  for (;;) {
    const laid = layRoutine(steps, context);
    // A step that left may have moved another into the modest beginning, where it does not fit.
    const broken = laid.steps.find(({ problem }) => problem);
    if (broken) {
      steps = steps.filter(({ id }) => id !== broken.id);
      continue;
    }
    if (laid.seconds <= recipe.minutes * 60) return steps;
    const less = shortened(steps, laid.steps) ?? withoutOne(steps, kept);
    if (!less) return steps;
    steps = less;
  }
}
