// Figures of the shelf: keystrokes on the exercise sheet, and a shelf of five thousand.
import { fileURLToPath } from 'node:url';
import { chromium as playwright } from '@playwright/test';
import { exerciseSchema, shippedExercises } from '@soft-lark/core';
import { createServer } from 'vite';

const MANY = 4900;
const IMPORTED = 1000;

function at(values, share) {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];
}

const WORDS = 'lantern heron lock weir tiller reed ferry gull rope oar mist bell'.split(' ');

/** A file of exercises, each with a name and a tune of its own. */
function fileOf(count, prefix) {
  const exercises = Array.from({ length: count }, (_, index) => ({
    id: `${prefix}-${index}`,
    name: `${WORDS[index % 12]} ${WORDS[Math.floor(index / 12) % 12]} ${index}`,
    shortName: `${prefix} ${index}`.slice(0, 14),
    stage: 'middle',
    load: index % 6,
    goals: [WORDS[(index * 5) % 12]],
    why: 'A made-up exercise that only fills the shelf.',
    work: { kind: 'pattern', pattern: `1 ${(index % 7) + 1} 5 3 1:2`, syllables: 'noo' },
  }));
  return Buffer.from(JSON.stringify({ kind: 'soft-lark-exercises', version: 1, exercises }));
}

const ASKED = ['lantern', 'heron lok', 'weir 12', 'tiler', 'mist bell', 'hum', 'reed 4', 'gull rope', 'no straw'];

/** Milliseconds of the search itself over five thousand exercises, the page's own code. */
async function searchAlone() {
  const root = fileURLToPath(new URL('../web', import.meta.url));
  const vite = await createServer({ root, server: { middlewareMode: true }, appType: 'custom', logLevel: 'silent' });
  const { readQuestion, searchOver } = await vite.ssrLoadModule('/src/places/shelf/find-exercises.ts');
  const { exercises } = JSON.parse(fileOf(MANY, 'alone'));
  const search = searchOver([...shippedExercises(), ...exercises.map((one) => exerciseSchema.parse(one))]);
  const times = Array.from({ length: 10 }, () => ASKED)
    .flat()
    .map((text) => {
      const began = performance.now();
      search(readQuestion(text).letters);
      return performance.now() - began;
    });
  await vite.close();
  return times;
}

async function newStudio(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  const form = page.getByRole('region', { name: 'A studio of your own' });
  await page.getByRole('button', { name: 'New studio' }).click();
  await form.getByRole('textbox', { name: 'Name of the studio' }).fill('Bench');
  await form.getByRole('textbox', { name: 'Your name' }).fill('Ada');
  await form.getByRole('textbox', { name: 'E-mail' }).fill(`${Date.now()}@example.org`);
  await form.getByLabel(/Password, ten/).fill('ten plain characters');
  await form.getByRole('button', { name: 'Open my studio' }).click();
  await page.getByRole('button', { name: 'I have kept them' }).click();
  return page;
}

/** Seconds from choosing a file to its exercises on the shelf. */
async function importSeconds(page, address, count, prefix) {
  await page.goto(`${address}/shelf/import`);
  const began = performance.now();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: `${prefix}.json`, mimeType: 'application/json', buffer: fileOf(count, prefix) });
  await page.getByRole('button', { name: /^Take in/ }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: `${prefix}.json` })
    .waitFor();
  return (performance.now() - began) / 1000;
}

/** Milliseconds from a keystroke in a pattern of 64 events to its pictures painted anew. */
async function keystrokes(page, address) {
  await page.goto(`${address}/shelf/thirds`);
  const field = page.getByLabel('Pattern', { exact: true });
  await field.fill('(1 2 3 4 5 4 3 2)x7:1/2 1 2 3 4 5 4 3 1');
  await page.locator('[aria-label^="Staff notation"] svg').first().waitFor();
  const times = [];
  for (let key = 0; key < 24; key += 1) {
    times.push(
      await page.evaluate(
        (degree) =>
          new Promise((resolve) => {
            const input = [...document.querySelectorAll('input')].find(({ value }) => value.startsWith('(1 2 3'));
            const staff = document.querySelector('[aria-label^="Staff notation"]');
            const began = performance.now();
            new MutationObserver((_, observer) => {
              if (!staff.querySelector('svg path')) return;
              observer.disconnect();
              requestAnimationFrame(() => resolve(performance.now() - began));
            }).observe(staff, { subtree: true, childList: true });
            const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
            set.call(input, `(1 2 3 4 5 4 3 2)x7:1/2 1 2 3 4 5 4 3 ${degree}`);
            input.dispatchEvent(new Event('input', { bubbles: true }));
          }),
        (key % 7) + 2,
      ),
    );
  }
  return times;
}

/** Milliseconds from letters typed over five thousand exercises to the list that fits. */
async function searches(page, address) {
  await page.goto(`${address}/shelf`);
  await page.getByRole('heading', { level: 1, name: /^5,?\d{3}/ }).waitFor();
  await page.waitForTimeout(3000);
  const times = [];
  for (const letters of ASKED) {
    times.push(
      await page.evaluate(
        (text) =>
          new Promise((resolve) => {
            const input = document.querySelector('input[type=search]');
            const heading = document.querySelector('h1');
            const began = performance.now();
            new MutationObserver((_, observer) => {
              observer.disconnect();
              resolve(performance.now() - began);
            }).observe(heading, { subtree: true, characterData: true, childList: true });
            Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, text);
            input.dispatchEvent(new Event('input', { bubbles: true }));
          }),
        letters,
      ),
    );
  }
  return times;
}

/** Frames of a quick scroll through five thousand rows in which no row stood in the middle of the window. */
async function emptyFrames(page, address) {
  await page.goto(`${address}/shelf`);
  await page.getByRole('heading', { level: 1, name: /^5,?\d{3}/ }).waitFor();
  return page.evaluate(
    () =>
      new Promise((resolve) => {
        let frame = 0;
        let empty = 0;
        const step = () => {
          if (!document.elementFromPoint(640, 500)?.closest('li')) empty += 1;
          window.scrollBy(0, 600);
          frame += 1;
          if (frame >= 120) resolve(empty);
          else requestAnimationFrame(step);
        };
        requestAnimationFrame(step);
      }),
  );
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function shelfFigures({ address, executablePath, flags }) {
  const browser = await playwright.launch({ executablePath, args: flags });
  try {
    const alone = await searchAlone();
    const page = await newStudio(browser, address);
    const keys = await keystrokes(page, address);
    const imported = await importSeconds(page, address, IMPORTED, 'first');
    await importSeconds(page, address, MANY - IMPORTED, 'rest');
    const search = await searches(page, address);
    const empty = await emptyFrames(page, address);
    const figure = (name, value, unit, target) => ({ name, value, unit, target, isCeiling: true });
    return [
      figure('keystroke to pictures, 64 events: median', at(keys, 0.5), 'ms', 50),
      figure('the same, 95th percentile', at(keys, 0.95), 'ms', 120),
      figure('import of 1,000 exercises, preview included', imported, 's', 5),
      figure('search over 5,000 exercises, 95th percentile', at(alone, 0.95), 'ms', 30),
      figure('the same in the page, address and list drawn: median', at(search, 0.5), 'ms', 150),
      figure('scroll through 5,000 rows: frames without a row', empty, 'frames', 1),
    ];
  } finally {
    await browser.close();
  }
}
