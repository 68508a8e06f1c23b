// Figures of the built application with the processor slowed, beside the same ones unslowed.
import { chromium as playwright } from '@playwright/test';
import { flightRepaint, median, openBench, openDemo, pressCondition, teachPainted } from './page-steps.mjs';

const SLOWED = 4;
const REPEATS = 9;

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

/** In the page: goes on to the next key. */
const nextKey = () => {
  const key = () => document.querySelector('output')?.textContent;
  const before = key();
  const painted = window.painted('body', () => key() !== before);
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'n', bubbles: true, cancelable: true }));
  return painted;
};

/** At the piano, on the first key of a sung step; keys wait for a press. */
async function openPiano(page) {
  await page.getByRole('link', { name: 'Sing it' }).first().click();
  await page.getByRole('radio', { name: 'not at all' }).click();
  await page.getByRole('radio', { name: 'as usual' }).click();
  await page.getByRole('radio', { name: 'no', exact: true }).click();
  await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
  while ((await page.locator('output').count()) === 0) {
    await page.keyboard.press('n');
    await page.waitForTimeout(100);
  }
  await teachPainted(page);
}

async function pianoKey(page) {
  const times = [];
  for (let repeat = 0; repeat < REPEATS; repeat += 1) {
    times.push(await page.evaluate(nextKey));
    await page.waitForTimeout(200);
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
  const edit = await flightRepaint(page, pressCondition, ['Tired', 'Fresh']);
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
