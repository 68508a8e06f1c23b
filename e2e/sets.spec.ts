import type { Page } from '@playwright/test';
import { expect, test } from './studio.ts';
import {
  act,
  addStudent,
  benchWith,
  goToStep,
  keyNow,
  makeItFor,
  passGate,
  saved,
  signUp,
  stepRow,
} from './teacher.ts';

/** A new exercise of a kind, its figures typed, kept on the shelf. */
async function write(page: Page, kind: string, name: string, figures: Record<string, string>): Promise<void> {
  await page.goto('/shelf/new');
  await page.getByText(kind, { exact: true }).click();
  for (const [label, text] of Object.entries(figures)) await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('tab', { name: 'Place' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
}

async function keep(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Keep on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
}

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

/** Begins the run of the bench that is open. */
async function begin(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
}

async function toTheEnd(page: Page): Promise<void> {
  for (let step = 0; step < 6 && !(await act(page, 'Finish').first().isVisible()); step += 1)
    await page.keyboard.press('n');
  await act(page, 'Finish').first().click();
  await expect(page.getByRole('button', { name: 'Into the log' })).toBeVisible();
}

test('five minutes before a performance, with glides both ways, and breath with holds inside the caution', async ({
  page,
}) => {
  await signUp(page);
  await write(page, 'A glide', 'Both ways', { Glides: '4', 'Seconds each': '4' });
  await page.getByRole('tab', { name: 'Figures' }).click();
  await choose(page, 'Shape', 'up');
  await page.getByLabel('Every second one the other way round').check();
  await keep(page, 'Both ways');
  await write(page, 'Breath by counts', 'Four and hold', { 'Hold, counts': '3', Rounds: '2' });
  await keep(page, 'Four and hold');

  await addStudent(page, { name: 'Maren Holt' });
  await benchWith(page, ['Four and hold', 'Both ways']);
  await makeItFor(page, 'performance routine');
  await page.getByRole('textbox', { name: 'Minutes', exact: true }).fill('5');
  await stepRow(page, 'Four and hold').click();
  // More than the caution is not taken; what stays within it is.
  const hold = page.getByLabel('Hold, counts', { exact: true });
  await hold.fill('20');
  await expect(page.getByText('goes from 0 to 8')).toBeVisible();
  await expect(hold).toHaveValue('20');
  await hold.fill('2');
  await expect(page.getByText('goes from 0 to 8')).toBeHidden();
  await saved(page);

  await begin(page);
  await goToStep(page, 'Both ways');
  await act(page, 'Start').click();
  const first = await keyNow(page).textContent();
  expect(first).toMatch(/ – /);
  await toTheEnd(page);
});

test('a ladder twice with the top a tone higher the second time; low work moved clear of a zone', async ({ page }) => {
  await signUp(page);
  await write(page, 'A glide', 'Low slide', { Glides: '3' });
  await page.getByRole('tab', { name: 'Figures' }).click();
  for (const [end, semitones] of [
    ['Lower', '0'],
    ['Upper', '5'],
  ] as const) {
    await choose(page, `${end} end by`, 'semitones over the floor');
    await page.getByLabel('Semitones', { exact: true }).last().fill(semitones);
  }
  await keep(page, 'Low slide');
  await addStudent(page, { name: 'Maren Holt' });
  await page.getByRole('button', { name: 'Change the file' }).click();
  await page.getByRole('button', { name: 'Add a zone' }).click();
  const zones = page.getByRole('group', { name: 'Zones' });
  await zones.getByRole('textbox', { name: 'from' }).fill('C4');
  await zones.getByRole('textbox', { name: 'to' }).fill('D4');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('never sounded, C4').first()).toBeVisible();
  await benchWith(page, ['Up and down five', 'Low slide']);
  await stepRow(page, 'Up and down five').click();
  await page.getByRole('button', { name: 'More figures' }).click();
  await choose(page, 'A second time', '2 semitones further');
  await expect(page.getByText('a second time 2 semitones further')).toBeVisible();
  const review = page.getByRole('region', { name: 'What the review says' });
  await expect(review.getByText(/glides .+ instead of .+, clear of what is never sounded/)).toBeVisible();
  await saved(page);

  await begin(page);
  await goToStep(page, 'Up and down five');
  await act(page, 'Start').click();
  for (let press = 0; press < 60 && !(await page.getByText('second time').isVisible()); press += 1)
    await page.keyboard.press('ArrowRight');
  await expect(page.getByText('second time')).toBeVisible();
  await toTheEnd(page);
});

test('a grip on the jaw as an overlay of one’s own, calls of one’s own, and words that quicken', async ({ page }) => {
  await signUp(page);
  await page.goto('/settings/approach');
  await page.getByRole('button', { name: 'Add one' }).click();
  await page.getByLabel('Name 1').fill('A grip on the chin');
  await page.getByLabel('What is done').fill('Thumb and finger hold the chin still; the tongue does the work.');
  await page.getByLabel('the jaw').check();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
  await write(page, 'Calls', 'Calls of ours', { Times: '3', 'A list to say or call': 'Hey!|Ahoy!|Over there!' });
  await keep(page, 'Calls of ours');
  await write(page, 'Spoken', 'Words that quicken', { Times: '3', 'Quicker each time, %': '10' });
  await keep(page, 'Words that quicken');

  await addStudent(page, { name: 'Maren Holt' });
  await benchWith(page, ['Up and down five', 'Calls of ours', 'Words that quicken']);
  await stepRow(page, 'Up and down five').click();
  await choose(page, 'Laid over it', 'A grip on the chin');
  await expect(page.getByText(/A grip|Thumb and finger/).first()).toBeVisible();
  await saved(page);

  await begin(page);
  await goToStep(page, 'Words that quicken');
  await act(page, 'Start').click();
  await expect(page.getByText(/line \d of 3 · beat/)).toBeVisible();
  await expect(page.getByText('done', { exact: true })).toBeVisible();
  await toTheEnd(page);
  await page.getByRole('button', { name: 'Into the log' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Words that quicken' })).toContainText(
    /done · 3 rounds · up to \d+ beats a minute/,
  );
});

test('one of each kind: written, in a routine, its figures changed, run, in the log, and beside it the next time', async ({
  page,
}) => {
  test.slow();
  const KINDS = [
    ['A glide', 'Own glide', 'Times', /./],
    ['Breath by counts', 'Own counts', 'Times', /shortened|done/],
    ['Breath in goes', 'Own goes', 'Times', /shortened|done/],
    ['As long as it lasts', 'Own longest', 'Times', /shortened|done/],
    ['By the clock', 'Own clock', 'Seconds', /shortened|done/],
    ['Spoken', 'Own words', 'Times', /shortened|done/],
    ['Calls', 'Own calls', 'Times', /shortened|done/],
  ] as const;
  await signUp(page);
  for (const [kind, name] of KINDS) {
    await write(page, kind, name, {});
    await keep(page, name);
  }
  await addStudent(page, { name: 'Maren Holt' });
  await benchWith(
    page,
    KINDS.map(([, name]) => name),
  );
  for (const [, name, figure] of KINDS) {
    await stepRow(page, name).click();
    const field = page.getByLabel(figure, { exact: true });
    await field.fill(figure === 'Seconds' ? '20' : '2');
    await field.press('Tab');
  }
  await saved(page);
  const bench = page.url();

  await begin(page);
  for (let step = 0; step < KINDS.length; step += 1) {
    await act(page, 'Start').click();
    await page.waitForTimeout(1500);
    if (step < KINDS.length - 1) await page.keyboard.press('n');
  }
  await toTheEnd(page);
  await page.getByRole('button', { name: 'Into the log' }).click();
  for (const [, name, , result] of KINDS) {
    const row = page.getByRole('listitem').filter({ hasText: name }).first();
    await expect(row).toBeVisible();
    await expect(row).toContainText(result);
  }

  await page.goto(bench.replace('/routines/', '/sing/'));
  await passGate(page);
  for (let step = 1; step <= KINDS.length; step += 1) {
    await expect(page.getByText(`step ${String(step)} of ${String(KINDS.length)}`)).toBeVisible();
    await expect(page.getByText(/last time /)).toBeVisible();
    if (step < KINDS.length) await page.keyboard.press('n');
  }
});
