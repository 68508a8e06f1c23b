import { expect, test } from './studio.ts';
import { addStudent, buildSixSteps, openDemo, order, saved, signUp, stepRow } from './teacher.ts';

test('a pair warms up in the keys it shares: octaves written out, on the bench as one of them leads it', async ({
  page,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await addStudent(page, { name: 'Joss Arden', type: 'bass', range: { low: 41, high: 62 } });
  await page.getByRole('link', { name: 'Students', exact: true }).click();
  await page.getByRole('button', { name: 'Add a group' }).click();
  const form = page.getByRole('dialog');
  await form.getByRole('textbox', { name: 'Name of the group' }).fill('Bow and stern');
  await expect(form.getByRole('button', { name: 'Save' })).toBeDisabled();
  for (const singer of ['Maren Holt', 'Joss Arden']) {
    await form.getByRole('combobox', { name: 'Who sings in it' }).click();
    await page.getByRole('option', { name: singer }).click();
  }
  await form.getByRole('textbox', { name: 'Name of the group' }).click();
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bow and stern');

  const five = page.getByRole('row', { name: /^Up and down five/ });
  await expect(five).toContainText('as written');
  await expect(five).toContainText('an octave lower');
  await expect(page.getByRole('row', { name: /^Long hiss/ })).toContainText('joins in');
  const group = page.url();

  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await page.getByRole('menuitem', { name: 'Joss Arden' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the routine' })).toHaveValue('Bow and stern, together');
  await expect(order(page).first()).toBeVisible();
  await stepRow(page, 'Up and down five').click();
  await expect(page.getByRole('figure', { name: 'Keys of Up and down five' })).toBeVisible();
  await saved(page);

  await page.goto(group);
  await page.getByRole('button', { name: 'Change the group' }).click();
  await form.getByRole('textbox', { name: 'Name of the group' }).fill('Two ends');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Two ends');
  await page.getByRole('button', { name: 'Delete this group' }).click();
  await form.getByRole('button', { name: 'Delete this group' }).click();
  await expect(page.getByText('Who sings together, warms up in the keys they share.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Joss Arden', exact: true })).toBeVisible();
});

test('three voices far apart: a smaller shape, or two groups by name', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Students', exact: true }).click();
  await page.getByRole('link', { name: 'The lock boat' }).click();
  await page.getByRole('combobox', { name: 'Work out for all of them' }).click();
  await page.getByRole('option', { name: 'Before the late shift' }).click();
  const few = page.getByRole('row').filter({ hasText: 'Or in two groups:' });
  await expect(few.first()).toContainText(/Maud Pellow|Otis Wren|Corwin Dace/);
  await expect(page.getByText('Smaller, it gives more keys:').first()).toBeVisible();
});
