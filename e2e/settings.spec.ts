import { spawnSync } from 'node:child_process';
import { project } from '../scripts/run.mjs';
import { expect, test } from './studio.ts';
import { addStudent, buildSixSteps, openDemo, reasons, showLimits, signUp, stepRow } from './teacher.ts';

test('a figure of the rule table moves every ceiling, says whose it is, and goes back to the reference', async ({
  page,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await page.getByRole('button', { name: 'Tired', exact: true }).click();
  await expect(reasons(page).getByRole('heading', { name: /^Why D♭5/ })).toBeVisible();
  const bench = page.url();
  await page.goto('/settings/rules');
  const tired = page.getByRole('textbox', { name: 'Tired today: ceiling lower by' });
  await tired.fill('6');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toContainText('“Tired today: ceiling lower by” is 6, above');
  await tired.fill('4');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.goto(bench);
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await expect(reasons(page).getByRole('heading', { name: /^Why B4/ })).toBeVisible();
  await expect(reasons(page).getByText('tired today').locator('..')).toHaveAttribute('title', 'the studio');
  await page.goto('/settings/rules');
  await page.getByRole('button', { name: 'Back to 2' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto(bench);
  await stepRow(page, 'Up and down five').click();
  await showLimits(page);
  await expect(reasons(page).getByRole('heading', { name: /^Why D♭5/ })).toBeVisible();
});

test('one student’s figures and approach stand over the studio’s', async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await page.getByRole('link', { name: 'Rules' }).click();
  await page.getByRole('textbox', { name: 'Ordinary work stays inside both ends by' }).fill('3');
  await page.getByRole('combobox', { name: 'Travel through the keys' }).click();
  await page.getByRole('option', { name: 'rise only', exact: true }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.getByRole('link', { name: 'Voice', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Why D♭5 is the top today/ })).toBeVisible();
  await page.getByRole('link', { name: 'Rules' }).click();
  await page.getByRole('button', { name: 'Delete this student' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Delete this student' }).click();
  await expect(page.getByText('Nobody here yet.')).toBeVisible();
});

test('what a change of approach would alter is shown before it is done, and nothing is changed by looking', async ({
  page,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  const bench = page.url();
  await page.goto('/settings/approach');
  const preview = page.getByRole('region', { name: 'What this would alter' });
  const answer = async (question: string, choice: string): Promise<void> => {
    await page.getByRole('combobox', { name: question }).click();
    await page.getByRole('option', { name: choice, exact: true }).click();
  };
  await answer('Travel through the keys', 'rise only');
  const five = preview.getByRole('listitem').filter({ hasText: 'Up and down five' });
  await expect(five).toContainText('rise and come home → rise');
  await expect(five).toContainText(/\d → \d+ keys/);
  await answer('Vowel up high', 'stays the same');
  await expect(five).toContainText('now “The same vowel all the way up.”');
  await page.goto(bench);
  await stepRow(page, 'Up and down five').click();
  await expect(page.getByRole('combobox', { name: 'Travel' })).toHaveValue('rise and come home');

  await page.goto('/settings/approach');
  await answer('Travel through the keys', 'rise only');
  await expect(five).toBeVisible();
  await page.getByRole('button', { name: 'Take the usual three' }).click();
  await page.getByRole('textbox', { name: 'Question 1' }).fill('');
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Question 1' }).fill('Would you sing now?');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.goto(bench);
  await stepRow(page, 'Up and down five').click();
  await expect(page.getByRole('combobox', { name: 'Travel' })).toHaveValue('rise');
});

test('a lost password: a code from the sign-up opens the studio, once', async ({ page }) => {
  const { email, codes } = await signUp(page);
  await page.goto('/today');
  await page.getByRole('button', { name: 'Account' }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  for (const [word, isRight] of [
    [codes[0] ?? '', true],
    [codes[0] ?? '', false],
  ] as const) {
    await page.getByRole('button', { name: 'Lost the password?' }).click();
    await page.getByRole('textbox', { name: 'E-mail' }).fill(email);
    await page.getByRole('textbox', { name: 'A recovery code' }).fill(word);
    await page.getByRole('textbox', { name: /Password, ten/ }).fill('eleven plain characters');
    await page.getByRole('button', { name: 'Set a new password and open' }).click();
    if (!isRight) {
      await expect(page.getByRole('alert')).toContainText('do not go together');
      return;
    }
    // The new password ended the other codes; new ones come with it.
    await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(8);
    await page.getByRole('button', { name: 'I have kept them' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('no lessons');
    await page.getByRole('button', { name: 'Account' }).click();
    await page.getByRole('menuitem', { name: 'Sign out' }).click();
  }
});

test('without a code, whoever runs the server gives a new password', async ({ page, studio }) => {
  const { email } = await signUp(page);
  const reset = (address: string) =>
    spawnSync('node', ['scripts/password.mjs', address], {
      cwd: project,
      env: { ...process.env, DATABASE_URL: studio.databaseUrl },
      encoding: 'utf8',
    });
  expect(reset('nobody@example.org').stderr).toContain('There is no account with the address “nobody@example.org”.');
  const word = /is {2}(\S+)/.exec(reset(email).stdout)?.[1] ?? '';
  await page.goto('/students');
  await expect(page).toHaveURL(/\/enter/);
  await page.getByRole('textbox', { name: 'E-mail' }).fill(email);
  await page.getByRole('textbox', { name: 'Password' }).fill(word);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Nobody here yet.')).toBeVisible();
});

test('a shared screen shows the student in hand alone, and nothing private', async ({ page }) => {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Juniper Vance', exact: true }).click();
  const note = await page.getByRole('complementary').locator('dd').last().innerText();
  await expect(page.getByText('never sounded').first()).toBeVisible();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Lamps on the water' }).click();
  const bench = page.url();
  await page.getByRole('button', { name: 'Account' }).click();
  await page.getByRole('menuitem', { name: 'This screen is shared' }).click();
  const student = await page.getByRole('link', { name: /^In hand/ }).getAttribute('href');
  const places = [
    '/today',
    '/students',
    student ?? '',
    `${student ?? ''}/routines`,
    `${student ?? ''}/runs`,
    '/log',
    '/shelf',
    bench,
  ];
  const others = ['Maud', 'Corwin', 'Tamsin', 'Idris', 'Barnaby', 'Rook', 'Otis', 'Pip Anstey'];
  for (const place of places) {
    await page.goto(place);
    await expect(page.getByText('Shared screen:')).toBeVisible();
    await page.waitForLoadState('networkidle');
    const seen = await page.locator('body').innerHTML();
    for (const word of [...others, 'never sounded', note])
      expect([place, word, seen.includes(word)]).toEqual([place, word, false]);
  }
  await page.getByRole('button', { name: 'Only I see this screen' }).click();
  await page.goto('/students');
  await expect(page.getByRole('link', { name: 'Maud Pellow', exact: true })).toBeVisible();
});
