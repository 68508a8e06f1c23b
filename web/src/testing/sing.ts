import { screen } from '@testing-library/react';
import type { Schemas } from '../api/client.ts';
import type { Answers } from './fake-api.ts';
import { openPage, type OpenedPage } from './open-page.tsx';
import { ROUTINE, routine, STUDENT } from './samples.ts';

/** Opens the piano on a usual day: through the gate, into the first of these steps. */
export async function sing(
  steps: Schemas['RoutineDto']['steps'],
  change: Partial<Schemas['RoutineDto']> = {},
  answers: Answers = {},
): Promise<OpenedPage> {
  const page = openPage(`/sing/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps, ...change }),
    [`PUT /api/students/${STUDENT}/condition`]: {},
    'PUT /api/runs/*': (body: unknown) => body,
    ...answers,
  });
  for (const word of ['not at all', 'as usual', 'no'])
    await page.user.click(await screen.findByRole('radio', { name: word }));
  await page.user.click(screen.getByRole('button', { name: 'Begin' }));
  await screen.findByText(/step 1 of/);
  return page;
}
