import { expect, test } from './studio.ts';
import { act, addStudent, benchWith, passGate, saved, signUp, stepRow } from './teacher.ts';

test('work that is no tune: written, put on the bench, sized there, conducted, found in the log, and beside it next time', async ({
  page,
}) => {
  await signUp(page);
  for (const [kind, name, label, text] of [
    ['As long as it lasts', 'One long s', 'Breaths', '1'],
    ['Calls', 'Calls of ours', 'Times', '3'],
  ] as const) {
    await page.goto('/shelf/new');
    await page.getByText(kind, { exact: true }).click();
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByRole('tab', { name: 'Place' }).click();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
    await page.getByRole('button', { name: 'Keep on the shelf' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
    await expect(page.getByText('your own')).toBeVisible();
  }

  await addStudent(page, { name: 'Maren Holt' });
  await benchWith(page, ['One long s', 'Calls of ours']);
  await stepRow(page, 'One long s').click();
  await page.getByLabel('Seconds, at most', { exact: true }).fill('12');
  await page.getByLabel('Seconds, at most', { exact: true }).press('Tab');
  await saved(page);

  const bench = page.url();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await act(page, 'Start').click();
  await expect(page.getByText('breath 1 of 1 · seconds so far')).toBeVisible();
  await page.waitForTimeout(2200);
  await act(page, 'Breath is over').click();
  await act(page, 'Next step').first().click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Calls of ours');
  await act(page, 'Finish').first().click();
  await page.getByRole('button', { name: 'Into the log' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'One long s' })).toContainText(
    /done · 1 round · up to [23] s/,
  );
  await expect(page.getByRole('listitem').filter({ hasText: 'Calls of ours' })).toContainText('passed over');

  await page.goto(bench.replace('/routines/', '/sing/'));
  await passGate(page);
  await expect(page.getByText(/last time 1 round · up to [23] s/)).toBeVisible();
});
