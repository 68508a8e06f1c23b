import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { goToStep, keyNow, keysOf, order } from './teacher.ts';

/** Tabs until something with this name has the focus. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let press = 0; press < 90; press += 1) {
    await page.keyboard.press('Tab');
    const label = await page.evaluate(() => {
      const element = document.activeElement as HTMLInputElement | null;
      return [element?.getAttribute('aria-label'), element?.labels?.[0]?.innerText, element?.innerText]
        .filter(Boolean)
        .join(' | ');
    });
    if (typeof name === 'string' ? label.includes(name) : name.test(label)) return;
  }
  throw new Error(`“${String(name)}” cannot be reached with the tab key`);
}

async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) await page.keyboard.press(key);
}

test('the same on a keyboard alone', async ({ page }) => {
  await tabTo(page, /^Sign in$/);
  await press(page, 'ArrowRight');
  for (const [field, text] of [
    ['Name of the studio', 'Weir House'],
    ['Your name', 'Ada Reed'],
    ['E-mail', `${randomUUID()}@example.org`],
    ['Password, ten', 'ten plain characters'],
  ] as const) {
    await tabTo(page, field);
    await page.keyboard.type(text);
  }
  await press(page, 'Enter');
  await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible();
  await tabTo(page, 'I have kept them');
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('no lessons');

  await tabTo(page, 'Add a student');
  await press(page, 'Enter');
  await expect(page.getByRole('dialog').getByRole('textbox', { name: 'Name' })).toBeFocused();
  await page.keyboard.type('Maren Holt');
  await tabTo(page, 'Lowest comfortable note');
  await page.keyboard.type('Bb3');
  await tabTo(page, 'Highest comfortable note');
  await page.keyboard.type('E5');
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Maren Holt');

  await tabTo(page, 'New routine');
  await press(page, 'Enter');
  await expect(page.getByText('An empty bench')).toBeVisible();
  for (const letters of ['standing', 'long hiss', 'lip trill on', 'hum on', 'up and down five', 'falling hum']) {
    await page.evaluate(() => {
      (document.activeElement as HTMLElement | null)?.blur();
    });
    await press(page, 'a');
    await expect(page.getByRole('searchbox')).toBeFocused();
    await page.keyboard.type(letters);
    await press(page, 'Enter');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  await expect(order(page)).toHaveCount(6);
  await tabTo(page, /Tired/);
  await press(page, 'Enter');

  await tabTo(page, /^1\s?Standing/);
  await press(page, 'ArrowDown', 'ArrowDown', 'Alt+ArrowDown');
  await expect(order(page).nth(3)).toContainText('Lip trill on five');
  await press(page, 'Alt+ArrowUp');
  await expect(order(page).nth(2)).toContainText('Lip trill on five');
  await expect(page.getByText(/^saved · version/)).toBeVisible();

  await page.keyboard.press('Shift+Tab');
  await tabTo(page, /^Sing it$/);
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { name: 'Before the first note' })).toBeVisible();
  await tabTo(page, 'not at all');
  await press(page, 'Space');
  await tabTo(page, 'as usual');
  await press(page, 'Space');
  await tabTo(page, /^no$/);
  await press(page, 'Space');
  await tabTo(page, 'Begin');
  await press(page, 'Enter');

  await goToStep(page, 'Up and down five');
  await press(page, 'ArrowRight');
  await expect(keyNow(page)).toHaveText('D');
  await press(page, 'PageDown');
  await expect(keyNow(page)).toHaveText('E♭');
  await press(page, 'r', 'c', 'ArrowDown');
  await expect(keyNow(page)).toHaveText('D');
  await press(page, 'Space');
  await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();
  await press(page, 'Space', 'ArrowRight', 'n');

  await tabTo(page, 'easy');
  await press(page, 'Space');
  await tabTo(page, 'Into the log');
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Maren Holt, Warm-up');
  await expect.poll(() => keysOf(page, 'Up and down five', 'sung')).toEqual(['D', 'E♭', 'E♭\ncrack', 'D']);
});
