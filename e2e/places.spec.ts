import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { openDemo, passGate, PLACES } from './teacher.ts';

async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' · ')}`),
  ).toEqual([]);
}

for (const colorScheme of ['light', 'dark'] as const) {
  test(`every place can be read and reached, ${colorScheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme });
    await page.goto('/');
    await expectAccessible(page);
    await openDemo(page);
    await expectAccessible(page);
    for (const [address, heading] of PLACES) {
      await page.goto(address);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
      await expectAccessible(page);
    }
    await page.goto('/students');
    await page.getByRole('link', { name: 'The lock boat' }).click();
    await expect(page.getByText('Keys in common')).toBeVisible();
    await expectAccessible(page);
    await page.goto('/students');
    await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
    await expect(page.getByText('turns over, E4 to F4')).toBeVisible();
    await expectAccessible(page);
    const student = page.url();
    await page.getByRole('link', { name: 'Range check' }).click();
    await expect(page.getByRole('button', { name: /^Speaks at/ })).toBeVisible();
    await expectAccessible(page);
    await page.goto(student);
    await page.getByRole('link', { name: 'Routines' }).click();
    await page.getByRole('link', { name: 'Before the late shift' }).click();
    await expect(page.getByRole('heading', { name: 'The order' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Templates' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Sing it' }).click();
    await expectAccessible(page);
    await passGate(page);
    await page.keyboard.press('n');
    await expectAccessible(page);
  });
}

test('deep links, the back button and the search work', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shelf?stage=middle&q=thurds');
  await expect(page.getByRole('link', { name: /Thirds/ })).toBeVisible();
  await page.getByRole('link', { name: /Thirds/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thirds');
  await page.goBack();
  await expect(page.getByRole('searchbox')).toHaveValue('thurds');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Find anything' }).click();
  await page.getByRole('textbox', { name: 'Find anything' }).fill('slow wat');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of the routine' })).toHaveValue('Slow water');
  await page.goto('/nowhere');
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
});

test('the log draws lowest and highest by run, with the same figures in a table', async ({ page }) => {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await expect(page.getByText('turns over, E4 to F4')).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  const figure = page.getByRole('figure', { name: /Lowest and highest/ });
  await expect(figure.locator('.recharts-line-dot').first()).toBeVisible();
  await figure.getByRole('button', { name: 'as a table' }).click();
  const dots = await figure.locator('.recharts-line-dot').count();
  await expect(figure.getByRole('row')).toHaveCount(dots / 2 + 1);
});

test('the log of all students goes back page by page to the first run', async ({ page }) => {
  await openDemo(page);
  await page.goto('/log?student=all');
  const runs = page.getByRole('table').getByRole('row');
  await expect(runs).toHaveCount(101);
  const earlier = page.getByRole('button', { name: 'Earlier runs' });
  let shown = 100;
  let came: number;
  do {
    const answer = page.waitForResponse(/olderThan/);
    await earlier.click();
    came = ((await (await answer).json()) as unknown[]).length;
    shown += came;
    await expect(runs).toHaveCount(shown + 1);
  } while (came === 100);
  await expect(earlier).toBeHidden();
  const first = await runs.last().getByRole('link').innerText();
  await page.reload();
  await expect(runs.last().getByRole('link')).not.toHaveText(first);
});

test('without a session every place asks to sign in and comes back', async ({ page }) => {
  await page.goto('/shelf?stage=cool');
  await openDemoHere(page);
  await expect(page).toHaveURL(/\/shelf\?stage=cool/);
});

async function openDemoHere(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('exercises');
}
