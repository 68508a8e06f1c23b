import { expect, test } from './studio.ts';
import { act, addStudent, buildSixSteps, goToStep, keyNow, keysOf, order, passGate, saved, signUp } from './teacher.ts';

test.describe.configure({ mode: 'serial' });

test('the server stops while the teacher edits: the page says so, keeps the work, saves when it is back', async ({
  page,
  studio,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await studio.stopServer();
  await page.getByRole('textbox', { name: 'Minutes' }).fill('14');
  await page.getByRole('button', { name: 'Remove “Long hiss”' }).click({ force: true });
  await expect(page.getByText('no connection; kept here, saved when it is back')).toBeVisible();
  await studio.startServer();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Minutes' })).toHaveValue('14');
  await expect(order(page)).toHaveCount(5);
});

test('the server stops while a run goes on: nothing sung is lost', async ({ page, studio }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Hum on the chord');
  await act(page, 'Start').click();
  await studio.stopServer();
  const first = (await keyNow(page).textContent()) ?? '';
  await act(page, 'Next key').click();
  await act(page, 'Next key').click();
  for (const key of ['n', 'n', 'n']) await page.keyboard.press(key);
  await page.getByRole('button', { name: 'so-so' }).click();
  await page.getByRole('button', { name: 'Into the log' }).click();
  await expect(page.getByText('kept here, goes to the log when the connection is back')).toBeVisible();
  await studio.startServer();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Maren Holt, Warm-up', { timeout: 20_000 });
  await expect
    .poll(async () => (await keysOf(page, 'Hum on the chord', 'sung')).length, { timeout: 20_000 })
    .toBeGreaterThanOrEqual(2);
  expect((await keysOf(page, 'Hum on the chord', 'sung'))[0]).toBe(first);
});

test('a reload in the middle of a run offers to go on, and goes on where it was', async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Up and down five');
  await act(page, 'Start').click();
  // The first key of a new exercise is shown, the second is sung.
  await act(page, 'Next key').click();
  await act(page, 'Next key').click();
  const key = (await keyNow(page).textContent()) ?? '';
  await page.reload();
  await page.getByRole('button', { name: 'Go on where it stopped' }).click();
  await expect(keyNow(page)).toHaveText(key);
  await page.goto('/today');
  await expect(page.getByText('A run of Maren Holt was broken off')).toBeVisible();
  await page.getByRole('button', { name: 'End it here' }).click();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page.getByRole('row', { name: /Maren Holt/ })).toContainText('1 of');
});

test('PostgreSQL is killed and started again: the server recovers by itself', async ({ page, studio }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  studio.killDatabase();
  await page.getByRole('textbox', { name: 'Minutes' }).fill('11');
  await expect(page.getByText('no connection; kept here')).toBeVisible({ timeout: 20_000 });
  await studio.startDatabase();
  await expect(page.locator('[data-save=saved]')).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Minutes' })).toHaveValue('11');
});
