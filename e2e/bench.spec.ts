import { expect, test } from './studio.ts';
import {
  addStudent,
  buildSixSteps,
  fromMenu,
  goToStep,
  lengthOf,
  makeItFor,
  order,
  passGate,
  reasons,
  saved,
  showLimits,
  signUp,
  stepRow,
} from './teacher.ts';

test.beforeEach(async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
});

test('start and step by hand change keys, top note and seconds', async ({ page }) => {
  const row = stepRow(page, 'Up and down five');
  await row.click();
  await expect(row).toContainText('D4–E♭5');
  const before = await row.innerText();
  await page.getByLabel('Start', { exact: true }).fill('C4');
  await expect(row).toContainText('C4–E♭5');
  await page.getByRole('combobox', { name: 'Step' }).click();
  await page.getByRole('option', { name: '3 semitones' }).click();
  await expect(row).toContainText('C4–D♭5');
  expect(await row.innerText()).not.toBe(before);
  await page
    .getByRole('figure', { name: 'Keys of Up and down five' })
    .getByRole('button', { name: 'as a table' })
    .click();
  await expect(page.getByRole('table').getByRole('row')).toHaveCount(6);

  await page.getByLabel('Start', { exact: true }).fill('C6');
  await expect(page.getByRole('region').getByRole('alert')).toContainText(
    'From C6 the first key already reaches G6, over E♭5.',
  );
  await page.getByRole('button', { name: 'Start on A♭4' }).click();
  await expect(row).toContainText('A♭4–E♭5');
});

test('a choral style lowers the ceiling by one; a bass gets other starts and limits', async ({ page }) => {
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await expect(reasons(page).getByRole('heading', { name: /^Why E♭5/ })).toBeVisible();
  const bench = page.url();
  const start = await page.getByLabel('Start', { exact: true }).inputValue();
  await page.getByRole('link', { name: /In hand/ }).click();
  await page.getByRole('button', { name: 'Change the file' }).click();
  await page.getByRole('combobox', { name: 'Style' }).click();
  await page.getByRole('option', { name: 'choral' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Why D5 is the top today' })).toBeVisible();
  await page.goto(bench);
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await expect(reasons(page).getByText('choral style')).toBeVisible();
  await expect(reasons(page).getByRole('heading', { name: /^Why D5/ })).toBeVisible();

  await addStudent(page, { name: 'Old Bittern', type: 'bass', range: { low: 40, high: 62 } });
  await buildSixSteps(page);
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await expect(reasons(page).getByRole('heading', { name: /^Why D♭4/ })).toBeVisible();
  expect([start, await page.getByLabel('Start', { exact: true }).inputValue()]).toEqual(['D4', 'A♭2']);
});

test('order, durations and a cool-down at the end survive a reload; a removal can be undone', async ({ page }) => {
  const names = async (): Promise<string[]> =>
    (await order(page).allInnerTexts()).map((text) => text.split('\n')[1] ?? '');
  const hiss = stepRow(page, 'Long hiss');
  const box = await hiss.boundingBox();
  await page.getByTitle('Drag to another place').first().hover();
  await page.mouse.down();
  await page.mouse.move((box?.x ?? 0) + 60, (box?.y ?? 0) + 26, { steps: 8 });
  await page.mouse.up();
  await expect
    .poll(names)
    .toEqual([
      'Long hiss',
      'Standing check',
      'Lip trill on five',
      'Hum on the chord',
      'Up and down five',
      'Falling hum',
    ]);
  await stepRow(page, 'Standing check').click();
  await page.getByLabel('Seconds').fill('75');
  await expect(stepRow(page, 'Standing check')).toContainText('1:35');
  await page.getByRole('button', { name: 'Remove “Hum on the chord”' }).click({ force: true });
  await expect(order(page)).toHaveCount(5);
  await page.getByRole('alert').getByRole('button', { name: 'Undo' }).click();
  await expect(order(page)).toHaveCount(6);
  await page.getByRole('textbox', { name: 'Minutes' }).fill('9');
  await saved(page);
  await page.reload();
  await expect
    .poll(names)
    .toEqual([
      'Long hiss',
      'Standing check',
      'Lip trill on five',
      'Hum on the chord',
      'Up and down five',
      'Falling hum',
    ]);
  await expect(stepRow(page, 'Standing check')).toContainText('1:35');
  await expect(page.getByRole('group', { name: /of 9:00/ })).toBeVisible();
});

test('two windows on one routine: the later write is refused, nothing is lost, the teacher decides', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(order(other)).toHaveCount(6);
  await page.getByRole('textbox', { name: 'Minutes' }).fill('12');
  await saved(page);
  await other.route('**/api/routines/*', async (route) => {
    if (route.request().method() === 'GET') await route.abort();
    else await route.continue();
  });
  await other.getByRole('textbox', { name: 'Minutes' }).fill('15');
  await expect(other.getByRole('alert')).toContainText('changed in another window');
  await expect(other.getByRole('textbox', { name: 'Minutes' })).toHaveValue('15');
  await expect(other.getByRole('radio', { name: 'here: 15' })).toBeChecked();
  await other.getByText('there: 12').click();
  await other.getByText('here: 15').click();
  await other.getByRole('button', { name: 'Keep what is chosen' }).click();
  await saved(other);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Minutes' })).toHaveValue('15');
  // What does not touch is brought together without a question.
  await page.getByRole('textbox', { name: 'Minutes' }).fill('8');
  await saved(page);
  await stepRow(other, 'Falling hum').click();
  await other.getByLabel('Tempo', { exact: true }).fill('60');
  await saved(other);
  await expect(other.getByRole('alert')).toBeHidden();
  await expect(other.getByRole('textbox', { name: 'Minutes' })).toHaveValue('8');
  // What was brought together is saved a moment later.
  await expect(async () => {
    await page.reload();
    await stepRow(page, 'Falling hum').click();
    await expect(page.getByLabel('Tempo', { exact: true })).toHaveValue('60', { timeout: 1500 });
  }).toPass();
  await expect(page.getByRole('textbox', { name: 'Minutes' })).toHaveValue('8');
});

test('several steps at once: duplicated, moved, made a block, taken off and put back; words for a step reach the piano', async ({
  page,
}) => {
  await stepRow(page, 'Lip trill on five').click();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('d');
  await expect(order(page)).toHaveCount(8);
  await page.keyboard.press('Alt+ArrowUp');
  await expect(order(page).nth(1)).toContainText('Lip trill on five');
  await page.getByLabel('Name of the block').fill('Lips and hum');
  await page.getByRole('button', { name: 'Make a block' }).click();
  await expect(page.getByText('Lips and hum')).toBeVisible();
  await page.getByRole('button', { name: 'Take off' }).click();
  await expect(order(page)).toHaveCount(6);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(order(page)).toHaveCount(8);
  await stepRow(page, 'Up and down five').click();
  await page.getByLabel('Said at the piano').fill('Like a door that swings by itself');
  await page.getByLabel('Note, for you alone').fill('Shoulders crept up last week.');
  await page
    .getByRole('button', { name: /^Leave .* out$/ })
    .nth(1)
    .click();
  await expect(page.getByText(/keys? left out\. Left out by hand/)).toBeVisible();
  await saved(page);
  await page.reload();
  await stepRow(page, 'Up and down five').click();
  await expect(page.getByLabel('Note, for you alone')).toHaveValue('Shoulders crept up last week.');
  await expect(page.getByText('Lips and hum')).toBeVisible();
  await page
    .getByRole('button', { name: /^Put .* back$/ })
    .first()
    .click();
  await expect(page.getByText(/left out/)).toBeHidden();
  await page.getByRole('heading', { name: 'The order' }).click();
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('move what is chosen');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /Sing/ }).click();
  await passGate(page);
  await goToStep(page, 'Up and down five');
  await expect(page.getByTestId('say')).toHaveText('Like a door that swings by itself');
});

test('undo and redo go back and forth through everything, by button and by key', async ({ page }) => {
  await page.getByRole('button', { name: 'Remove “Long hiss”' }).click({ force: true });
  await page.getByRole('textbox', { name: 'Minutes' }).fill('15');
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(page.getByRole('textbox', { name: 'Minutes' })).toHaveValue('10');
  await page.getByRole('heading', { name: 'The order' }).click();
  await page.keyboard.press('Control+z');
  await expect(order(page)).toHaveCount(6);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(order(page)).toHaveCount(5);
});

test('figures out of bounds are not taken; the last good one stays', async ({ page }) => {
  await stepRow(page, 'Up and down five').click();
  const row = stepRow(page, 'Up and down five');
  const before = await row.innerText();
  const tempo = page.getByRole('textbox', { name: 'Tempo' });
  await tempo.fill('5');
  await expect(row).toHaveText(before.replaceAll('\n', ''));
  await tempo.fill('120');
  await expect(row).not.toHaveText(before.replaceAll('\n', ''));
  const minutes = page.getByRole('textbox', { name: 'Minutes' });
  await minutes.fill('9000');
  await expect(lengthOf(page, /of 10:00/)).toBeVisible();
  const start = page.getByRole('textbox', { name: 'Start', exact: true });
  const proposed = await start.inputValue();
  await start.fill('nonsense');
  await expect(page.getByText('Not a note: write a letter and an octave')).toBeVisible();
  await start.fill('');
  await start.pressSequentially('C4');
  await expect(row).toContainText('C4–');
  await start.fill('');
  await start.blur();
  await expect(start).toHaveValue(proposed);
  await saved(page);
});

test('at home both ends are narrower, before a performance the top is', async ({ page }) => {
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await makeItFor(page, 'home routine');
  await expect(reasons(page).getByText('at home, and new').first()).toBeVisible();
  await expect(reasons(page).getByRole('heading', { name: /^Why D♭5/ })).toBeVisible();
  await makeItFor(page, 'performance routine');
  await expect(reasons(page).getByText('performance within a day')).toBeVisible();
  await expect(reasons(page).getByRole('heading', { name: /^Why D5/ })).toBeVisible();
});

test('the teacher’s own top is one line of the ledger, and the reach still holds', async ({ page }) => {
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await page.getByLabel('Top', { exact: true }).fill('C5');
  await expect(reasons(page).getByText('set by the teacher')).toBeVisible();
  await expect(reasons(page).getByRole('heading', { name: /^Why C5/ })).toBeVisible();
  await page.getByLabel('Top', { exact: true }).fill('C6');
  await expect(reasons(page).getByText('never past the reach')).toBeVisible();
  await expect(reasons(page).getByRole('heading', { name: /^Why E5/ })).toBeVisible();
});

test('a top by hand that leaves no room is a problem of the step, mended with one press', async ({ page }) => {
  await stepRow(page, 'Up and down five').click();
  await page.getByLabel('Top', { exact: true }).fill('D4');
  await expect(page.getByRole('region').getByRole('alert')).toContainText(
    'The pattern spans 7 semitones; B3 to D4 holds 3.',
  );
  await expect(stepRow(page, 'Up and down five')).toContainText('left out');
  await page.getByRole('button', { name: 'Give the limits back to the rules' }).click();
  await expect(stepRow(page, 'Up and down five')).toContainText('D4–E♭5');
});

test('a routine is deleted after one question; its runs stay', async ({ page }) => {
  await fromMenu(page, 'Delete this routine');
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(order(page)).toHaveCount(6);
  await fromMenu(page, 'Delete this routine');
  await page.getByRole('dialog').getByRole('button', { name: 'Delete this routine' }).click();
  await expect(page.getByText('No routine yet.')).toBeVisible();
});

test('all steps by the shelf: letters that are nearly right, a stage, and where it belongs', async ({ page }) => {
  await page.getByRole('button', { name: /^Add a step/ }).click();
  const shelf = page.getByRole('dialog');
  await shelf.getByRole('searchbox').fill('octav leep');
  await shelf.getByRole('button', { name: 'Octave leap and settle' }).click();
  await expect(order(page).nth(5)).toContainText('Octave leap and settle');
  await page.getByRole('button', { name: /^Add a step/ }).click();
  await shelf.getByRole('button', { name: /^release/ }).click();
  await expect(shelf.getByRole('button', { name: 'Yawn and sigh down' })).toBeVisible();
  await expect(shelf.getByRole('button', { name: 'Thirds' })).toBeHidden();
  await page.keyboard.press('Escape');
  await expect(order(page)).toHaveCount(7);
});
