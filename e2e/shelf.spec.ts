import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { addStudent, buildSixSteps, fromMenu, signUp } from './teacher.ts';

const fixtures = join(import.meta.dirname, '../core/src/formats/fixtures');

const rows = (page: Page) => page.getByRole('main').getByRole('listitem').getByRole('link');

test.beforeEach(async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
});

test('an exercise is found in spite of its spelling, heard on space, compared and collected', async ({ page }) => {
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('168 exercises');
  await page.getByRole('searchbox').fill('lip tril, thin walls');
  await expect(rows(page).first()).toContainText(/trill/i);
  await page.getByRole('searchbox').fill('');
  await page.getByRole('button', { name: /^agility/ }).click();
  await page.getByRole('button', { name: 'More filters' }).click();
  await page.getByLabel('Load at most').fill('3');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('15 exercises');
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/load=3/);
  await rows(page).first().focus();
  await page.keyboard.press(' ');
  await page.getByRole('checkbox', { name: 'Choose Turns' }).check();
  await page.getByRole('checkbox', { name: 'Choose Short arpeggio' }).check();
  await page.getByRole('button', { name: 'Put in a collection' }).click();
  await page.getByLabel('Name of a new collection').fill('Light and quick');
  await page.getByRole('dialog').getByRole('button', { name: 'Put in a collection' }).click();
  await expect(page.getByText('2 chosen')).toBeHidden();
  await page.goto('/shelf');
  await page.getByRole('combobox', { name: 'Any collection' }).click();
  await page.getByRole('option', { name: 'Light and quick' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('2 exercises');
  for (const name of ['Turns', 'Short arpeggio']) await page.getByRole('checkbox', { name: `Choose ${name}` }).check();
  await page.getByRole('link', { name: 'Compare the two' }).click();
  await expect(page.getByRole('region', { name: 'Turns' })).toContainText('(1 2 1 7,)x3:1/4 1:2');
  await expect(page.getByRole('region', { name: 'Short arpeggio' })).toContainText('1 3 5 8 5 3 1:2');
  await expect(page.getByRole('img', { name: 'Staff notation of 1 3 5 8 5 3 1:2' })).toBeVisible();
});

test('on the keyboard alone: a pattern typed, refused at its character, kept as a copy, changed in two windows', async ({
  page,
  context,
}) => {
  await page.goto('/shelf/thirds');
  const pattern = page.getByLabel('Pattern', { exact: true });
  await pattern.focus();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('1 3 q');
  await expect(page.locator('mark')).toHaveText('q');
  await expect(page.getByText(/“q” is not a note, rest, glide or group/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep on the shelf' })).toBeDisabled();
  await page.keyboard.press('Backspace');
  await page.keyboard.type('5');
  await page.keyboard.press('ArrowDown');
  await page.getByRole('option', { name: ':2' }).waitFor();
  await page.keyboard.press('Enter');
  await expect(pattern).toHaveValue('1 3 5:2');
  await expect(page.getByRole('img', { name: 'Staff notation of 1 3 5:2' })).toBeVisible();
  await page.getByLabel('Name of the copy').fill('Thirds, short');
  await page.getByRole('button', { name: 'Keep on the shelf' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thirds, short');
  await expect(page.getByRole('link', { name: 'Thirds', exact: true }).first()).toBeVisible();

  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByLabel('Syllables').fill('noo');
  await pattern.fill('1 3 5 3 1:2');
  await page.getByRole('button', { name: 'Keep on the shelf' }).click();
  await expect(page.getByText('Where does the change belong?')).toBeHidden();
  await other.getByRole('button', { name: 'Keep on the shelf' }).click();
  await expect(other.getByRole('alert')).toContainText('was changed in another window');
  await other.getByRole('button', { name: 'Take what is there' }).click();
  await expect(other.getByLabel('Pattern', { exact: true })).toHaveValue('1 3 5 3 1:2');

  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page.getByRole('button', { name: 'Bring back' })).toBeVisible();
  await page.goto('/shelf?q=thirds short');
  await expect(page.getByRole('link', { name: /Thirds, short/ })).toBeHidden();
  await page.goto('/shelf?from=archived');
  await expect(page.getByRole('link', { name: /Thirds, short/ })).toBeVisible();
});

test('a change for one routine alone leaves the shelf and other routines as they were', async ({ page }) => {
  await buildSixSteps(page);
  await page
    .getByRole('button', { name: /Up and down five/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Up and down five' }).click();
  await page.getByLabel('Pattern', { exact: true }).fill('1 2 3 4 5 3 1:2');
  await page.getByRole('button', { name: 'In this routine alone' }).click();
  await expect(page.getByText('your own')).toBeVisible();
  await page.goBack();
  await page
    .getByRole('button', { name: /Up and down five/ })
    .first()
    .click();
  await expect(page.getByText(/1 2 3 4 5 3 1:2/)).toBeVisible();
  await page.goto('/shelf/up-and-down-five');
  await expect(page.getByLabel('Pattern', { exact: true })).toHaveValue('1 2 3 4 5 4 3 2 1:2');
});

test('a tune played in becomes a pattern; out as MIDI and in again it is the same', async ({ page }) => {
  await page.goto('/shelf/new');
  await page.getByRole('button', { name: 'Sing or play it in' }).click();
  const keys = page.getByRole('group', { name: 'Keys to play the tune on' });
  for (const note of ['C4', 'E4', 'G4', 'C4']) {
    await keys.getByRole('button', { name: note, exact: true }).click();
    await page.waitForTimeout(650);
  }
  await page.getByRole('button', { name: 'Make it the pattern' }).click();
  const pattern = page.getByLabel('Pattern', { exact: true });
  await expect(pattern).toHaveValue(/^1\S* 3\S* 5\S* 1/);
  const written = await pattern.inputValue();
  await page.getByRole('tab', { name: 'Place' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Played in');
  await page.getByRole('button', { name: 'Keep on the shelf' }).click();
  await expect(page.getByText('your own')).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: /MIDI/ }).click();
  const file = await (await download).path();
  await page.goto('/shelf/import');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'played.mid', mimeType: 'audio/midi', buffer: await readFile(file) });
  await expect(page.getByText(written, { exact: true })).toBeVisible();
});

test('bars of a song become a pattern; a copy changed twice is compared with what it was', async ({ page }) => {
  await page.goto('/shelf/import');
  await page.locator('input[type=file]').setInputFiles(join(fixtures, 'two-boats.abc'));
  await page.getByRole('button', { name: 'Keep the whole tune as a song' }).click();
  await expect(page.getByText('3 bars, E♭4 to C5')).toBeVisible();
  await page.goto('/shelf/tune-through-a-straw');
  await page.getByRole('button', { name: 'From a song' }).click();
  await page.getByRole('combobox', { name: 'Song' }).click();
  await page.getByRole('option', { name: 'Two boats' }).click();
  await page.getByRole('slider', { name: 'Last bar' }).press('ArrowRight');
  await expect(page.getByText('Bars 1 to 3 of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Take these bars' }).click();
  const pattern = page.getByLabel('Pattern', { exact: true });
  await expect(pattern).toHaveValue('1 3 5 6:2 5 6 5:1/2 4:1/2 3:5');
  await expect(page.getByLabel('Syllables')).toHaveValue(/^Two boats a/);
  await page.getByLabel('Name of the copy').fill('Lantern bars');
  await page.getByRole('button', { name: 'Keep on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Lantern bars');
  await page.getByLabel('Syllables').fill('noo*');
  await page.getByRole('button', { name: 'Keep on the shelf' }).click();
  await page.getByRole('link', { name: 'Compare with earlier' }).click();
  const sides = page.getByRole('region', { name: 'Lantern bars' });
  await expect(sides.first().getByText(/^Two boats a/)).toBeVisible();
  await expect(sides.last().getByText('noo*')).toBeVisible();
  await page.goto('/shelf/import');
  await page.getByRole('listitem').filter({ hasText: 'Two boats' }).getByRole('button').click();
  await page.getByRole('dialog').getByRole('button', { name: 'Delete the song' }).click();
  await expect(page.getByText('Two boats')).toHaveCount(0);
});

test('a tune from another program: what cannot be kept is said, a part is picked and put on the shelf', async ({
  page,
}) => {
  await page.goto('/shelf/import');
  await page.locator('input[type=file]').setInputFiles(join(fixtures, 'two-boats.abc'));
  await expect(page.getByText('Grace notes are left out.')).toBeVisible();
  await page.getByRole('slider', { name: 'Last note' }).focus();
  for (let press = 0; press < 5; press += 1) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('1 3 5 6:2', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Two boats');
});

test('a file of exercises: previewed, taken in whole, taken back as one; a bad file is refused in a sentence', async ({
  page,
}) => {
  const exercise = (id: string, change: object) => ({
    id,
    name: id,
    shortName: 'Mine',
    stage: 'middle',
    load: 1,
    work: { kind: 'pattern', pattern: '1 2 1', syllables: 'ah' },
    ...change,
  });
  const text = JSON.stringify({
    kind: 'soft-lark-exercises',
    version: 1,
    exercises: [exercise('one', {}), exercise('two', { load: 9 }), exercise('three', {})],
    collections: [{ name: 'From a friend', exercises: ['one', 'three'] }],
  });
  const drop = (name: string, content: string) =>
    page
      .locator('input[type=file]')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  await page.goto('/shelf/import');
  await drop('cut-off.json', text.slice(0, 60));
  await expect(page.getByRole('alert')).toContainText('The file is not whole JSON');
  await drop('newer.json', text.replace('"version":1', '"version":9'));
  await expect(page.getByRole('alert')).toContainText('newer version');
  await drop('friend.json', text);
  await expect(page.getByRole('button', { name: '2 new' })).toBeVisible();
  await expect(page.getByRole('row', { name: /two refused “load”/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take in 2 exercises' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'friend.json' })).toBeVisible();
  await page.goto('/shelf?from=own');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('2 exercises');
  await page.goto('/shelf/import');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('taken back')).toBeVisible();
  await page.goto('/shelf?from=own');
  await expect(page.getByText(/Nothing on the shelf fits/)).toBeVisible();
});

test('a ready-made routine is filled for this voice within its minutes', async ({ page }) => {
  await fromMenu(page, 'Ready-made');
  await page.getByRole('button', { name: /Lesson, eight minutes/ }).click();
  await expect(page.getByRole('heading', { name: 'The order' })).toBeVisible();
  await expect(page.getByRole('group', { name: /of 8:00/ })).toBeVisible();
  await expect(page.getByText(/over$/)).toBeHidden();
});
