import { expect, test } from './studio.ts';
import { addStudent, fromMenu, lengthOf, makeItFor, names, order, saved, signUp } from './teacher.ts';

test.beforeEach(async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await fromMenu(page, 'New routine');
  await page.getByRole('button', { name: 'Draft a routine' }).click();
  await expect(page.getByRole('button', { name: 'Another draft' })).toBeVisible();
});

test('a draft in a press; two steps pinned, another drafted; fewer minutes; fixes; all of it taken back', async ({
  page,
}) => {
  await expect(lengthOf(page, /^[89]:\d\d of 10:00|^10:00 of 10:00/)).toBeVisible();
  const first = await names(page);
  expect(first.length).toBeGreaterThan(5);
  await page.getByRole('tab', { name: 'Why' }).click();
  await page.getByRole('button', { name: 'What was passed over' }).click();
  await expect(page.getByText(/suits this place better|takes longer|few keys/).first()).toBeVisible();

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
  await expect(lengthOf(page, /^[4-7]:\d\d of 7:00/)).toBeVisible();
  expect(await names(page)).toEqual(expect.arrayContaining([...pinned]));

  await page.getByRole('textbox', { name: 'Minutes', exact: true }).fill('3');
  await page.getByRole('tab', { name: /^To look at/ }).click();
  const review = page.getByRole('region', { name: 'What the review says' });
  const over = review.getByRole('listitem').filter({ hasText: 'over its 3 minutes' });
  await over.getByRole('button', { name: 'Why?' }).click();
  await expect(over.getByText('The minutes of the routine.')).toBeVisible();
  await over.getByRole('button').first().click();
  await expect(over).toBeHidden();

  await saved(page);
  await fromMenu(page, 'Versions');
  const history = page.getByRole('dialog');
  await history.getByRole('listitem').last().getByRole('button').click();
  await expect(history.getByRole('img', { name: /flight then/ })).toBeVisible();
  await expect(history.getByRole('row', { name: /added since/ }).first()).toBeVisible();
  // Two versions held against each other, not only one against the bench.
  await history.getByRole('combobox', { name: 'Compared with' }).click();
  await page
    .getByRole('option', { name: /^version/ })
    .first()
    .click();
  await expect(history.getByRole('columnheader', { name: /^version \d+$/ })).toHaveCount(2);
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Undo' }).hover();
  await expect(page.getByRole('tooltip')).toContainText(/Undo: (Shorten to fit|Allow \d+ minutes)/);
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
  const review = page.getByRole('region', { name: 'What the review says' });
  const under = review.getByRole('listitem').filter({ hasText: 'are not used' });
  await under.getByRole('button', { name: 'Mute …' }).click();
  await expect(under.getByRole('button', { name: 'Mute the rule' })).toBeDisabled();
  await under.getByRole('textbox', { name: 'Your reason' }).fill('The rest is for the song');
  await under.getByRole('button', { name: 'Mute the rule' }).click();
  await expect(under).toBeHidden();
  await saved(page);
  await page.reload();
  await expect(review.getByText('The rest is for the song')).toBeVisible();
  await review.getByRole('button', { name: 'Hear it again' }).click();
  await expect(under).toBeVisible();
});

test('an old version is brought back as one change, and that can be taken back too', async ({ page }) => {
  const drafted = await names(page);
  await saved(page);
  await fromMenu(page, 'Versions');
  await page.getByRole('dialog').getByRole('listitem').last().getByRole('button').click();
  await page.getByRole('button', { name: 'Bring this version back' }).click();
  await expect(page.getByText('An empty bench.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(drafted);
});

test('a routine is kept as a recipe and as it is, and both are filled for another voice', async ({ page }) => {
  const drafted = await names(page);
  const card = page.getByRole('dialog', { name: 'Templates' });
  await fromMenu(page, 'Templates');
  await card.getByRole('textbox', { name: 'Keep this routine as' }).fill('Before the boats');
  await card.getByRole('button', { name: 'Keep the template' }).click();
  await card.getByRole('textbox', { name: 'Keep this routine as' }).fill('Word for word');
  await card.getByRole('radio', { name: 'As it is' }).check();
  await card.getByRole('button', { name: 'Keep the template' }).click();
  await expect(card.getByRole('list', { name: 'Templates of the studio' }).getByRole('listitem')).toHaveCount(2);
  await page.keyboard.press('Escape');

  await addStudent(page, { name: 'Joss Arden', type: 'bass', range: { low: 41, high: 62 } });
  const begin = async (name: string): Promise<readonly string[]> => {
    await fromMenu(page, 'Ready-made');
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await expect(order(page).first()).toBeVisible();
    return names(page);
  };
  const student = page.url();
  const word = await begin('Word for word');
  expect(word.filter((name) => drafted.includes(name)).length).toBeGreaterThan(drafted.length / 2);
  await page.goto(student);
  expect((await begin('Before the boats')).length).toBeGreaterThan(3);
  await expect(page.getByText(/over$/)).toBeHidden();
  await fromMenu(page, 'Templates');
  await card.getByRole('button', { name: 'Remove the template “Word for word”' }).click();
  await expect(card.getByRole('listitem')).toHaveCount(1);
});

test('a cool-down only, and a late arrival: the draft goes by what the routine is for; what it left out is said', async ({
  page,
}) => {
  await page.getByRole('textbox', { name: 'Minutes', exact: true }).fill('5');
  await makeItFor(page, 'cool-down only');
  const before = await names(page);
  await page.getByRole('button', { name: 'Another draft' }).click();
  await expect.poll(() => names(page)).not.toEqual(before);
  await expect(page.getByText('middle', { exact: true })).toBeHidden();
  await page.getByRole('tab', { name: 'Why' }).click();
  await page.getByRole('button', { name: /exercises could not be taken/ }).click();
  await expect(page.getByRole('list', { name: 'What the draft left out, and why' })).toContainText(
    'a warm-up restores it, by the approach',
  );
  await makeItFor(page, 'late arrival');
  await page.getByRole('button', { name: 'Another draft' }).click();
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await expect(page.getByRole('menuitemradio', { name: 'late arrival' })).toBeChecked();
});

test('an old version is brought back while another window edits: both are kept', async ({ page, context }) => {
  await saved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(order(other).first()).toBeVisible();
  await fromMenu(page, 'Versions');
  await page.getByRole('dialog').getByRole('listitem').last().getByRole('button').click();
  await other.getByRole('textbox', { name: 'Minutes', exact: true }).fill('14');
  await saved(other);
  await page.getByRole('button', { name: 'Bring this version back' }).click();
  await expect(page.getByText('An empty bench.')).toBeVisible();
  await saved(page);
  await expect(page.getByRole('textbox', { name: 'Minutes', exact: true })).toHaveValue('14');
});

test('the connection is lost in the middle of a drag: the move stands, is kept here, and saved when it is back', async ({
  page,
  context,
}) => {
  await saved(page);
  const before = await names(page);
  const box = await order(page).nth(2).boundingBox();
  await page.getByTitle('Drag to another place').first().hover();
  await page.mouse.down();
  await page.mouse.move((box?.x ?? 0) + 60, (box?.y ?? 0) + 26, { steps: 8 });
  await context.setOffline(true);
  await page.mouse.up();
  await expect(page.getByText('no connection; kept here, saved when it is back')).toBeVisible();
  const moved = await names(page);
  expect(moved).not.toEqual(before);
  expect([...moved].sort()).toEqual([...before].sort());
  await context.setOffline(false);
  await saved(page);
  await page.reload();
  await expect.poll(() => names(page)).toEqual(moved);
});

test('a step that cannot be done now is swapped for the nearest, with what is kept and lost', async ({ page }) => {
  const before = await names(page);
  await page.getByRole('button', { name: 'Swap' }).click();
  await page.getByRole('combobox', { name: 'because of …' }).click();
  await page.getByRole('option', { name: 'thin walls' }).click();
  const nearest = page.getByRole('menuitem').first();
  await expect(nearest).toContainText(/keeps .*the/);
  await expect(nearest).toContainText(/\d:\d\d in place of \d:\d\d/);
  const name = ((await nearest.innerText()).split('\n')[0] ?? '').replace(/^1\. /, '');
  await nearest.click();
  await expect.poll(() => names(page)).toContain(name);
  // What the draft said was said of the exercise before.
  await page.getByRole('tab', { name: 'Why' }).click();
  await expect(page.getByText(/^In place of “.+”, by your hand\./)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(before);
});
