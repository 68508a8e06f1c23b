import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { expectAccessible, expectNoSidewaysScroll } from './accessible.ts';
import { listen, samplesStarted } from './listen.ts';
import { expect, test } from './studio.ts';
import { fromMenu, openDemo } from './teacher.ts';

// What a phone keeps for the time without a network is kept by the service worker.
test.use({ serviceWorkers: 'allow' });

const PHONE = { viewport: { width: 390, height: 844 } };

/** A link of Maud’s, as the teacher hands it over. */
async function makeLink(page: Page): Promise<string> {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await fromMenu(page, 'Practice link');
  const dialog = page.getByRole('dialog', { name: 'Practice link' });
  await dialog.getByRole('button', { name: 'Make a link' }).click();
  return dialog.getByRole('textbox', { name: 'Practice link' }).inputValue();
}

async function throughTheGate(phone: Page): Promise<void> {
  await phone.getByRole('button', { name: /^Before the late shift/ }).click();
  for (const answer of ['not at all', 'as usual', 'no'])
    await phone.getByRole('radio', { name: answer, exact: true }).click();
  await phone.getByRole('button', { name: 'Begin' }).click();
}

test('a link is practised on a phone with the network cut off, and comes back to the teacher once', async ({
  page,
  browser,
}) => {
  const link = await makeLink(page);
  const context = await browser.newContext(PHONE);
  const phone = await context.newPage();
  await phone.goto(link);
  await expect(phone.getByRole('button', { name: /^Before the late shift/ })).toBeVisible();
  await expect(phone.getByText('Maud')).toHaveCount(0);
  await expectAccessible(phone);
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await phone.reload();
  await throughTheGate(phone);
  await expect(phone.getByRole('button', { name: 'Start' })).toBeVisible();
  await expectAccessible(phone);
  await expectNoSidewaysScroll(phone);

  await context.setOffline(true);
  await phone.reload();
  // It picks up where it stopped, and needs nobody.
  await expect(phone.getByRole('heading', { level: 1 })).toBeVisible();
  const title = phone.getByRole('heading', { level: 1 });
  const first = await title.textContent();
  await phone.getByRole('button', { name: 'Skip', exact: true }).click();
  await expect(title).not.toHaveText(first ?? '');
  while ((await phone.locator('output svg, main output').first().textContent())?.includes(':'))
    await phone.getByRole('button', { name: 'Skip', exact: true }).click();
  await phone.getByRole('button', { name: 'Start' }).click();
  await expect(phone.getByRole('button', { name: 'Pause' })).toBeVisible();
  await phone.getByRole('button', { name: 'Stop', exact: true }).click();
  await phone.getByRole('button', { name: 'Enough for today' }).click();
  await expectAccessible(phone);
  await phone.getByRole('button', { name: 'easy', exact: true }).click();
  await phone.getByLabel('A line to your teacher').fill('the turn went well');
  await phone.getByRole('button', { name: 'Done' }).click();
  await expect(phone.getByText('Kept on this device.')).toBeVisible();
  await context.setOffline(false);
  await expect(phone.getByText('Kept on this device.')).toBeHidden();

  await page.goto('/log');
  await expect(page.getByRole('row', { name: /Maud Pellow.*at home.*the turn went well/ })).toHaveCount(1);
  await context.close();
});

test('a link that is taken back opens nothing, also where it was opened before', async ({ page, browser }) => {
  const link = await makeLink(page);
  const context = await browser.newContext(PHONE);
  const phone = await context.newPage();
  await phone.goto(link);
  await expect(phone.getByText('What would you like to practise?')).toBeVisible();
  // The one just made stands first; others of this student may be open.
  const takeBack = page.getByRole('button', { name: /^Take back the link made on/ });
  const before = await takeBack.count();
  await takeBack.first().click();
  await expect(takeBack).toHaveCount(before - 1);
  await phone.reload();
  await expect(phone.getByText('This link does not open anything, or not any more.')).toBeVisible();
  await expect(phone.getByText('Ask your teacher for a new one.')).toBeVisible();
  await context.close();
});

test('what a phone puts by for a day without a connection is under two megabytes as it is sent', async ({
  request,
}) => {
  const worker = await (await request.get('/sw.js')).text();
  const files = [...worker.matchAll(/url:"([^"]+)"/g)].map(([, url = '']) => url);
  expect(files.length).toBeGreaterThan(50);
  const sent = await Promise.all(
    files.map(async (url) => gzipSync(await (await request.get(`/${url}`)).body()).length),
  );
  expect(sent.reduce((sum, bytes) => sum + bytes, 0)).toBeLessThan(2_000_000);
});

test('a lesson over video sounds at the student’s side alone, as the teacher conducts it', async ({
  page,
  browser,
}) => {
  const link = await makeLink(page);
  const context = await browser.newContext(PHONE);
  const phone = await context.newPage();
  for (const side of [page, phone]) await side.addInitScript(listen);
  await phone.goto(link);
  await phone.getByRole('button', { name: /^Lesson over video/ }).click();
  await expect(phone.getByText('Your teacher plays here.')).toBeVisible();
  await expectAccessible(phone);

  await page.goto('/today');
  await page.getByRole('link', { name: 'Sing it, Maud Pellow' }).click();
  for (const answer of ['not at all', 'as usual', 'no'])
    await page.getByRole('radio', { name: answer, exact: true }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.locator('[data-sound="ready"]').waitFor();
  await page.getByRole('button', { name: 'Sound', exact: true }).click();
  await page.getByRole('switch', { name: /^Sound at the student’s side/ }).click();
  await expect(page.getByText('Maud Pellow’s page listens.')).toBeVisible();
  await page.keyboard.press('Escape');
  const title = page.getByRole('heading', { level: 1 });
  while ((await title.textContent()) !== 'Lip trill on five') await page.keyboard.press('n');
  // The phone has its samples when it plays what it is sent.
  await expect(async () => {
    await page.keyboard.press('r');
    await page.keyboard.press('ArrowRight');
    await expect(phone.getByRole('heading', { level: 1 })).toHaveText('Lip trill on five', { timeout: 1000 });
    expect((await samplesStarted(phone)).length).toBeGreaterThan(4);
  }).toPass();
  expect(await samplesStarted(page)).toEqual([]);
  await expect(page.getByText('look for', { exact: true })).toBeVisible();
  await expectAccessible(page);
  await phone.getByRole('button', { name: 'Leave' }).click();
  await expect(page.getByText(/^Nobody listens there yet: see Sound/)).toBeVisible();
  await context.close();
});
