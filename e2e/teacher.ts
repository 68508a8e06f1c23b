import { randomUUID } from 'node:crypto';
import { expect, type Page } from '@playwright/test';

/** A studio that was just opened: its address, and the codes for a lost password. */
export interface NewStudio {
  readonly email: string;
  readonly codes: readonly string[];
}

/** What a teacher does at the screens, by role and name. */
export async function signUp(page: Page, studioName = 'Weir House'): Promise<NewStudio> {
  const email = `${randomUUID()}@example.org`;
  const form = page.getByRole('tabpanel', { name: 'New studio' });
  await page.getByRole('tab', { name: 'New studio' }).click();
  await form.getByRole('textbox', { name: 'Name of the studio' }).fill(studioName);
  await form.getByRole('textbox', { name: 'Your name' }).fill('Ada Reed');
  await form.getByRole('textbox', { name: 'E-mail' }).fill(email);
  await form.getByLabel(/Password, ten/).fill('ten plain characters');
  await form.getByRole('button', { name: 'Open my studio' }).click();
  const listed = page.getByRole('dialog').getByRole('listitem');
  await expect(listed).toHaveCount(8);
  const codes = await listed.allInnerTexts();
  await page.getByRole('button', { name: 'I have kept them' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('no lessons');
  return { email, codes };
}

export async function openDemo(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('lesson');
}

export interface NewStudent {
  readonly name: string;
  readonly type?: string;
  readonly low?: string;
  readonly high?: string;
}

export async function addStudent(
  page: Page,
  { name, type = 'mezzo', low = 'Bb3', high = 'E5' }: NewStudent,
): Promise<void> {
  await page.getByRole('link', { name: 'Students', exact: true }).click();
  await page.getByRole('button', { name: 'Add a student' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('combobox', { name: 'Voice type' }).click();
  await page.getByRole('option', { name: type, exact: true }).click();
  await page.getByLabel('Lowest comfortable note').fill(low);
  await page.getByLabel('Highest comfortable note').fill(high);
  await page.getByRole('button', { name: 'Add and open' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
}

/** A routine of six steps in ten minutes for the student whose page is open. */
export async function buildSixSteps(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'New routine' }).click();
  await page.getByRole('button', { name: 'Put six plain steps on it' }).click();
  await expect(order(page)).toHaveCount(6);
  await saved(page);
}

export const order = (page: Page) => page.getByRole('region', { name: 'The order' }).locator('[data-row]');
/** The names in the order; a pinned step has a pin instead of its number. */
export const names = async (page: Page): Promise<readonly string[]> =>
  (await order(page).allInnerTexts()).map((text) => text.split('\n').find((line) => !/^\d*$/.test(line)) ?? text);

export const stepRow = (page: Page, name: string) =>
  page.getByRole('region', { name: 'The order' }).getByRole('button', { name: new RegExp(`^\\d+ ?${name}`) });
export const reasons = (page: Page) => page.getByRole('complementary');

export async function saved(page: Page): Promise<void> {
  await expect(page.getByText(/^saved · version/)).toBeVisible();
}

/** Three taps of a usual day, then begin. */
export async function passGate(page: Page): Promise<void> {
  await page.getByRole('radio', { name: 'not at all' }).click();
  await page.getByRole('radio', { name: 'as usual' }).click();
  await page.getByRole('radio', { name: 'no', exact: true }).click();
  await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
}

/** The key in the large letters. */
export const keyNow = (page: Page) => page.locator('output');
export const act = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

/** Goes on with the main button until a step's name is shown. */
export async function goToStep(page: Page, name: string): Promise<void> {
  for (let press = 0; press < 80; press += 1) {
    if ((await page.getByRole('heading', { level: 1 }).textContent()) === name) return;
    await page.keyboard.press('n');
  }
  throw new Error(`The step “${name}” never came.`);
}

/** Keys of a list in the log, in order. */
export async function keysOf(page: Page, step: string, kind: 'planned' | 'sung'): Promise<string[]> {
  return page
    .getByRole('list', { name: `${step}, ${kind}` })
    .getByRole('listitem')
    .allInnerTexts();
}

/** Places that need no id of the demo studio, with their headings. */
export const PLACES = [
  ['/students', /students/],
  ['/shelf', /exercises/],
  ['/shelf/up-and-down-five', /Up and down five/],
  ['/shelf/new', /New exercise/],
  ['/shelf/import', /Import/],
  ['/shelf/compare?a=thirds&b=turns', /Side by side/],
  ['/log', /Log/],
  ['/settings/approach', /Settings/],
  ['/settings/account', /Settings/],
  ['/settings/rules', /Settings/],
  ['/cautions', /Cautions/],
  ['/about', /About/],
] as const;
