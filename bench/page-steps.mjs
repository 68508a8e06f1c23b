// What the tables of the page share: the demo studio, a bench of fourteen steps, and the time until a change is painted.
/** An even number: the bench is left as it was found. */
const REPEATS = 16;

/** The middle one of figures. */
export function median(values) {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
}

/** A new window on the demo studio, on Today. */
export async function openDemo(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await page.getByRole('heading', { level: 1, name: /lesson/ }).waitFor();
  return page;
}

/** Opens a routine of 14 steps. */
export async function openBench(page) {
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
  await teachPainted(page);
}

/** Teaches the page `painted(selector, isDone)`: milliseconds until a change below it has been laid out and painted. */
export async function teachPainted(page) {
  await page.evaluate(() => {
    window.painted = (selector, isDone = () => true) =>
      new Promise((resolve) => {
        const began = performance.now();
        new MutationObserver((_, observer) => {
          if (!isDone()) return;
          observer.disconnect();
          requestAnimationFrame(() => {
            // A message posted as a frame begins is handled once that frame has been laid out and painted.
            const frame = new MessageChannel();
            frame.port1.onmessage = () => resolve(performance.now() - began);
            frame.port2.postMessage(null);
          });
        }).observe(document.querySelector(selector), {
          subtree: true,
          attributes: true,
          characterData: true,
          childList: true,
        });
      });
  });
}

/** Milliseconds from what `act` does in the page to the flight painted anew; the two words take turns, with a rest between. */
export async function flightRepaint(page, act, words, rest = 120) {
  const times = [];
  for (let repeat = 0; repeat < REPEATS; repeat += 1) {
    times.push(await page.evaluate(act, words[repeat % 2]));
    await page.waitForTimeout(rest);
  }
  return median(times);
}

/** In the page: presses the condition of that name. */
export const pressCondition = (name) => {
  const painted = window.painted('[data-testid="flight"]');
  [...document.querySelectorAll('button')].find(({ innerText }) => innerText === name).click();
  return painted;
};
