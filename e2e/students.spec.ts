import { expect, test } from './studio.ts';
import { addStudent, openDemo, order, signUp } from './teacher.ts';

test.describe('the voice file', () => {
  test.beforeEach(async ({ page }) => {
    await signUp(page);
    await addStudent(page, { name: 'Maren Holt' });
  });

  test('every figure is typed as a note, kept, and drawn on the ruler', async ({ page }) => {
    await page.getByRole('button', { name: 'Change the file' }).click();
    for (const [field, note] of [
      ['Lowest possible', 'G3'],
      ['Highest possible', 'g5'],
      ['Speaking note', 'B3'],
      ['Hard ceiling', 'F#5'],
      ['Belt ceiling', 'bb4'],
    ] as const) {
      await page.getByRole('textbox', { name: field, exact: true }).fill(note);
    }
    await page.getByRole('button', { name: 'Add a bridge' }).click();
    const bridges = page.getByRole('group', { name: 'Bridges' });
    await bridges.getByRole('textbox', { name: 'from' }).fill('E4');
    await bridges.getByRole('textbox', { name: 'to' }).fill('F4');
    await page.getByRole('button', { name: 'Add a zone' }).click();
    const zones = page.getByRole('group', { name: 'Zones' });
    await zones.getByRole('textbox', { name: 'from' }).fill('Eb4');
    await zones.getByRole('textbox', { name: 'to' }).fill('Eb4');
    await page.getByLabel('Wanted, one a line').fill('longer breath\nease after work');
    await page.getByRole('button', { name: 'Save' }).click();
    for (const text of [
      'turns over, E4 to F4',
      'never sounded, E♭4',
      'hard ceiling F♯5',
      'speaks at B3',
      'longer breath',
      'ease after work',
      'B♭4',
      'G3 – G5',
    ]) {
      await expect(page.getByText(text, { exact: false }).first()).toBeVisible();
    }
    await page.getByRole('figure').getByRole('button', { name: 'as a table' }).click();
    await expect(page.getByRole('row', { name: /Reach/ })).toContainText('G3');
    await page.reload();
    await expect(page.getByText('never sounded, E♭4')).toBeVisible();
  });

  test('what is no note is said at its field and cannot be saved; nothing typed is lost', async ({ page }) => {
    await page.getByRole('button', { name: 'Change the file' }).click();
    const speaking = page.getByRole('textbox', { name: 'Speaking note' });
    await speaking.fill('H7x');
    await expect(page.getByText('Not a note: write a letter and an octave').first()).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
    await expect(speaking).toHaveValue('H7x');
    await speaking.fill('B3');
    await expect(page.getByRole('button', { name: 'Save' })).toBeEnabled();
  });

  test('figures that contradict each other are refused with a reason', async ({ page }) => {
    await page.getByRole('button', { name: 'Change the file' }).click();
    await page.getByRole('textbox', { name: 'Lowest comfortable note' }).fill('C6');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('The lowest comfortable note is not below the highest.');
    await page.getByRole('textbox', { name: 'Lowest comfortable note' }).fill('C4');
    await page.getByRole('textbox', { name: 'Highest possible' }).fill('D5');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('The comfortable range goes past the reach.');
  });

  test('a file changed in another window: the edit is kept and the teacher decides', async ({ page, context }) => {
    const other = await context.newPage();
    await other.goto(page.url());
    await other.getByRole('button', { name: 'Change the file' }).click();
    await page.getByRole('button', { name: 'Change the file' }).click();
    await page.getByLabel('Your note').fill('From the first window.');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('From the first window.')).toBeVisible();
    await other.getByLabel('Your note').fill('From the second.');
    await other.getByRole('button', { name: 'Save' }).click();
    await expect(other.getByRole('alert')).toContainText('changed in another window');
    await expect(other.getByLabel('Your note')).toHaveValue('From the second.');
    await other.getByRole('button', { name: 'Save mine over it' }).click();
    await expect(other.getByText('From the second.')).toBeVisible();
  });

  test('a weekly lesson on today’s weekday stands on Today', async ({ page }) => {
    const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'Europe/London' }).format(new Date());
    await page.getByRole('combobox', { name: 'Day' }).click();
    await page.getByRole('option', { name: weekday }).click();
    await page.getByRole('button', { name: 'Add a lesson' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: `${weekday}, 15:00, 30 min` })).toBeVisible();
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${weekday}, one lesson`);
    await page.getByRole('button', { name: 'Draft one' }).click();
    await expect(order(page).nth(2)).toBeVisible();
  });
});

test('a student without any figure gets the usual range, flagged as an estimate', async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Quiet Reed', type: 'tenor', range: null });
  await expect(page.getByText('Nothing is measured yet: this is the usual range of the voice type.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Why E4 is the top today' })).toBeVisible();
});

test('names of any script, and only as long as a name', async ({ page }) => {
  await signUp(page);
  const name = '🐦 لارك ناعم';
  await addStudent(page, { name });
  await page.getByRole('link', { name: 'Students', exact: true }).click();
  await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Add a student' }).click();
  const field = page.getByRole('textbox', { name: 'Name' });
  await field.fill('x'.repeat(300));
  expect((await field.inputValue()).length).toBeLessThanOrEqual(120);
});

test('a wrong password is said and what was typed stays; after a sign-out every place asks to sign in', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('textbox', { name: 'E-mail' }).fill('nobody@example.org');
  await page.getByRole('textbox', { name: 'Password' }).fill('not the right one');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('This e-mail address and password do not go together.');
  await expect(page.getByRole('textbox', { name: 'E-mail' })).toHaveValue('nobody@example.org');
  await openDemo(page);
  await page.getByRole('button', { name: 'Account' }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Open the demo studio' })).toBeVisible();
  await page.goto('/students');
  await expect(page).toHaveURL(/\/enter\?to=/);
});

test('the day’s condition, one tap on Today, is the same on the bench and the voice file', async ({ page }) => {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Barnaby Quill', exact: true }).click();
  await page.getByRole('button', { name: 'Heavy' }).click();
  await page.getByRole('button', { name: 'Tired', exact: true }).click();
  await expect(page.getByText('tired and heavy today')).toBeVisible();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Slow water' }).click();
  await expect(page.getByRole('button', { name: 'Heavy' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Fresh' }).click();
  await expect(page.getByRole('button', { name: 'Heavy' })).toHaveAttribute('aria-pressed', 'false');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Fresh' })).toHaveAttribute('aria-pressed', 'true');
});
