import { chromium as playwright } from '@playwright/test';
import { freePort, startCluster } from './postgres.mjs';
import { demandChromium, ensureBuilt, project } from './run.mjs';
import { serve } from './serve.mjs';
const out = '/tmp/looks'; import { mkdirSync } from 'node:fs'; mkdirSync(out, { recursive: true });
await ensureBuilt(console.log);
const cluster = await startCluster(project, 'looks', { durable: false });
cluster.dropDatabase('looks'); cluster.createDatabase('looks');
const port = await freePort();
const server = await serve({ databaseUrl: cluster.url('looks'), port, quiet: true, env: { LOG_LEVEL: 'silent', NOW: '2026-11-25T15:18:00Z' } });
const browser = await playwright.launch({ executablePath: demandChromium(), args: ['--no-sandbox','--disable-gpu'] });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB', timezoneId: 'Europe/London', baseURL: `http://127.0.0.1:${port}` });
const page = await context.newPage();
const shot = async (n) => { await page.waitForTimeout(600); await page.screenshot({ path: `${out}/${n}.png` }); console.log(n); };
await page.request.post('/api/demo/session', { headers: { 'x-soft-lark': '1' }, data: {} });
const body = await import('/tmp/looks.mjs');
try { await body.default(page, shot); } catch (e) { console.log(String(e)); await shot('failed'); }
await browser.close(); await server.stop(); cluster.stop(); process.exit(0);
