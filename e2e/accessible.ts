import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** What colours and widths change about a page that was looked at whole. */
export const LOOKS = ['color-contrast', 'link-in-text-block', 'scrollable-region-focusable'];

/**
 * Nothing that the checker knows of, its advice on good practice among it.
 *
 * @param rules only these of it, where the page was looked at whole before
 */
export async function expectAccessible(page: Page, rules?: readonly string[]): Promise<void> {
  // The pages have no frames, and what passes is not asked for: a third of the time.
  const options = { resultTypes: ['violations' as const], ...(rules && { runOnly: [...rules] }) };
  const checker = new AxeBuilder({ page }).setLegacyMode(true).options(options);
  const { violations } = await checker.analyze();
  expect
    .soft(
      violations.map(
        ({ id, nodes }) =>
          `${id}: ${nodes.map(({ html, failureSummary }) => `${html.slice(0, 160)} ${failureSummary ?? ''}`).join(' · ')}`,
      ),
    )
    .toEqual([]);
}

/** What is found wrong is said at the end; what is still finding its place after a change of the window has a moment. */
const softly = expect.configure({ soft: true, timeout: 20_000 });

/** Nothing runs out of the window sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const over = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  await softly.poll(over, page.url()).toBeLessThanOrEqual(0);
}

/** What hides its overflow and does not hold its text, but where three dots say that there is more of it. */
const cutIn = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('body *')]
      .filter((element) => element instanceof HTMLElement)
      .filter((element) => {
        const { overflowX, overflowY, textOverflow, position, clipPath, webkitLineClamp } = getComputedStyle(element);
        const isForReadersOnly = position === 'absolute' && (clipPath !== 'none' || element.clientWidth <= 1);
        const hides = (overflow: string): boolean => overflow === 'hidden' || overflow === 'clip';
        const over = [
          hides(overflowX) && element.scrollWidth - element.clientWidth > 1,
          // Room between lines may go; letters may not.
          hides(overflowY) && element.scrollHeight - element.clientHeight > 8,
        ];
        const isShortened = textOverflow === 'ellipsis' || webkitLineClamp !== 'none';
        return !isForReadersOnly && !isShortened && element.innerText.trim() !== '' && over.includes(true);
      })
      .map((element) => `${element.className}: ${element.innerText.slice(0, 80)}`),
  );

/**
 * No words are cut: what hides its overflow holds its text, but where three dots say that there is more of a name that
 * stands in full elsewhere.
 */
export async function expectNothingCut(page: Page): Promise<void> {
  await softly.poll(() => cutIn(page), page.url()).toEqual([]);
}
