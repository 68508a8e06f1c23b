export { answerChanges, type AnswerChange, type Answers, type StepChange } from './answer-changes.ts';
export { copyRoutine, type CopiedRoutine, type CopiedStep } from './copy-routine.ts';
export { draftRoutine } from './draft-routine.ts';
export type {
  DraftCode,
  DraftContext,
  DraftedRoutine,
  DraftedStep,
  Missing,
  MissingCode,
  PassedOver,
  WhyNotCode,
} from './draft.types.ts';
export { fillRecipe, isMadeFor } from './fill-recipe.ts';
export { purposeOf } from './purpose.ts';
export { RECIPES, type Recipe, type RecipePart } from './recipes.data.ts';
export { recipeParts, templateSteps } from './template.ts';
export { recipePartSchema, templateSchema, type KeptPart, type KeptTemplate } from './template.schema.ts';
