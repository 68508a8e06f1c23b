import { expect, test } from './studio.ts';
import {
  act,
  addStudent,
  buildSixSteps,
  goToStep,
  keyNow,
  keysOf,
  openDemo,
  passGate,
  saved,
  signUp,
} from './teacher.ts';

// A page that opens without its server is kept by the service worker.
test.use({ serviceWorkers: 'allow' });

test('the session ends while a routine is edited: the page stays, signing in saves what waited', async ({ page }) => {
  const { email } = await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await page.context().clearCookies();
  await page.getByRole('textbox', { name: 'Minutes' }).fill('14');
  await expect(page.getByText('You are signed out.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Minutes' })).toHaveValue('14');
  await page.getByRole('button', { name: 'Sign in' }).click();
  const dialog = page.getByRole('dialog', { name: 'Sign in; this page stays as it is' });
  await dialog.getByRole('textbox', { name: 'E-mail' }).fill(email);
  await dialog.getByRole('textbox', { name: 'Password' }).fill('ten plain characters');
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await saved(page);
  await expect(page.getByText('You are signed out.')).toBeHidden();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Minutes' })).toHaveValue('14');
});

test('the session ends at the piano: the run goes on, and reaches the log after signing in', async ({ page }) => {
  const { email } = await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Hum on the chord');
  await act(page, 'Start').click();
  await page.context().clearCookies();
  const first = (await keyNow(page).textContent()) ?? '';
  await act(page, 'Next key').click();
  await expect(page.getByText('You are signed out.')).toBeVisible();
  await act(page, 'Next key').click();
  await page.getByRole('button', { name: 'Sign in' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'E-mail' }).fill(email);
  await dialog.getByRole('textbox', { name: 'Password' }).fill('ten plain characters');
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(dialog).toBeHidden();
  for (const key of ['n', 'n', 'n']) await page.keyboard.press(key);
  await page.getByRole('button', { name: 'so-so' }).click();
  await page.getByRole('button', { name: 'Into the log' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Maren Holt, Warm-up');
  await expect.poll(async () => (await keysOf(page, 'Hum on the chord', 'sung'))[0]).toBe(first);
});

for (const [how, breakIt] of [
  ['full', 'Storage.prototype.setItem = () => { throw new DOMException("full", "QuotaExceededError"); };'],
  [
    'blocked',
    'Object.defineProperty(window, "localStorage", { get() { throw new DOMException("no", "SecurityError"); } });',
  ],
] as const)
  test(`a device whose storage is ${how} says so once, and loses nothing`, async ({ page }) => {
    await signUp(page);
    await addStudent(page, { name: 'Maren Holt' });
    await buildSixSteps(page);
    await page.addInitScript(breakIt);
    await page.reload();
    await page.getByRole('textbox', { name: 'Minutes' }).fill('14');
    await expect(page.getByText(/This device has no room/)).toHaveCount(1);
    await saved(page);
    await page.getByRole('link', { name: 'Sing it' }).click();
    await passGate(page);
    await goToStep(page, 'Hum on the chord');
    await act(page, 'Start').click();
    // The first key of a new exercise is shown; the student sings from the second on.
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowRight']) await page.keyboard.press(key);
    await expect
      .poll(async () => {
        const runs = (await (await page.request.get('/api/runs')).json()) as { sungKeys: number }[];
        return runs[0]?.sungKeys;
      })
      .toBeGreaterThan(0);
  });

test('what another program left on the device is put aside and said, and no page closes', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(() => {
    localStorage.setItem('soft-lark.runs', '[{"id":7}');
  });
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('lesson');
  await expect(page.getByText('Something kept on this device could not be read.')).toBeVisible();
  expect(await page.evaluate(() => localStorage.getItem('soft-lark.runs.aside'))).toBe('[{"id":7}');
});

test('the server is gone before the page is opened: the page opens, says so, and shows what it has', async ({
  page,
  studio,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  // The shell is put by in the background; a page that is controlled has all of it.
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state)).toBe('activated');
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await studio.stopServer();
  for (const key of ['n', 'n', 'n', 'n']) await page.keyboard.press(key);
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Soft Lark cannot be reached.' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Warm-up, begun' })).toBeVisible();
  await studio.startServer();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('no lessons');
});

test('a log that is opened before the last sending is there shows it all the same', async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Falling hum');
  await act(page, 'Finish').first().click();
  // The first reading of the log is answered with what was there before the closing, and later than the closing.
  let wasRead = (): void => undefined;
  const read = new Promise<void>((done) => {
    wasRead = done;
  });
  let wasKept = (): void => undefined;
  const kept = new Promise<void>((done) => {
    wasKept = done;
  });
  let readings = 0;
  await page.route(/\/api\/runs\/[0-9a-f-]{36}$/, async (route) => {
    const isClosing = route.request().method() === 'PUT' && (route.request().postData() ?? '').includes('A quiet end.');
    if (isClosing) {
      await read;
      await route.continue();
      return;
    }
    if (route.request().method() !== 'GET' || (readings += 1) > 1) {
      await route.continue();
      return;
    }
    const response = await route.fetch();
    wasRead();
    await kept;
    await route.fulfill({ response }).catch(() => undefined);
  });
  page.on('response', (response) => {
    if (response.request().method() === 'PUT' && (response.request().postData() ?? '').includes('A quiet end.'))
      setTimeout(wasKept, 300);
  });
  await page.getByLabel('A line for next time').fill('A quiet end.');
  await page.getByRole('button', { name: 'Into the log' }).click();
  await expect(page.getByText('A quiet end.')).toBeVisible();
});
