import { isPossibleWith, spanOf, type Exercise } from '../shelf/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import type { RoutineContext, RoutineStep } from '../routine/index.ts';
import { compose } from './compose.ts';
import { sortOut } from './draft-candidates.ts';
import type { DraftContext } from './draft.types.ts';
import type { Recipe } from './recipes.data.ts';

/** A recipe is filled the same way each time, and less by chance than by merit; another draft is what the draft is for. */
const SEED = 1;
const CHANCE = 0.25;

function isWithin(exercise: Exercise, { without, mostSpan }: Recipe): boolean {
  if (without === 'car' && !isPossibleWith(exercise, 'in-the-car')) return false;
  if (without === 'kit' && exercise.kit.length > 0) return false;
  return mostSpan === undefined || (spanOf(exercise) ?? 0) <= mostSpan;
}

/**
 * Whether a recipe is made for a voice.
 *
 * @example isMadeFor(young voice, a bass of 67) // false
 */
export function isMadeFor({ forWhom = {} }: Pick<Recipe, 'forWhom'>, voice: VoiceFile): boolean {
  const { voices, styles, fromAge, underAge } = forWhom;
  const { type, age, style, otherStyles = [] } = voice;
  if (voices && !voices.includes(type)) return false;
  if (styles && ![style, ...otherStyles].some((one) => styles.includes(one))) return false;
  if (fromAge !== undefined && (age ?? 0) < fromAge) return false;
  return underAge === undefined || (age !== undefined && age < underAge) || (age === undefined && type === 'treble');
}

/**
 * Fills a recipe for one voice today as a draft is filled, but with the places of the recipe, in their order.
 *
 * @param newId gives each step its id
 * @returns steps within the minutes; places nothing can fill are left out, and so are the last ones where time is short
 */
export function fillRecipe(recipe: Recipe, context: RoutineContext, newId: () => string): readonly RoutineStep[] {
  const { minutes, kind, noise, parts } = recipe;
  const draft: DraftContext = { ...context, minutes, kind, seed: SEED, ...(noise && { noise }) };
  const eligible = sortOut(draft)
    .eligible.filter(({ exercise }) => isWithin(exercise, recipe))
    .map(({ exercise, chance }) => ({ exercise, chance: chance * CHANCE }));
  const slots = parts.map((part, place) => ({ ...part, place }));
  const howMany = { wanted: parts.length, most: parts.length };
  return compose(slots, { context: draft, eligible }, howMany).map(({ exerciseId, settings }) => ({
    id: newId(),
    exerciseId,
    settings,
  }));
}
