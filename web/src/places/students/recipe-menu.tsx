import { Button, Menu } from '@mantine/core';
import { fillRecipe, RECIPES, type Recipe } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { dayContext, ofKind } from '../../api/lay.ts';
import { stepsOf, type Routine } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useNow } from '../../ui/clock.ts';

interface RecipeMenuProps {
  readonly today: StudentToday;
  readonly onFilled: (start: Pick<Routine, 'name' | 'kind' | 'minutes' | 'steps'>) => void;
}

/** The ready-made routines: each is filled for this voice today and then stands on the bench like any other. */
export function RecipeMenu({ today, onFilled }: RecipeMenuProps): ReactElement {
  const { t } = useTranslation();
  const studio = useQuery(sessionQuery).data;
  const shelf = useQuery(shelfQuery).data;
  const now = useNow(600);
  const fill = ({ id, ...recipe }: Recipe): void => {
    if (!shelf) return;
    const standing = new Map([...shelf].filter(([, { own }]) => !own?.isArchived));
    const context = { ...dayContext(today, studio, standing, now), ...ofKind(recipe.kind) };
    const steps = fillRecipe({ id, ...recipe }, context, () => v7());
    onFilled({
      name: recipe.name,
      kind: recipe.kind,
      minutes: recipe.minutes,
      steps: stepsOf(steps),
    });
  };
  return (
    <Menu position="bottom-end" width={330}>
      <Menu.Target>
        <Button disabled={!shelf}>{t('students.readyMade')}</Button>
      </Menu.Target>
      <Menu.Dropdown mah={460} style={{ overflowY: 'auto' }}>
        {RECIPES.map((recipe) => (
          <Menu.Item
            key={recipe.id}
            rightSection={<small>{t('today.minutes', { count: recipe.minutes })}</small>}
            onClick={() => {
              fill(recipe);
            }}
          >
            {recipe.name}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
