import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { act, goToStep, keyNow, openDemo, passGate, PLACES } from './teacher.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

async function expectNoSidewaysScroll(page: Page, where: string): Promise<void> {
  const isWider = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
  expect([where, isWider]).toEqual([where, false]);
}

test('every place fits a phone', async ({ page }) => {
  await page.goto('/');
  await expectNoSidewaysScroll(page, 'enter');
  await openDemo(page);
  await expectNoSidewaysScroll(page, 'today');
  for (const [address, heading] of PLACES) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
    await expectNoSidewaysScroll(page, address);
  }
  await page.goto('/students');
  await page.getByRole('link', { name: 'The lock boat' }).tap();
  await expect(page.getByText('Keys in common')).toBeVisible();
  await expectNoSidewaysScroll(page, 'a group');
  await page.goto('/students');
  // Rows grow as their lessons and routines come; a tap before that can land on another student.
  await page.waitForLoadState('networkidle');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).tap();
  await expect(page.getByText('turns over, E4 to F4')).toBeVisible();
  await expectNoSidewaysScroll(page, 'the voice file');
  const student = page.url();
  for (const tab of ['rules', 'runs', 'routines', 'check']) {
    await page.goto(`${student}/${tab}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expectNoSidewaysScroll(page, tab);
  }
  await page.goto(`${student}/runs`);
  await page.getByRole('table').getByRole('link').first().tap();
  await expect(page.getByRole('link', { name: 'The log' })).toBeVisible();
  await expectNoSidewaysScroll(page, 'a run in the log');
  await page.goto(`${student}/routines`);
  await page.getByRole('link', { name: 'Before the late shift' }).tap();
  await expect(page.getByRole('heading', { name: 'The order' })).toBeVisible();
  await expectNoSidewaysScroll(page, 'the bench');
});

test('a run by touch: large targets, the next key always in reach', async ({ page }) => {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Corwin Dace', exact: true }).tap();
  await page.getByRole('link', { name: 'Routines' }).tap();
  await page.getByRole('link', { name: 'Sing it' }).tap();
  await expectNoSidewaysScroll(page, 'gate');
  await passGate(page);
  await goToStep(page, 'Z on five');
  await act(page, 'Start').tap();
  // Without scrolling: the thumb finds it, and the key is seen.
  await page.evaluate(() => {
    window.scrollTo(0, 0);
  });
  await expect(act(page, 'Next key')).toBeInViewport({ ratio: 1 });
  await expect(keyNow(page)).toBeInViewport({ ratio: 1 });
  const first = await keyNow(page).textContent();
  await act(page, 'Next key').tap();
  await expect(keyNow(page)).not.toHaveText(first ?? '');
  await expectNoSidewaysScroll(page, 'piano');
  const buttons = page.getByRole('contentinfo').getByRole('button').or(page.locator('footer button'));
  for (const button of await buttons.all()) {
    const box = await button.boundingBox();
    expect([await button.innerText(), (box?.height ?? 0) >= 56]).toEqual([await button.innerText(), true]);
  }
});
