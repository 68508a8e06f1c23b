import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { addStudent, goToStep, keyNow, keysOf, lengthOf, names, order, signUp } from './teacher.ts';

/** Tabs until something with this name has the focus. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let press = 0; press < 160; press += 1) {
    await page.keyboard.press('Tab');
    const label = await page.evaluate(() => {
      const element = document.activeElement as HTMLInputElement | null;
      // Past the last field the page itself has the focus, and all its words.
      if (element === document.body) return '';
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

async function takeFromMenu(page: Page, name: string): Promise<void> {
  await tabTo(page, /^More$/);
  await press(page, 'Enter');
  const wanted = page.getByRole('menuitem', { name });
  await expect(wanted).toBeVisible();
  for (let item = 0; item < 12 && !(await wanted.evaluate((one) => one === document.activeElement)); item += 1)
    await press(page, 'ArrowDown');
  await press(page, 'Enter');
}

test('the same on a keyboard alone', async ({ page }) => {
  await page.goto('/');
  await tabTo(page, /^New studio$/);
  await press(page, 'Enter');
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

  await takeFromMenu(page, 'New routine');
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
  await expect(page.locator('[data-save=saved]')).toBeVisible();

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

test('the whole bench on a keyboard alone: draft, pin two, another, fewer minutes, two fixes, all of it back, compare', async ({
  page,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await takeFromMenu(page, 'New routine');
  await tabTo(page, 'Draft a routine');
  await press(page, 'Enter');
  await expect(order(page).first()).toBeVisible();
  const first = await names(page);

  // The rows of the order begin with their number; the ribbons of the flight do not.
  await tabTo(page, /^(.* \| )?1\s/);
  await press(page, 'ArrowDown', 'l', 'ArrowDown', 'l');
  const pinned = first.slice(1, 3);
  await expect(page.getByRole('button', { name: /^(Unpin|Pin) “/, pressed: true })).toHaveCount(2);
  await tabTo(page, 'Another draft');
  await press(page, 'Enter');
  await expect.poll(() => names(page)).not.toEqual(first);
  expect(await names(page)).toEqual(expect.arrayContaining([...pinned]));

  await tabTo(page, 'Minutes to fit');
  await press(page, 'ArrowLeft', 'ArrowLeft', 'ArrowLeft');
  await expect(lengthOf(page, /^[4-7]:\d\d of 7:00/)).toBeVisible();

  // Two fixes: minutes that are not used, then too few of them.
  await tabTo(page, /^Minutes$/);
  await press(page, 'Control+a', '2', '0', 'Enter');
  await tabTo(page, /^Set \d minutes$/);
  await press(page, 'Enter');
  await expect(lengthOf(page, / of [67]:00 · .* left/)).toBeVisible();
  await tabTo(page, /^Minutes$/);
  await press(page, 'Control+a', '5', 'Enter');
  await tabTo(page, 'Shorten to fit');
  await press(page, 'Enter');
  await expect(lengthOf(page, / of 5:00 · .* left/)).toBeVisible();
  await tabTo(page, /^Undo$/);
  for (let undo = 0; undo < 40; undo += 1) await press(page, 'Control+z');
  await expect(page.getByText('An empty bench.')).toBeVisible();
  await press(page, 'Control+Shift+z');
  await expect.poll(() => names(page)).toEqual(first);
  await takeFromMenu(page, 'Versions');
  await expect(page.getByRole('dialog').getByRole('listitem').last()).toBeVisible();
  await tabTo(page, /^\d+ \w+, \d\d:\d\d/);
  await press(page, 'Enter');
  await expect(page.getByRole('img', { name: /flight then/ })).toBeVisible();
  await press(page, 'Escape');
});
