export default async ({ open, shot, address }) => {
  const page = await open();
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  await page.goto(`${address}/today`);
  await page.getByRole('link', { name: 'Sing it, Maud Pellow' }).click();
  for (const n of ['not at all', 'as usual']) await page.getByRole('radio', { name: n, exact: true }).click();
  await page.getByRole('radio', { name: 'no', exact: true }).click();
  await page.locator('[data-sound="ready"]').waitFor();
  await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
  await page.getByRole('button', { name: 'Listen to the singer' }).click();
  await page.getByText('Simulated singer', { exact: true }).click();
  await page.waitForTimeout(400);
  await page.getByRole('textbox', { name: 'Singer' }).click().catch(async () => page.getByRole('combobox').first().click());
  await page.getByRole('option', { name: 'cracks at the bridge' }).click();
  await page.getByRole('switch', { name: 'The piano is in headphones' }).check();
  await page.keyboard.press('Escape');
  for (let i = 0; i < 7; i += 1) { await page.keyboard.press('n'); const on = page.getByRole('button', { name: 'On to the cool-down' }); if (await on.isVisible()) await on.click(); }
  await page.waitForTimeout(800);
  await shot(page, 'ear-1');
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(9500);
  await shot(page, 'ear-2');
  for (let i = 0; i < 3; i += 1) {
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(8500); if (i === 1) await shot(page, 'ear-keep'); await page.keyboard.press('j'); await page.waitForTimeout(400);
    console.log(await page.locator('[class*=words]').first().innerText());
  await shot(page, `ear-${3 + i}`);
  }
};
