import { screen, within } from '@testing-library/react';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { ROUTINE, routine, step, STUDENT } from '../../testing/samples.ts';

async function choose({ user }: OpenedPage, label: string, option: string): Promise<void> {
  await user.click(await screen.findByRole('combobox', { name: label }));
  await user.click(await screen.findByRole('option', { name: option }));
}

const STEPS = { 'GET /api/routines': [routine({ steps: ['lip-trill-on-five', 'thirds'].map((id) => step(id)) })] };

test('another travel is shown in every routine it alters, step by step, before anything is saved', async () => {
  const page = openPage('/settings/approach', STEPS);
  await choose(page, 'Travel through the keys', 'rise only');
  const preview = within(await screen.findByRole('region', { name: 'What this would alter' }));
  expect(await preview.findByText(/^One routine on a plain day/)).toBeVisible();
  expect(preview.getByRole('link', { name: 'Warm-up' })).toHaveAttribute('href', `/routines/${ROUTINE}`);
  expect(preview.getByText('Thirds').closest('li')).toHaveTextContent(/rise and come home → rise/);
  expect(page.sent).toEqual([]);
});

test('an answer that alters nothing says so', async () => {
  const page = openPage('/settings/approach', { 'GET /api/routines': [] });
  await choose(page, 'Jaw', 'steady, fingers as monitor');
  expect(await screen.findByText('Nothing in the routines there are.')).toBeVisible();
});

test('for one student the studio’s answer is the first choice, and only that student’s routines are looked at', async () => {
  const page = openPage(`/students/${STUDENT}/rules`, STEPS);
  const travel = await screen.findByRole('combobox', { name: 'Travel through the keys' });
  expect(travel).toHaveValue('as the studio: rise and come home');
  await choose(page, 'Travel through the keys', 'high to low');
  expect(await screen.findByText(/^One routine on a plain day/)).toBeVisible();
});
