// Figures of the built application in Chromium, medians of repeats.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium as playwright } from '@playwright/test';

const REPEATS = 15;

function median(values) {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
}

async function openDemo(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await page.getByRole('heading', { level: 1, name: /lesson/ }).waitFor();
  return page;
}

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

/** Opens a routine of 14 steps, and teaches the page to tell when its flight is painted anew. */
async function openBench(page) {
  await page.goto(new URL('/students', page.url()).href);
  await page.getByRole('link', { name: 'Tamsin Orrock', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Light before Saturday' }).click();
  for (const name of ['Shoulder rolls and side reach', 'Thirds', 'Twister on five']) {
    await page.getByRole('button', { name: /^Add a step/ }).click();
    await page.getByRole('dialog').getByRole('button', { name, exact: true }).click();
    await page.getByRole('dialog').waitFor({ state: 'hidden' });
  }
  await page.locator('[data-save=saved]').waitFor();
  await page.evaluate(() => {
    // A message posted as a frame begins is handled once that frame has been laid out and painted.
    window.flightPainted = () =>
      new Promise((resolve) => {
        const began = performance.now();
        new MutationObserver((_, observer) => {
          observer.disconnect();
          requestAnimationFrame(() => {
            const painted = new MessageChannel();
            painted.port1.onmessage = () => resolve(performance.now() - began);
            painted.port2.postMessage(null);
          });
        }).observe(document.querySelector('[data-testid="flight"]'), {
          subtree: true,
          attributes: true,
          childList: true,
        });
      });
  });
}

/** Milliseconds from what `act` does in the page to the flight painted anew; the two words take turns. */
async function flightRepaint(page, act, words) {
  const times = [];
  for (let repeat = 0; repeat < REPEATS; repeat += 1) {
    times.push(await page.evaluate(act, words[repeat % 2]));
    await page.waitForTimeout(120);
  }
  return median(times);
}

const pressCondition = (name) => {
  const painted = window.flightPainted();
  [...document.querySelectorAll('button')].find(({ innerText }) => innerText === name).click();
  return painted;
};

const slideMinutes = (key) => {
  const painted = window.flightPainted();
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
      { name: 'first view, script gzipped', value: script, unit: 'kB', target: 300, isCeiling: true },
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
