import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import { addStudent, fromMenu, signUp } from './teacher.ts';

test.beforeEach(async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await fromMenu(page, 'Range check');
});

const soFar = (page: Page) => page.getByRole('region', { name: 'So far' });
const key = (page: Page, note: string) =>
  page.getByRole('group', { name: 'Press the note that was sung' }).getByRole('button', { name: note, exact: true });

test('on the keys: easy, only just, missing notes, and nothing written before it is confirmed', async ({ page }) => {
  await key(page, 'A3').click();
  for (const note of ['A3', 'G3', 'F♯3']) await key(page, note).click();
  await page.keyboard.press('j');
  await page.getByRole('button', { name: 'That is the lowest' }).click();
  for (const note of ['B♭3', 'B3', 'C4', 'E4', 'G4', 'A4']) await key(page, note).click();
  await page.getByRole('button', { name: /^Turned over at A4/ }).click();
  await expect(soFar(page).getByText('turns over')).toBeVisible();
  await page.goto('/today');
  await page.getByRole('link', { name: 'Maren Holt' }).first().click();
  await fromMenu(page, 'Range check');
  await expect(soFar(page).getByText('A4', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'That is the highest' }).click();
  await expect(page.getByLabel('Lowest easy')).toHaveValue('G3');
  await expect(page.getByLabel('Lowest possible')).toHaveValue('F♯3');
  await expect(page.getByRole('group', { name: 'Missing notes' }).getByLabel('from').first()).toHaveValue('A♭3');
  await page.getByLabel('Lowest easy').fill('B5');
  await page.getByRole('button', { name: 'Write it into the voice file' }).click();
  await expect(page.getByRole('alert')).toContainText('The lowest comfortable note is not below the highest.');
  await page.getByLabel('Lowest easy').fill('G3');
  await page.getByRole('button', { name: 'Write it into the voice file' }).click();
  await expect(page.getByText('F♯3 – A4')).toBeVisible();
  await expect(page.getByText('A4–A4')).toBeVisible();
});

test('the simulated singer sings a whole check in well under three minutes; a second one shows over time', async ({
  page,
}) => {
  await page.getByText('Simulated singer').click();
  await page.getByRole('combobox', { name: 'Which simulated singer' }).click();
  await page.getByRole('option', { name: 'changing, with a gap' }).click();
  await page.getByRole('button', { name: /^Speaks at/ }).click();
  await expect(page.getByText('Nothing is written before you say so.')).toBeVisible({ timeout: 90_000 });
  await expect(page.getByLabel('Lowest easy')).toHaveValue('C3');
  await expect(page.getByLabel('Highest easy')).toHaveValue('G4');
  const gaps = page.getByRole('group', { name: 'Missing notes' });
  await expect(gaps.getByLabel('from')).toHaveValue('B♭3');
  await expect(gaps.getByLabel('to')).toHaveValue('C4');
  // Nobody’s voice: it is asked about before it stands in a file.
  await expect(page.getByRole('button', { name: 'Write it into the voice file' })).toBeDisabled();
  await page.getByRole('checkbox', { name: 'Write them into the voice file all the same' }).check();
  await expect(page.getByRole('button', { name: 'Write it into the voice file' })).toBeEnabled();
  await page.getByRole('button', { name: 'Start afresh' }).click();
  await expect(page.getByRole('button', { name: /^Speaks at/ })).toBeVisible();
});

test.describe('what stands in the way is said, and the keys go on', () => {
  for (const [name, sentence] of [
    ['NotFoundError', /^There is no microphone/],
    ['NotAllowedError', /^The browser was told not to let the microphone in/],
    ['NotReadableError', /^Another program holds the microphone/],
  ] as const) {
    test(`${name} at the microphone`, async ({ page }) => {
      await page.evaluate((error) => {
        navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', error));
      }, name);
      await page.getByText('Microphone', { exact: true }).click();
      await expect(page.getByRole('alert')).toHaveText(sentence);
      await page.getByText('Keys here', { exact: true }).click();
      await expect(page.getByRole('alert')).toBeHidden();
      await key(page, 'A3').click();
      await expect(page.getByText('Down, gently. Now')).toBeVisible();
    });
  }

  test('a MIDI keyboard plays the notes in; pulled out in the middle, nothing is lost', async ({ page }) => {
    // Chromium here has MIDI but no keyboard; the one that ships takes its place.
    await page.getByText('MIDI', { exact: true }).click();
    await page.getByRole('button', { name: 'Plug in a simulated keyboard' }).click();
    await key(page, 'A3').click();
    await expect(page.getByText('Down, gently. Now')).toBeVisible();
    await key(page, 'A3').click();
    await key(page, 'A♭3').click();
    await expect(soFar(page).getByText('A♭3')).toBeVisible();
    await page.getByRole('button', { name: 'Pull the keyboard out' }).click();
    await expect(page.getByRole('alert')).toHaveText(/^The MIDI keyboard is gone/);
    await expect(soFar(page).getByText('A♭3')).toBeVisible();
    await page.getByRole('button', { name: 'Plug in a simulated keyboard' }).click();
    await expect(page.getByRole('alert')).toBeHidden();
    await key(page, 'G3').click();
    await expect(soFar(page).getByText('G3', { exact: true })).toBeVisible();
  });
});
