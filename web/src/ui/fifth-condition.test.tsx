import type { Condition } from '@soft-lark/core';
import { screen, waitFor } from '@testing-library/react';
import { openPage } from '../testing/open-page.tsx';
import { ROUTINE, routine, step, STUDENT } from '../testing/samples.ts';

// A fifth condition is one row of the core; the page offers it and works with it.
jest.mock('../../../core/src/voice/conditions.data.ts', () => {
  const actual = jest.requireActual<{ CONDITION_TABLE: object }>('../../../core/src/voice/conditions.data.ts');
  const stormy = { effects: ['worn', 'low'], lower: { usual: 4, least: 1, most: 9, label: 'Stormy' } };
  return { ...actual, CONDITION_TABLE: { stormy, ...actual.CONDITION_TABLE } };
});

test('the bench offers a fifth condition, sends it, and lowers the ceiling by its figure', async () => {
  const page = openPage(`/routines/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({
      steps: ['lip-trill-on-five', 'hum-on-the-chord', 'thirds'].map((id) => step(id)),
    }),
    [`PUT /api/students/${STUDENT}/condition`]: {},
  });
  await page.user.click(await screen.findByRole('button', { name: /Thirds.*\d:\d\d$/ }));
  await page.user.click(screen.getByRole('tab', { name: 'Limits' }));
  expect(screen.getByRole('heading', { name: 'Why E♭5 is the top today' })).toBeVisible();
  const stormy: Condition = 'stormy' as Condition;
  await page.user.click(screen.getByRole('button', { name: new RegExp(stormy, 'i') }));
  expect(await screen.findByRole('heading', { name: 'Why B4 is the top today' })).toBeVisible();
  await waitFor(() => {
    expect(page.sent.at(-1)?.body).toMatchObject({ conditions: ['stormy'] });
  });
});
