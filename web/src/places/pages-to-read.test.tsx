import { screen } from '@testing-library/react';
import { openPage } from '../testing/open-page.tsx';
import { cautions } from '../text/en-cautions.ts';

test('the cautions stand whole: what is screened, when to stop, and where to send someone', async () => {
  openPage('/cautions');
  expect(await screen.findByRole('heading', { name: cautions.heading })).toBeVisible();
  const sections = screen.getAllByRole('heading', { level: 2 });
  expect(sections.length).toBe(9);
  for (const line of cautions.urgent.lines) expect(screen.getByText(line)).toBeVisible();
  expect(document.body.textContent).toMatch(/doctor|laryngologist/);
  expect(screen.getByRole('link', { name: cautions.toRules })).toHaveAttribute('href', '/settings/rules');
});

test('what ships with the application is credited', async () => {
  openPage('/about');
  expect(await screen.findByText(/CC BY 3\.0/)).toBeVisible();
  expect(screen.getByText(/SIL Open Font License/)).toBeVisible();
  expect(screen.getByText(/It does not diagnose, treat or promise/)).toBeVisible();
});
