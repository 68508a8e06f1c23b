import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { act, goToStep, keyNow, openDemo, passGate } from './teacher.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

async function expectNoSidewaysScroll(page: Page, where: string): Promise<void> {
  const isWider = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
  expect([where, isWider]).toEqual([where, false]);
}

test('every place fits a phone', async ({ page }) => {
  await expectNoSidewaysScroll(page, 'enter');
  await openDemo(page);
  await expectNoSidewaysScroll(page, 'today');
  for (const place of ['/shelf', '/shelf/thirds', '/about']) {
    await page.goto(place);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expectNoSidewaysScroll(page, place);
  }
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
