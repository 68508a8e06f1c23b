// Figures of the built application in Chromium, medians of repeats.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium as playwright } from '@playwright/test';
import { flightRepaint, median, openBench, openDemo, pressCondition } from './page-steps.mjs';

/** Bytes of script, gzipped, that the first page asks for until it stands. */
async function firstScript(browser, address, folder) {
  const page = await browser.newPage();
  const names = new Set();
  page.on('response', (response) => {
    const { pathname } = new URL(response.url());
    if (pathname.endsWith('.js')) names.add(pathname);
  });
  await page.goto(`${address}/enter`);
  await page.getByRole('button', { name: 'Open the demo studio' }).waitFor();
  await page.close();
  return [...names].reduce((sum, name) => sum + gzipSync(readFileSync(join(folder, name))).length, 0) / 1000;
}

const slideMinutes = (key) => {
  const painted = window.painted('[data-testid="flight"]');
  document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  return painted;
};

/** The longest the page was held while a routine was drafted and put on the bench; the same bench is open. */
async function heldByDraft(page) {
  const held = [];
  for (let repeat = 0; repeat < 5; repeat += 1) {
    await page.evaluate(() => {
      window.longest = 0;
      window.watching = new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
      });
      window.watching.observe({ type: 'longtask' });
    });
    await page.getByRole('button', { name: 'Another draft' }).click();
    await page.waitForTimeout(1500);
    held.push(
      await page.evaluate(() => {
        window.watching.disconnect();
        return window.longest;
      }),
    );
  }
  return median(held);
}

/** From Today to At the piano with sound: two presses, the three taps of the gate not counted. */
async function toThePiano(browser, address) {
  const times = [];
  for (let repeat = 0; repeat < 5; repeat += 1) {
    const page = await openDemo(browser, address);
    const began = performance.now();
    await page.getByRole('link', { name: 'Sing it' }).first().click();
    await page.getByRole('radio', { name: 'not at all' }).click();
    await page.getByRole('radio', { name: 'as usual' }).click();
    await page.getByRole('radio', { name: 'no', exact: true }).click();
    await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
    await page.locator('[data-sound="ready"]').waitFor();
    times.push((performance.now() - began) / 1000);
    await page.close();
  }
  return median(times);
}

/** Frames a second of the trace while the simulated singer sings. */
async function traceRate(page) {
  await page.goto(new URL('/students', page.url()).href);
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Range check' }).click();
  await page.getByText('Simulated singer').click();
  await page.getByRole('button', { name: /^Speaks at/ }).click();
  const rates = [];
  for (let repeat = 0; repeat < 5; repeat += 1) {
    rates.push(
      await page.evaluate(
        () =>
          new Promise((resolve) => {
            const began = performance.now();
            let frames = 0;
            const count = () => {
              frames += 1;
              const seconds = (performance.now() - began) / 1000;
              if (seconds >= 1) resolve(frames / seconds);
              else requestAnimationFrame(count);
            };
            requestAnimationFrame(count);
          }),
      ),
    );
  }
  return median(rates);
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function pageFigures({ address, folder, executablePath, flags }) {
  const browser = await playwright.launch({ executablePath, args: flags });
  try {
    const script = await firstScript(browser, address, folder);
    const piano = await toThePiano(browser, address);
    const page = await openDemo(browser, address);
    await openBench(page);
    const repaint = await flightRepaint(page, pressCondition, ['Tired', 'Fresh']);
    await page.getByRole('slider', { name: 'Minutes to fit' }).focus();
    const slide = await flightRepaint(page, slideMinutes, ['ArrowLeft', 'ArrowRight']);
    const held = await heldByDraft(page);
    const trace = await traceRate(page);
    return [
      { name: 'first view, script gzipped', value: script, unit: 'kB', target: 260, isCeiling: true },
      {
        name: 'a change on the bench to the flight repainted, 14 steps',
        value: repaint,
        unit: 'ms',
        target: 60,
        isCeiling: true,
      },
      { name: 'the minutes slider to the flight repainted', value: slide, unit: 'ms', target: 50, isCeiling: true },
      { name: 'the page held by a draft, longest task', value: held, unit: 'ms', target: 50, isCeiling: true },
      { name: 'trace of the range check', value: trace, unit: 'frames/s', target: 30, isCeiling: false },
      {
        name: 'Today to At the piano with sound, taps included',
        value: piano,
        unit: 's',
        target: 1.5,
        isCeiling: true,
      },
    ];
  } finally {
    await browser.close();
  }
}
