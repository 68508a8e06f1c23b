import { UnstyledButton } from '@mantine/core';
import { copyRoutine, fillRecipe, isMadeFor, RECIPES, type Recipe, type RoutineStep } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { dayContext, ofKind, useStudioAnswers } from '../../api/lay.ts';
import { stepsOf, type Routine } from '../../api/routines.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { templatesQuery, type Template } from '../../api/templates.queries.ts';
import { useNow } from '../../ui/clock.ts';
import classes from './students.module.css';

type Start = Pick<Routine, 'name' | 'kind' | 'minutes' | 'steps'>;
type Kind = Recipe['kind'];

/** One of them, and how it is filled. */
interface Choice extends Pick<Recipe, 'id' | 'name' | 'minutes'> {
  readonly make: () => Start;
}

interface RecipeListProps {
  readonly today: StudentToday;
  readonly onFilled: (start: Start) => void;
}

/** Fills recipes and templates for one voice today. */
function useFill(today: StudentToday): {
  readonly isReady: boolean;
  readonly fromRecipe: (recipe: Recipe) => readonly RoutineStep[];
  readonly fromSteps: (steps: readonly RoutineStep[], kind: Kind) => readonly RoutineStep[];
} {
  const studio = useStudioAnswers();
  const shelf = useQuery(shelfQuery).data;
  const now = useNow(600);
  const standing = new Map([...(shelf ?? [])].filter(([, { own }]) => !own?.isArchived));
  const contextOf = (kind: Kind): Parameters<typeof copyRoutine>[1] => ({
    ...dayContext(today, studio, standing, now),
    ...ofKind(kind),
  });
  return {
    isReady: shelf !== undefined,
    fromRecipe: (recipe) => fillRecipe(recipe, contextOf(recipe.kind), () => v7()),
    fromSteps: (steps, kind) => copyRoutine(steps, contextOf(kind), contextOf(kind), v7).steps,
  };
}

/** Routines to begin with, the studio’s own and those that ship: each is made for this voice and then stands on the bench. */
export function RecipeList({ today, onFilled }: RecipeListProps): ReactElement {
  const { t } = useTranslation();
  const { isReady, fromRecipe, fromSteps } = useFill(today);
  const templates = useQuery(templatesQuery).data ?? [];
  const start = ({ name, kind, minutes }: Omit<Start, 'steps'>, steps: readonly RoutineStep[]): Start => ({
    name,
    kind,
    minutes,
    steps: stepsOf(steps),
  });
  const ownStart = (template: Template): Start =>
    start(template, template.parts.length > 0 ? fromRecipe(template) : fromSteps(template.steps, template.kind));
  const isForThisVoice = (recipe: Recipe): boolean => isMadeFor(recipe, today.student.voice);
  const shippedStart = (recipe: Recipe): Start => start(recipe, fromRecipe(recipe));
  const parts: readonly (readonly [string, readonly Choice[]])[] = [
    [t('students.ownTemplates'), templates.map((one) => ({ ...one, make: () => ownStart(one) }))],
    [
      t('students.shippedTemplates'),
      RECIPES.filter(isForThisVoice).map((one) => ({ ...one, make: () => shippedStart(one) })),
    ],
    [
      t('students.otherTemplates'),
      RECIPES.filter((one) => !isForThisVoice(one)).map((one) => ({ ...one, make: () => shippedStart(one) })),
    ],
  ];
  return (
    <>
      {parts
        .filter(([, choices]) => choices.length > 0)
        .map(([title, choices]) => (
          <section key={title} className={classes['recipes']} aria-label={title}>
            <h3>{title}</h3>
            {choices.map(({ id, name, minutes, make }) => (
              <UnstyledButton
                key={id}
                disabled={!isReady}
                onClick={() => {
                  onFilled(make());
                }}
              >
                {name} <small>{t('today.minutes', { count: minutes })}</small>
              </UnstyledButton>
            ))}
          </section>
        ))}
    </>
  );
}
