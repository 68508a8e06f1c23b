// Figures of the built application with the processor slowed, beside the same ones unslowed.
import { chromium as playwright } from '@playwright/test';
import { flightRepaint, median, openBench, openDemo, pressCondition, teachPainted } from './page-steps.mjs';

const SLOWED = 4;
const REPEATS = 5;
/** Milliseconds until a slowed page has done all that a press brought about. */
const REST = 600;
const MOST_STEPS = 14;
/** Breath, and easy. */
const MARKS = ['b', 'e'];

async function slow(page, rate) {
  const protocol = await page.context().newCDPSession(page);
  await protocol.send('Emulation.setCPUThrottlingRate', { rate });
}

/** Milliseconds from asking for a studio's first page to the last thing on it. */
async function firstView(browser, address, rate) {
  const times = [];
  for (let repeat = 0; repeat < 3; repeat += 1) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await slow(page, rate);
    const began = performance.now();
    await page.goto(`${address}/enter`);
    await page.getByRole('button', { name: 'Open the demo studio' }).waitFor();
    times.push(performance.now() - began);
    await page.close();
  }
  return median(times);
}

/** At the piano, on a sung step before it begins. */
async function openPiano(page) {
  await page.getByRole('link', { name: 'Sing it' }).first().click();
  await page.getByRole('radio', { name: 'not at all' }).click();
  await page.getByRole('radio', { name: 'as usual' }).click();
  await page.getByRole('radio', { name: 'no', exact: true }).click();
  await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
  for (let step = 0; step < MOST_STEPS; step += 1) {
    await page.keyboard.press('n');
    const isSung = await page
      .locator('output')
      .waitFor({ timeout: 1000 })
      .then(
        () => true,
        () => false,
      );
    if (isSung) {
      await teachPainted(page);
      return;
    }
  }
  throw new Error('The routine of the demo has no sung step.');
}

/** Milliseconds from a press to the screen: a mark on the key in hand. */
async function pianoKey(page) {
  const times = [];
  for (let repeat = 0; repeat < REPEATS; repeat += 1) {
    await page.evaluate(() => {
      window.pressPainted = new Promise((resolve) => {
        window.addEventListener('keydown', () => resolve(window.painted('main')), { capture: true, once: true });
      });
    });
    await page.keyboard.press(MARKS[repeat % 2]);
    times.push(await page.evaluate(() => window.pressPainted));
    await page.waitForTimeout(REST);
  }
  return median(times);
}

async function measure(browser, address, rate) {
  const first = await firstView(browser, address, rate);
  const page = await openDemo(browser, address);
  await openPiano(page);
  await slow(page, rate);
  const key = await pianoKey(page);
  await slow(page, 1);
  await openBench(page);
  await slow(page, rate);
  const edit = await flightRepaint(page, pressCondition, ['Tired', 'Fresh'], REST);
  await page.close();
  return { first, key, edit };
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function slowFigures({ address, executablePath, flags }) {
  const browser = await playwright.launch({ executablePath, args: flags });
  try {
    const usual = await measure(browser, address, 1);
    const slowed = await measure(browser, address, SLOWED);
    const figure = (name, key, target) => ({
      name: `${name} (${(slowed[key] / usual[key]).toFixed(1)} × unslowed)`,
      value: slowed[key],
      unit: 'ms',
      target,
      isCeiling: true,
    });
    return [
      figure(`first view, processor slowed ${SLOWED} ×`, 'first', 3000),
      figure(`a key at the piano to the screen, slowed ${SLOWED} ×`, 'key', 120),
      figure(`a change on the bench to the flight, slowed ${SLOWED} ×`, 'edit', 200),
    ];
  } finally {
    await browser.close();
  }
}
