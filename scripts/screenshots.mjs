// npm run screenshots: makes docs/screenshots again, from the demo data at a fixed "now".
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium as playwright } from '@playwright/test';
import { freePort, startCluster } from './postgres.mjs';
import { demandChromium, ensureBuilt, ensurePackages, project } from './run.mjs';
import { serve } from './serve.mjs';

const NOW = '2026-11-25T15:18:00Z';
const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const folder = join(project, 'docs/screenshots');

async function enter(browser, address, viewport, colorScheme = 'light') {
  const context = await browser.newContext({ viewport, colorScheme, locale: 'en-GB', timezoneId: 'Europe/London' });
  const page = await context.newPage();
  await page.goto(address);
  await page.getByRole('button', { name: 'Open the demo studio' }).waitFor();
  return page;
}

async function openDemo(page) {
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await page.getByText('Maud Pellow').first().waitFor();
}

async function keep(page, name) {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(700);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  console.log(`  ${name}`);
}

async function passGate(page, picture) {
  await page.getByRole('radio', { name: 'tired', exact: true }).click();
  await page.getByRole('radio', { name: 'as usual' }).click();
  await page.getByRole('radio', { name: 'no', exact: true }).click();
  await page.locator('[data-sound="ready"]').waitFor();
  if (picture) await keep(page, picture);
  await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
}

async function singTo(page, step, keys) {
  while ((await page.getByRole('heading', { level: 1 }).textContent()) !== step) await page.keyboard.press('n');
  for (let key = 0; key < keys; key += 1) await page.keyboard.press('ArrowRight');
}

/** The simulated singer at the bridge. */
async function rangeCheck(page) {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Range check' }).click();
  await page.getByText('Simulated singer').click();
  await page.getByRole('button', { name: /^Speaks at/ }).click();
  await page.getByText('turns over').waitFor();
  await page.waitForTimeout(400);
  await keep(page, 'range-check');
}

async function atTheDesk(browser, address) {
  const page = await enter(browser, address, DESK);
  await openDemo(page);
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Maud Pellow' })
    .getByRole('button', { name: 'Tired', exact: true })
    .click();
  await keep(page, 'today');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByText('turns over').waitFor();
  await keep(page, 'voice');
  await rangeCheck(page);
  await page.goto(`${address}/settings/rules`);
  await page.getByRole('textbox', { name: 'Tired today: ceiling lower by' }).waitFor();
  await keep(page, 'rules');
  await page.goto(`${address}/cautions`);
  await page.getByRole('heading', { name: 'Medical help now' }).waitFor();
  await keep(page, 'cautions');
  await page.goto(`${address}/students`);
  await page.getByRole('link', { name: 'Otis Wren', exact: true }).waitFor();
  await keep(page, 'students');
  await page.getByRole('link', { name: 'The lock boat' }).click();
  await page.getByText('Keys in common').waitFor();
  await keep(page, 'group');
  await page.goto(`${address}/shelf?stage=occluded`);
  await page.getByText('Straw circles').waitFor();
  await page.waitForTimeout(600);
  await keep(page, 'shelf');
  await page.goto(`${address}/shelf/nine-note-runs`);
  await page.locator('[aria-label^="Staff notation"] svg').first().waitFor();
  await keep(page, 'exercise');
  await page.goto(`${address}/log`);
  await page.getByRole('combobox', { name: 'Student' }).click();
  await page.getByRole('option', { name: 'Maud Pellow' }).click();
  await page.locator('.recharts-line-dot').first().waitFor();
  await keep(page, 'log');
  await page.goto(`${address}/today`);
  await page.getByRole('link', { name: 'Before the late shift' }).click();
  await page.getByRole('button', { name: /^7 ?Down from five/ }).click();
  await keep(page, 'bench');
  // The front door shows the bench as it is; the next build takes it up.
  await page.screenshot({ path: join(project, 'web/src/places/entry/bench.jpg'), type: 'jpeg', quality: 72 });
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Hand out' }).click();
  await page.locator('[aria-label^="Staff notation"] svg').nth(3).waitFor();
  await keep(page, 'hand-out');
  await page.goBack();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page, 'gate');
  await singTo(page, 'Lip trill on five', 2);
  await page.keyboard.press('c');
  await page.keyboard.press('ArrowRight');
  await keep(page, 'piano');
  while (await page.getByRole('button', { name: 'Pause' }).isVisible()) {
    const goOn = page.getByRole('button', { name: 'On to the cool-down' });
    if (await goOn.isVisible()) await goOn.click();
    await page.keyboard.press('n');
  }
  await page.getByRole('button', { name: 'easy', exact: true }).click();
  await keep(page, 'closing');
}

async function inTheDark(browser, address) {
  const page = await enter(browser, address, DESK, 'dark');
  await openDemo(page);
  await page.getByRole('link', { name: 'Light before Saturday' }).click();
  await page.getByRole('button', { name: /^7 ?Chord up and down/ }).click();
  await keep(page, 'bench-dim');
}

/** What a student sees by the link, in the third exercise. */
async function atHome(browser, address) {
  const page = await enter(browser, address, DESK);
  await openDemo(page);
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Practice link' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByRole('textbox', { name: 'Practice link' }).inputValue();
  const phone = await (await browser.newContext({ viewport: PHONE })).newPage();
  await phone.goto(link);
  await phone.getByRole('button', { name: /^Before the late shift/ }).click();
  for (const answer of ['not at all', 'as usual', 'no'])
    await phone.getByRole('radio', { name: answer, exact: true }).click();
  await phone.getByRole('button', { name: 'Begin' }).click();
  while ((await phone.getByRole('heading', { level: 1 }).textContent()) !== 'Lip trill on five')
    await phone.getByRole('button', { name: 'Skip', exact: true }).click();
  await phone.getByRole('button', { name: 'Start' }).click();
  await phone.waitForTimeout(11_000);
  await keep(phone, 'home');
}

async function onThePhone(browser, address) {
  const page = await enter(browser, address, PHONE);
  await openDemo(page);
  await page.getByRole('link', { name: 'Sing it, Corwin Dace' }).click();
  await passGate(page);
  await singTo(page, 'Z on five', 3);
  await page.evaluate(() => {
    window.scrollTo(0, 0);
  });
  await keep(page, 'piano-phone');
}

await ensurePackages(console.log);
await ensureBuilt(console.log);
mkdirSync(folder, { recursive: true });
const cluster = await startCluster(project, 'screenshots', { durable: false });
cluster.dropDatabase('screenshots');
cluster.createDatabase('screenshots');
const port = await freePort();
const server = await serve({
  databaseUrl: cluster.url('screenshots'),
  port,
  quiet: true,
  env: { SOFT_LARK_NOW: NOW, LOG_LEVEL: 'silent' },
});
const browser = await playwright.launch({ executablePath: demandChromium(), args: FLAGS });
try {
  const address = `http://127.0.0.1:${port}`;
  await atTheDesk(browser, address);
  await inTheDark(browser, address);
  await keep(await enter(browser, address, DESK), 'enter');
  await onThePhone(browser, address);
  await atHome(browser, address);
} finally {
  await browser.close();
  await server.stop();
  cluster.stop();
}
process.exit(0);
