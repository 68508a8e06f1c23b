import type { Page } from '@playwright/test';
import { expectAccessible, expectNoSidewaysScroll, expectNothingCut } from './accessible.ts';
import { expect, test } from './studio.ts';
import { addStudent, buildSixSteps, fromMenu, openDemo, passGate, PLACES, signUp } from './teacher.ts';

async function shut(page: Page): Promise<void> {
  await page.keyboard.press('Escape');
  await expect(page.locator('[role=dialog], [role=menu]')).toHaveCount(0);
}

const WAYS = [
  { name: 'light', media: { colorScheme: 'light' as const }, width: 1280 },
  { name: 'dark', media: { colorScheme: 'dark' as const }, width: 1280 },
  { name: '320 pixels wide', media: { colorScheme: 'light' as const }, width: 320 },
  { name: 'forced colours', media: { forcedColors: 'active' as const }, width: 1280 },
];

for (const { name, media, width } of WAYS) {
  test(`every place, dialog and menu can be read and reached: ${name}`, async ({ page }) => {
    await page.emulateMedia(media);
    await page.setViewportSize({ width, height: 800 });
    const look = async (): Promise<void> => {
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
    };
    await page.goto('/');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await look();
    await openDemo(page);
    await look();
    await page.keyboard.press('n');
    await expect(page.getByRole('dialog')).toBeVisible();
    await look();
    await shut(page);
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await look();
    await shut(page);
    for (const [address, heading] of PLACES) {
      await page.goto(address);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
      await look();
    }
    await page.goto('/students');
    await page.getByRole('link', { name: 'The lock boat' }).click();
    await expect(page.getByText('Keys in common')).toBeVisible();
    await look();
    await page.goto('/students');
    await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
    await expect(page.getByText('turns over, E4 to F4')).toBeVisible();
    await look();
    const student = page.url();
    await page.getByRole('button', { name: 'More', exact: true }).click();
    await expect(page.getByRole('menu')).toBeVisible();
    await look();
    await shut(page);
    await page.getByRole('button', { name: 'Change the file' }).click();
    await look();
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('link', { name: 'Progress' }).click();
    await expect(page.getByRole('figure').first()).toBeVisible();
    await look();
    await page.goto(`${student}/song`);
    await expect(page.getByText(/No song of the studio|Which key sits best/)).toBeVisible();
    await look();
    await fromMenu(page, 'Day of the performance');
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
    await look();
    await page.goto(student);
    await fromMenu(page, 'Range check');
    await expect(page.getByRole('button', { name: /^Speaks at/ })).toBeVisible();
    await look();
    await page.goto(student);
    await page.getByRole('link', { name: 'Routines' }).click();
    await page.getByRole('link', { name: 'Before the late shift' }).click();
    await expect(page.getByRole('heading', { name: 'The order' })).toBeVisible();
    await look();
    await page.getByRole('tab', { name: 'Limits' }).click();
    await page.getByRole('button', { name: 'More figures' }).click();
    await look();
    for (const dialog of ['Copy to another student', 'Templates', 'Versions', 'Delete this routine']) {
      await fromMenu(page, dialog);
      await expect(page.getByRole('dialog')).toBeVisible();
      await look();
      await shut(page);
    }
    await page.getByRole('link', { name: 'Sing it' }).click();
    await look();
    await passGate(page);
    await page.keyboard.press('n');
    await look();
    await page.keyboard.press('f');
    await expect(page.getByRole('dialog')).toBeVisible();
    await look();
  });
}

/** What a reader may set by hand, as 1.4.12 of WCAG 2.2 names it. */
const WIDE_TEXT =
  '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }' +
  'p { margin-bottom: 2em !important }';
const LONG_NAME = `Wilhelmina ${'Featherstonehaugh-'.repeat(4)}Marjoribanks of Weir`;

for (const [name, width, height, style] of [
  ['text spacing set by hand', 1280, 800, WIDE_TEXT],
  ['text spacing set by hand, on a phone', 390, 844, WIDE_TEXT],
  ['twice the size', 640, 400, ''],
] as const) {
  test(`a name of a hundred letters, and nothing is cut: ${name}`, async ({ page }) => {
    expect(LONG_NAME.length).toBeGreaterThan(100);
    await page.setViewportSize({ width, height });
    const look = async (): Promise<void> => {
      if (style !== '') await page.addStyleTag({ content: style });
      await expectNoSidewaysScroll(page);
      await expectNothingCut(page);
    };
    await signUp(page, LONG_NAME);
    await addStudent(page, { name: LONG_NAME });
    await look();
    const student = page.url();
    for (const place of ['/progress', '/review', '/day', '/rules', '/runs', '/check']) {
      await page.goto(student + place);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await look();
    }
    await page.goto(student);
    await page.getByRole('button', { name: 'Change the file' }).click();
    await look();
    await buildSixSteps(page);
    await look();
    for (const dialog of ['Copy to another student', 'Templates', 'Versions', 'Delete this routine']) {
      await fromMenu(page, dialog);
      await expect(page.getByRole('dialog')).toBeVisible();
      await look();
      await shut(page);
    }
    await page.getByRole('link', { name: 'Sing it' }).click();
    await look();
    await passGate(page);
    await look();
    await page.keyboard.press('n');
    await look();
    for (const [address, heading] of [['/today', /lesson/], ...PLACES] as const) {
      await page.goto(address);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
      await look();
    }
  });
}

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
