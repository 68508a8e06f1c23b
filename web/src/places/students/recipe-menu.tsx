import { Button, Menu } from '@mantine/core';
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

type Start = Pick<Routine, 'name' | 'kind' | 'minutes' | 'steps'>;
type Kind = Recipe['kind'];

interface RecipeMenuProps {
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
export function RecipeMenu({ today, onFilled }: RecipeMenuProps): ReactElement {
  const { t } = useTranslation();
  const { isReady, fromRecipe, fromSteps } = useFill(today);
  const templates = useQuery(templatesQuery).data ?? [];
  const item = ({ id, name, minutes }: Pick<Recipe, 'id' | 'name' | 'minutes'>, make: () => Start): ReactElement => (
    <Menu.Item
      key={id}
      rightSection={<small>{t('today.minutes', { count: minutes })}</small>}
      onClick={() => {
        onFilled(make());
      }}
    >
      {name}
    </Menu.Item>
  );
  const start = ({ name, kind, minutes }: Omit<Start, 'steps'>, steps: readonly RoutineStep[]): Start => ({
    name,
    kind,
    minutes,
    steps: stepsOf(steps),
  });
  const ownStart = (template: Template): Start =>
    start(template, template.parts.length > 0 ? fromRecipe(template) : fromSteps(template.steps, template.kind));
  const ready = (recipe: Recipe): ReactElement => item(recipe, () => start(recipe, fromRecipe(recipe)));
  const isForThisVoice = (recipe: Recipe): boolean => isMadeFor(recipe, today.student.voice);
  return (
    <Menu position="bottom-end" width={330}>
      <Menu.Target>
        <Button disabled={!isReady}>{t('students.readyMade')}</Button>
      </Menu.Target>
      <Menu.Dropdown mah={460} style={{ overflowY: 'auto' }}>
        {templates.length > 0 && <Menu.Label>{t('students.ownTemplates')}</Menu.Label>}
        {templates.map((template) => item(template, () => ownStart(template)))}
        {templates.length > 0 && <Menu.Label>{t('students.shippedTemplates')}</Menu.Label>}
        {RECIPES.filter(isForThisVoice).map(ready)}
        <Menu.Label>{t('students.otherTemplates')}</Menu.Label>
        {RECIPES.filter((recipe) => !isForThisVoice(recipe)).map(ready)}
      </Menu.Dropdown>
    </Menu>
  );
}
