import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Nothing that the checker knows of, its advice on good practice among it. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect
    .soft(
      violations.map(
        ({ id, nodes }) =>
          `${id}: ${nodes.map(({ html, failureSummary }) => `${html.slice(0, 160)} ${failureSummary ?? ''}`).join(' · ')}`,
      ),
    )
    .toEqual([]);
}

/** Nothing runs out of the window sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect.soft([page.url(), over <= 0]).toEqual([page.url(), true]);
}
