export default async ({ open, shot, address }) => {
  const page = await open({ width: 1280, height: 800 });
  await page.goto(`${address}/today`);
  await page.waitForTimeout(2500);
  await shot(page, 'today');
  const sing = page.getByRole('link', { name: /^Sing it/ }).first();
  await sing.click();
  await page.waitForTimeout(2500);
  await shot(page, 'gate');
};
