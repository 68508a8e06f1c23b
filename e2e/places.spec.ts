import type { Page } from '@playwright/test';
import { expectAccessible, expectNoSidewaysScroll, expectNothingCut, LOOKS } from './accessible.ts';
import { expect, test } from './studio.ts';
import { addStudent, buildSixSteps, fromMenu, openDemo, passGate, PLACES, signUp } from './teacher.ts';

async function shut(page: Page): Promise<void> {
  await page.keyboard.press('Escape');
  await expect(page.locator('[role=dialog], [role=menu]')).toHaveCount(0);
}

/** Light is looked at with everything the checker knows; the other colours of the same page with what they may change. */
async function lookInEveryColour(page: Page): Promise<void> {
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'light');
  await expectAccessible(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark');
  await expectAccessible(page, LOOKS);
  await page.emulateMedia({ colorScheme: 'light', forcedColors: 'active' });
  await expectAccessible(page, LOOKS);
  await page.emulateMedia({ colorScheme: 'light', forcedColors: null });
}

/** Looks at what is open now. */
type Look = () => Promise<void>;

const isOnTheShelf = ([address]: (typeof PLACES)[number]): boolean => address.startsWith('/shelf');

async function lookAtPlaces(page: Page, places: readonly (typeof PLACES)[number][], lookAtIt: Look): Promise<void> {
  for (const [address, heading] of places) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
    await lookAtIt();
  }
}

async function lookRoundTheShelf(page: Page, lookAtIt: Look): Promise<void> {
  await openDemo(page);
  await lookAtPlaces(page, PLACES.filter(isOnTheShelf), lookAtIt);
}

async function lookRoundTheStudio(page: Page, lookAtIt: Look): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await lookAtIt();
  await openDemo(page);
  await lookAtIt();
  await page.keyboard.press('n');
  await expect(page.getByRole('dialog')).toBeVisible();
  await lookAtIt();
  await shut(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await lookAtIt();
  await shut(page);
  await lookAtPlaces(
    page,
    PLACES.filter((place) => !isOnTheShelf(place)),
    lookAtIt,
  );
  await page.goto('/students');
  await page.getByRole('link', { name: 'The lock boat' }).click();
  await expect(page.getByText('Keys in common')).toBeVisible();
  await lookAtIt();
}

async function openMaud(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await expect(page.getByText('turns over, E4 to F4')).toBeVisible();
}

async function lookRoundAStudent(page: Page, lookAtIt: Look): Promise<void> {
  await openMaud(page);
  await lookAtIt();
  const student = page.url();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await expect(page.getByRole('menu')).toBeVisible();
  await lookAtIt();
  await shut(page);
  await page.getByRole('button', { name: 'Change the file' }).click();
  await lookAtIt();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('link', { name: 'Progress' }).click();
  await expect(page.getByRole('figure').first()).toBeVisible();
  await lookAtIt();
  await page.goto(`${student}/song`);
  await expect(page.getByText(/No song of the studio|Which key sits best/)).toBeVisible();
  await lookAtIt();
  await fromMenu(page, 'Day of the performance');
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  await lookAtIt();
  await page.goto(student);
  await fromMenu(page, 'Range check');
  await expect(page.getByRole('button', { name: /^Speaks at/ })).toBeVisible();
  await lookAtIt();
}

async function lookRoundARoutine(page: Page, lookAtIt: Look): Promise<void> {
  await openMaud(page);
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Before the late shift' }).click();
  await expect(page.getByRole('heading', { name: 'The order' })).toBeVisible();
  await lookAtIt();
  await page.getByRole('tab', { name: 'Limits' }).click();
  await page.getByRole('button', { name: 'More figures' }).click();
  await lookAtIt();
  for (const dialog of ['Copy to another student', 'Templates', 'Versions', 'Delete this routine']) {
    await fromMenu(page, dialog);
    await expect(page.getByRole('dialog')).toBeVisible();
    await lookAtIt();
    await shut(page);
  }
  await page.getByRole('link', { name: 'Sing it' }).click();
  await expect(page).toHaveURL(/\/sing\//);
  await lookAtIt();
  await passGate(page);
  await page.keyboard.press('n');
  await lookAtIt();
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog')).toBeVisible();
  await lookAtIt();
}

for (const [name, width, look] of [
  ['in light, dark and forced colours', 1280, lookInEveryColour],
  ['320 pixels wide', 320, (page: Page) => expectAccessible(page)],
] as const) {
  for (const [part, lookRound] of [
    ['the studio', lookRoundTheStudio],
    ['the shelf', lookRoundTheShelf],
    ['a student', lookRoundAStudent],
    ['a routine and its run', lookRoundARoutine],
  ] as const) {
    test(`every place, dialog and menu of ${part} can be read and reached: ${name}`, async ({ page }) => {
      await page.setViewportSize({ width, height: 800 });
      await lookRound(page, async () => {
        await look(page);
        await expectNoSidewaysScroll(page);
      });
    });
  }
}

/** What a reader may set by hand, as 1.4.12 of WCAG 2.2 names it. */
const WIDE_TEXT =
  '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }' +
  'p { margin-bottom: 2em !important }';
const LONG_NAME = `Wilhelmina ${'Featherstonehaugh-'.repeat(4)}Marjoribanks of Weir`;

/** Nothing set by hand. */
const AS_IT_IS = '* {}';

/** What is read in: a window, and whether its text is spaced by hand. */
const READINGS = [
  { width: 390, height: 844, isSpaced: true },
  // Twice the size.
  { width: 640, height: 400, isSpaced: false },
  { width: 1280, height: 800, isSpaced: true },
];

async function lookForCuts(page: Page): Promise<void> {
  for (const { isSpaced, ...size } of READINGS) {
    await page.setViewportSize(size);
    const style = await page.addStyleTag({ content: isSpaced ? WIDE_TEXT : AS_IT_IS });
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
    await expectNoSidewaysScroll(page);
    await expectNothingCut(page);
    await style.evaluate((node) => {
      (node as Element).remove();
    });
  }
}

test('a name of a hundred letters, and nothing is cut: text spacing set by hand, also on a phone, and twice the size', async ({
  page,
}) => {
  expect(LONG_NAME.length).toBeGreaterThan(100);
  await signUp(page, LONG_NAME);
  await addStudent(page, { name: LONG_NAME });
  await lookForCuts(page);
  const student = page.url();
  for (const place of ['/progress', '/review', '/day', '/rules', '/runs', '/check']) {
    await page.goto(student + place);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await lookForCuts(page);
  }
  await page.goto(student);
  await page.getByRole('button', { name: 'Change the file' }).click();
  await lookForCuts(page);
  await buildSixSteps(page);
  await lookForCuts(page);
  for (const dialog of ['Copy to another student', 'Templates', 'Versions', 'Delete this routine']) {
    await fromMenu(page, dialog);
    await expect(page.getByRole('dialog')).toBeVisible();
    await lookForCuts(page);
    await shut(page);
  }
  await page.getByRole('link', { name: 'Sing it' }).click();
  await expect(page).toHaveURL(/\/sing\//);
  await lookForCuts(page);
  await passGate(page);
  await lookForCuts(page);
  await page.keyboard.press('n');
  await lookForCuts(page);
  for (const [address, heading] of [['/today', /lesson/], ...PLACES] as const) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
    await lookForCuts(page);
  }
});

test('deep links, the back button and the search work', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shelf?stage=middle&q=thurds');
  await expect(page.getByRole('link', { name: /Thirds/ })).toBeVisible();
  await page.getByRole('link', { name: /Thirds/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thirds');
  await page.goBack();
  await expect(page.getByRole('searchbox')).toHaveValue('thurds');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Find anything' }).click();
  await page.getByRole('textbox', { name: 'Find anything' }).fill('slow wat');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of the routine' })).toHaveValue('Slow water');
  await page.goto('/nowhere');
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
});

test('the log draws lowest and highest by run, with the same figures in a table', async ({ page }) => {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await expect(page.getByText('turns over, E4 to F4')).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await page.getByRole('combobox', { name: 'Student' }).click();
  await page.getByRole('option', { name: 'Maud Pellow' }).click();
  const figure = page.getByRole('figure', { name: /Lowest and highest/ });
  await expect(figure.locator('.recharts-line-dot').first()).toBeVisible();
  await figure.getByRole('button', { name: 'as a table' }).click();
  const dots = await figure.locator('.recharts-line-dot').count();
  await expect(figure.getByRole('row')).toHaveCount(dots / 2 + 1);
});

test('the log of all students goes back page by page to the first run', async ({ page }) => {
  await openDemo(page);
  await page.goto('/log?student=all');
  const runs = page.getByRole('table').getByRole('row');
  await expect(runs).toHaveCount(101);
  const earlier = page.getByRole('button', { name: 'Earlier runs' });
  let shown = 100;
  let came: number;
  do {
    const answer = page.waitForResponse(/olderThan/);
    await earlier.click();
    came = ((await (await answer).json()) as unknown[]).length;
    shown += came;
    await expect(runs).toHaveCount(shown + 1);
  } while (came === 100);
  await expect(earlier).toBeHidden();
  const first = await runs.last().getByRole('link').innerText();
  await page.reload();
  await expect(runs.last().getByRole('link')).not.toHaveText(first);
});

test('without a session every place asks to sign in and comes back', async ({ page }) => {
  await page.goto('/shelf?stage=cool');
  await openDemoHere(page);
  await expect(page).toHaveURL(/\/shelf\?stage=cool/);
});

async function openDemoHere(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('exercises');
}
