import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import {
  act,
  addStudent,
  fromMenu,
  goToStep,
  keyNow,
  keysOf,
  lengthOf,
  order,
  passGate,
  reasons,
  saved,
  showLimits,
  signUp,
  stepRow,
} from './teacher.ts';

/** What a new teacher does at the screens: opens a studio, keeps the codes, adds a student, puts six steps on the bench. */
async function beginByHand(page: Page): Promise<void> {
  await page.goto('/');
  const form = page.getByRole('region', { name: 'A studio of your own' });
  await page.getByRole('button', { name: 'New studio' }).click();
  await form.getByRole('textbox', { name: 'Name of the studio' }).fill('Weir House');
  await form.getByRole('textbox', { name: 'Your name' }).fill('Ada Reed');
  await form.getByRole('textbox', { name: 'E-mail' }).fill(`${randomUUID()}@example.org`);
  await form.getByLabel(/Password, ten/).fill('ten plain characters');
  await form.getByRole('button', { name: 'Open my studio' }).click();
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(8);
  await page.getByRole('button', { name: 'I have kept them' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('no lessons');

  await page.getByRole('link', { name: 'Students', exact: true }).click();
  await page.getByRole('button', { name: 'Add a student' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Maren Holt');
  await page.getByRole('combobox', { name: 'Voice type' }).click();
  await page.getByRole('option', { name: 'mezzo', exact: true }).click();
  await page.getByLabel('Lowest comfortable note').fill('Bb3');
  await page.getByLabel('Highest comfortable note').fill('E5');
  await page.getByRole('button', { name: 'Add and open' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Maren Holt');

  await fromMenu(page, 'New routine');
  await page.getByRole('button', { name: 'Put six plain steps on it' }).click();
  await expect(order(page)).toHaveCount(6);
  await saved(page);
}

test('a new teacher: from sign-up to a log of exactly the keys sung', async ({ page }) => {
  await beginByHand(page);
  await expect(lengthOf(page, /of 10:00/)).toBeVisible();

  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await expect(reasons(page).getByRole('heading', { name: 'Why E♭5 is the top today' })).toBeVisible();
  await page.getByRole('button', { name: 'Tired', exact: true }).click();
  await expect(reasons(page).getByRole('heading', { name: 'Why D♭5 is the top today' })).toBeVisible();
  await expect(reasons(page).getByText('tired today')).toBeVisible();
  await expect(reasons(page).getByText('On a fresh day: B3 to E♭5.')).toBeVisible();

  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Up and down five');
  await act(page, 'Start').click();
  await expect(keyNow(page)).toHaveText('D');
  await act(page, 'Next key').click();
  await expect(keyNow(page)).toHaveText('E♭');
  await act(page, 'Next key').click();
  await page.getByRole('button', { name: 'strain' }).click();
  await expect(page.getByTestId('count')).toHaveText('two more');
  await act(page, 'Effort: turn here').click();
  await expect(keyNow(page)).toHaveText('E♭');
  await expect(page.getByTestId('count')).toHaveText('last one');
  await act(page, 'Next key').click();
  await act(page, 'Next step').last().click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Falling hum');
  await act(page, 'Finish').first().click();

  await page.getByRole('button', { name: 'easy', exact: true }).click();
  await page.getByLabel('A line for next time').fill('Turned at the first pull.');
  await page.getByRole('button', { name: 'Into the log' }).click();

  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Maren Holt, Warm-up');
  await expect(page.getByText('Turned at the first pull.')).toBeVisible();
  await expect
    .poll(() => keysOf(page, 'Up and down five', 'planned'))
    .toEqual(['D', 'E♭', 'E', 'F', 'F♯', 'F', 'E', 'E♭', 'D']);
  await expect.poll(() => keysOf(page, 'Up and down five', 'sung')).toEqual(['D', 'E♭', 'E\nstrain', 'E♭', 'D']);
  await expect(page.getByText('at the gate: tired')).toBeVisible();
});

test('another studio sees none of it', async ({ page, browser, baseURL }) => {
  await signUp(page);
  await addStudent(page, { name: 'Hidden Heron' });
  const address = page.url();
  const other = await browser.newPage({ baseURL });
  await signUp(other, 'Mill Race');
  await other.goto('/students');
  await expect(other.getByText('Nobody here yet.')).toBeVisible();
  await other.goto(address);
  await expect(other.getByRole('alert')).toContainText('no such student in this studio');
  await other.close();
});
