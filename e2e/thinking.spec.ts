import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { addStudent, order, saved, signUp } from './teacher.ts';

const names = async (page: Page): Promise<readonly string[]> =>
  (await order(page).allInnerTexts()).map((text) => text.split('\n')[1] ?? text);

test.beforeEach(async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await page.getByRole('button', { name: 'New routine' }).click();
  await page.getByRole('button', { name: 'Draft a routine' }).click();
  await expect(page.getByRole('button', { name: 'Another draft' })).toBeVisible();
});

test('a draft in a press; two steps pinned, another drafted; fewer minutes; fixes; all of it taken back', async ({
  page,
}) => {
  await expect(page.getByText(/^9:\d\d of 10:00|^10:00 of 10:00/)).toBeVisible();
  const first = await names(page);
  expect(first.length).toBeGreaterThan(5);
  await page.getByRole('button', { name: 'What was passed over' }).click();
  await expect(page.getByText(/speaks more for itself here|takes longer|few keys/).first()).toBeVisible();

  await order(page).nth(2).focus();
  await page.keyboard.press('l');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('l');
  const pinned = (await names(page)).slice(2, 4);
  await page.getByRole('button', { name: 'Another draft' }).click();
  await expect.poll(() => names(page)).not.toEqual(first);
  const another = await names(page);
  expect(another).toEqual(expect.arrayContaining([...pinned]));
  expect(another.filter((name) => first.includes(name)).length).toBeLessThan(first.length - 1);

  const slider = page.getByRole('slider', { name: 'Minutes to fit' });
  for (let press = 0; press < 3; press += 1) await slider.press('ArrowLeft');
  await expect(page.getByText(/^[67]:\d\d of 7:00/)).toBeVisible();
  expect(await names(page)).toEqual(expect.arrayContaining([...pinned]));

  await page.getByRole('textbox', { name: 'Minutes', exact: true }).fill('6');
  await page.getByRole('button', { name: /things? to look at/ }).click();
  const review = page.getByRole('region', { name: 'What the review says' });
  const over = review.getByRole('listitem').filter({ hasText: 'over its 6 minutes' });
  await over.getByRole('button', { name: 'Why is this a rule?' }).click();
  await expect(over.getByText('The minutes of the routine.')).toBeVisible();
  await over.getByRole('button').first().click();
  await expect(over).toBeHidden();

  await saved(page);
  await page.getByRole('button', { name: 'Versions' }).click();
  const history = page.getByRole('dialog');
  await history.getByRole('listitem').last().getByRole('button').click();
  await expect(history.getByRole('img', { name: /flight then/ })).toBeVisible();
  await expect(history.getByRole('row', { name: /added since/ }).first()).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Undo' }).hover();
  await expect(page.getByRole('tooltip')).toContainText(/Undo: (Shorten to fit|Allow 7 minutes)/);
  for (let press = 0; press < 30 && (await page.getByRole('button', { name: 'Undo' }).isEnabled()); press += 1)
    await page.keyboard.press('Control+z');
  await expect(page.getByText('An empty bench.')).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect.poll(() => names(page)).toEqual(first);
  await saved(page);
  await page.reload();
  await expect.poll(() => names(page)).toEqual(first);
});

test('a rule is muted with a reason, stays muted after a reload, and is heard again', async ({ page }) => {
  await page.getByRole('textbox', { name: 'Minutes', exact: true }).fill('40');
  await page.getByRole('button', { name: /things? to look at/ }).click();
  const review = page.getByRole('region', { name: 'What the review says' });
  const under = review.getByRole('listitem').filter({ hasText: 'are not used' });
  await under.getByRole('button', { name: 'Mute …' }).click();
  await expect(under.getByRole('button', { name: 'Mute the rule' })).toBeDisabled();
  await under.getByRole('textbox', { name: 'Your reason' }).fill('The rest is for the song');
  await under.getByRole('button', { name: 'Mute the rule' }).click();
  await expect(under).toBeHidden();
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: /to look at/i }).click();
  await expect(review.getByText('The rest is for the song')).toBeVisible();
  await review.getByRole('button', { name: 'Hear it again' }).click();
  await expect(under).toBeVisible();
});

test('an old version is brought back as one change, and that can be taken back too', async ({ page }) => {
  const drafted = await names(page);
  await saved(page);
  await page.getByRole('button', { name: 'Versions' }).click();
  await page.getByRole('dialog').getByRole('listitem').last().getByRole('button').click();
  await page.getByRole('button', { name: 'Bring this version back' }).click();
  await expect(page.getByText('An empty bench.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(drafted);
});

test('a step that cannot be done now is swapped for the nearest, with what is kept and lost', async ({ page }) => {
  const before = await names(page);
  await page.getByRole('button', { name: 'Swap' }).click();
  await page.getByRole('combobox', { name: 'because of …' }).click();
  await page.getByRole('option', { name: 'thin walls' }).click();
  const nearest = page.getByRole('menuitem').first();
  await expect(nearest).toContainText(/keeps .*the/);
  const name = ((await nearest.innerText()).split('\n')[0] ?? '').replace(/^1\. /, '');
  await nearest.click();
  await expect.poll(() => names(page)).toContain(name);
  await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(before);
});
