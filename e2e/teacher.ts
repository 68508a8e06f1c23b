import { randomUUID } from 'node:crypto';
import type { VoiceType } from '@soft-lark/core';
import { expect, type Page } from '@playwright/test';

/** A connection that the server closed for disuse, just as it is used again, is no fault of either. */
const AGAIN = { maxRetries: 3 };

/** A studio that was just opened: its address, and the codes for a lost password. */
export interface NewStudio {
  readonly email: string;
  readonly codes: readonly string[];
}

/** Asks the server as the page would, with the page’s own session. */
async function post(page: Page, path: string, data?: object): Promise<Record<string, unknown>> {
  const answer = await page.request.post(`/api${path}`, {
    headers: { 'x-soft-lark': '1' },
    data: data ?? {},
    ...AGAIN,
  });
  if (!answer.ok()) throw new Error(`${path} answered ${String(answer.status())}: ${await answer.text()}`);
  return (await answer.json()) as Record<string, unknown>;
}

/** Keys wait for a press: a journey has to find the key it has just read. */
async function waitAtThePiano(page: Page): Promise<void> {
  const studio = (await (await page.request.get('/api/studio', AGAIN)).json()) as { readonly approach: object };
  const approach = { ...studio.approach, 'at-the-piano': 'waits' };
  const answer = await page.request.put('/api/studio', {
    ...AGAIN,
    headers: { 'x-soft-lark': '1' },
    data: { ...studio, approach },
  });
  if (!answer.ok()) throw new Error(`/studio answered ${String(answer.status())}: ${await answer.text()}`);
}

/** A new studio and its session; the page is not opened yet. */
export async function signUp(page: Page, studioName = 'Weir House'): Promise<NewStudio> {
  const email = `${randomUUID()}@example.org`;
  const { codes } = await post(page, '/studios', {
    studioName,
    name: 'Ada Reed',
    email,
    password: 'ten plain characters',
    timeZone: 'Europe/London',
  });
  await waitAtThePiano(page);
  return { email, codes: codes as string[] };
}

export async function openDemo(page: Page): Promise<void> {
  await post(page, '/demo/session');
  await page.goto('/today');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('lesson');
}

export interface NewStudent {
  readonly name: string;
  readonly type?: VoiceType;
  /** Measured notes, MIDI; none where the range was never measured. */
  readonly range?: { readonly low: number; readonly high: number } | null;
}

const MEZZO_RANGE = { low: 58, high: 76 };

/** A student of the studio, whose page is opened. */
export async function addStudent(
  page: Page,
  { name, type = 'mezzo-soprano', range = MEZZO_RANGE }: NewStudent,
): Promise<void> {
  const id = randomUUID();
  const measured = range && { measured: { ...range, date: new Date().toISOString().slice(0, 10) } };
  const voice = { type, style: 'classical', goals: [], bridges: [], avoid: [], ...measured };
  await post(page, '/students', { id, name, note: '', voice });
  await page.goto(`/students/${id}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
}

const SIX_STEPS = [
  'standing-check',
  'long-hiss',
  'lip-trill-on-five',
  'hum-on-the-chord',
  'up-and-down-five',
  'falling-hum',
];

/** A routine of six steps in ten minutes for the student whose page is open; the bench is opened on it. */
export async function buildSixSteps(page: Page): Promise<void> {
  const id = randomUUID();
  const studentId = /\/students\/([^/]+)/.exec(page.url())?.[1];
  const steps = SIX_STEPS.map((exerciseId) => ({ id: randomUUID(), exerciseId, settings: {} }));
  await post(page, '/routines', { id, studentId, name: 'Warm-up', kind: 'lesson', minutes: 10, steps });
  await page.goto(`/routines/${id}`);
  await expect(order(page)).toHaveCount(6);
  await saved(page);
}

export const order = (page: Page) => page.getByRole('region', { name: 'The order' }).locator('[data-row]');
/** The names in the order; a pinned step has a pin instead of its number. */
export const names = async (page: Page): Promise<readonly string[]> =>
  (await order(page).allInnerTexts()).map((text) => text.split('\n').find((line) => !/^\d*$/.test(line)) ?? text);

export const stepRow = (page: Page, name: string) =>
  page.getByRole('region', { name: 'The order' }).getByRole('button', { name: new RegExp(`^\\d+ ?${name}`) });
export const reasons = (page: Page) => page.getByRole('tabpanel');
/** What the routine takes, and of how many minutes. */
export const lengthOf = (page: Page, words: RegExp) => page.getByRole('group', { name: words });
/** Where the limits of the chosen step come from. */
export async function showLimits(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Limits' }).click();
}
/** Something that is done with the routine as a whole. */
export async function fromMenu(page: Page, item: string): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: item }).click();
  await expect(page.getByRole('menu')).toHaveCount(0);
}
/** What the routine is for. */
export async function makeItFor(page: Page, occasion: string): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitemradio', { name: occasion }).click();
}

export async function saved(page: Page): Promise<void> {
  await expect(page.locator('[data-save=saved]')).toBeVisible();
}

/** The bench of a new routine of the student whose page is open, with some exercises of the shelf. */
export async function benchWith(page: Page, names: readonly string[]): Promise<void> {
  await fromMenu(page, 'New routine');
  for (const name of names) {
    await page
      .getByRole('button', { name: /^Add (the first|a) step/ })
      .first()
      .click();
    await page.getByRole('dialog').getByRole('searchbox').fill(name);
    await page.getByRole('dialog').getByRole('button', { name }).first().click();
  }
  await saved(page);
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
  ['/students', /student/],
  ['/students/table', /Students from a table/],
  ['/shelf', /exercises/],
  ['/shelf/up-and-down-five', /Up and down five/],
  ['/shelf/new', /New exercise/],
  ['/shelf/import', /Import/],
  ['/shelf/compare?a=thirds&b=turns', /Side by side/],
  ['/log', /Log/],
  ['/settings/approach', /Settings/],
  ['/settings/account', /Settings/],
  ['/settings/rules', /Settings/],
  ['/settings/file', /Settings/],
  ['/cautions', /Cautions/],
  ['/about', /About/],
] as const;
