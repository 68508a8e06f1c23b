import { join } from 'node:path';
import { chromium as playwright } from '@playwright/test';
import { freePort, startCluster } from './postgres.mjs';
import { demandChromium, ensureBuilt, project } from './run.mjs';
import { serve } from './serve.mjs';
import { mkdirSync } from 'node:fs';
mkdirSync('/tmp/looks', { recursive: true });
await ensureBuilt(() => {});
const cluster = await startCluster(project, 'looks', { durable: false });
cluster.dropDatabase('looks');
cluster.createDatabase('looks');
const port = await freePort();
const server = await serve({
  databaseUrl: cluster.url('looks'),
  port,
  quiet: true,
  env: { LOG_LEVEL: 'warn', SOFT_LARK_NOW: '2026-11-25T15:18:00Z' },
});
const browser = await playwright.launch({
  executablePath: demandChromium(),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const address = `http://127.0.0.1:${port}`;
const open = async (viewport = { width: 1280, height: 800 }, colorScheme = 'light') => {
  const context = await browser.newContext({ viewport, colorScheme, locale: 'en-GB', timezoneId: 'Europe/London' });
  const page = await context.newPage();
  page.on('console', (m) => {
    if (m.type() === 'error') console.log('console', m.text());
  });
  await page.clock?.setFixedTime?.(new Date('2026-11-25T15:18:00Z')).catch(() => {});
  await page.goto(address);
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await page.getByText('Maud Pellow').first().waitFor();
  return page;
};
const shot = async (page, name) => {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(500);
  await page.screenshot({ path: join('/tmp/looks', `${name}.png`) });
  console.log(name);
};
try {
  await (await import('./looks-x.mjs')).default({ open, shot, address });
} catch (e) {
  console.log(e);
}
await browser.close();
await server.stop();
cluster.stop();
process.exit(0);
