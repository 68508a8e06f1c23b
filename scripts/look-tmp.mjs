import { chromium as playwright } from '@playwright/test';
import { execFileSync, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import { freePort, startCluster } from './postgres.mjs';
import { demandChromium, project } from './run.mjs';
import { serve } from './serve.mjs';
const dir = '/tmp/nginx-try';
mkdirSync(dir, { recursive: true });
execFileSync('openssl', ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '30', '-subj', '/CN=lark.example', '-addext', 'subjectAltName=DNS:lark.example', '-keyout', `${dir}/key.pem`, '-out', `${dir}/cert.pem`], { stdio: 'ignore' });
const spki = createHash('sha256').update(execFileSync('bash', ['-c', `openssl x509 -in ${dir}/cert.pem -pubkey -noout | openssl pkey -pubin -outform der`])).digest('base64');
const cluster = await startCluster(project, 'looks', { durable: false });
cluster.dropDatabase('looks');
cluster.createDatabase('looks');
const [port, http, https] = [await freePort(), 8080, 8443];
const server = await serve({ databaseUrl: cluster.url('looks'), port, quiet: true, env: { SOFT_LARK_NOW: '2026-11-25T15:18:00Z', PUBLIC_URL: `https://lark.example:${https}`, TRUST_PROXY: 'loopback', LOG_LEVEL: 'silent' } });
writeFileSync(`${dir}/nginx.conf`, `
pid ${dir}/pid; error_log ${dir}/error.log; worker_processes 1; daemon off; user root;
events {}
http {
  include /etc/nginx/mime.types; access_log ${dir}/access.log;
  client_body_temp_path ${dir}/b; proxy_temp_path ${dir}/p; fastcgi_temp_path ${dir}/f; uwsgi_temp_path ${dir}/u; scgi_temp_path ${dir}/s;
  server { listen ${http}; server_name lark.example; return 301 https://$host:${https}$request_uri; }
  server {
    listen ${https} ssl http2; server_name lark.example;
    ssl_certificate ${dir}/cert.pem; ssl_certificate_key ${dir}/key.pem;
    client_max_body_size 24m;
    location / { proxy_pass http://127.0.0.1:${port}; proxy_http_version 1.1; proxy_set_header Host $host; proxy_set_header X-Forwarded-For $remote_addr; proxy_set_header X-Forwarded-Proto $scheme; }
  }
}`);
const nginx = spawn('/usr/sbin/nginx', ['-c', `${dir}/nginx.conf`], { stdio: 'inherit' });
await new Promise((r) => setTimeout(r, 1000));
const browser = await playwright.launch({ executablePath: demandChromium(), args: ['--no-sandbox', '--disable-gpu', '--host-resolver-rules=MAP lark.example 127.0.0.1', `--ignore-certificate-errors-spki-list=${spki}`, '--user-data-dir=/tmp/nginx-try/profile'] }).catch(async () => playwright.launch({ executablePath: demandChromium(), args: ['--no-sandbox', '--disable-gpu', '--host-resolver-rules=MAP lark.example 127.0.0.1', `--ignore-certificate-errors-spki-list=${spki}`] }));
const log = (...words) => console.log(...words);
try {
  const at = `https://lark.example:${https}`;
  const teacher = await (await browser.newContext()).newPage();
  await teacher.goto(`http://lark.example:${http}/`);
  log('plain http ends at', teacher.url());
  await teacher.evaluate(async () => { await fetch('/api/demo/session', { method: 'POST', headers: { 'x-soft-lark': '1', 'content-type': 'application/json' }, body: '{}' }); });
  await teacher.goto(`${at}/students`);
  await teacher.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await teacher.getByRole('button', { name: 'More', exact: true }).click();
  await teacher.getByRole('menuitem', { name: 'Practice link' }).click();
  const dialog = teacher.getByRole('dialog', { name: 'Practice link' });
  await dialog.getByRole('button', { name: 'Make a link' }).click();
  const link = await dialog.getByRole('textbox', { name: 'Practice link' }).inputValue();
  log('link', link.replace(/[^/]{20,}$/, '…'));
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
  const phone = await context.newPage();
  const errors = [];
  phone.on('pageerror', (e) => errors.push(String(e)));
  await phone.goto(link);
  await phone.getByRole('button', { name: /^Before the late shift/ }).waitFor();
  log('secure context', await phone.evaluate(() => isSecureContext), 'sw', await phone.evaluate(() => navigator.serviceWorker.ready.then((r) => r.active?.state)));
  await phone.reload();
  await phone.getByRole('button', { name: /^Before the late shift/ }).tap();
  for (const answer of ['not at all', 'as usual', 'no']) await phone.getByRole('radio', { name: answer, exact: true }).tap();
  await phone.getByRole('button', { name: 'Begin' }).tap();
  await phone.getByRole('button', { name: 'Start' }).waitFor();
  await context.setOffline(true);
  await phone.reload();
  log('offline:', await phone.getByRole('heading', { level: 1 }).textContent());
  while ((await phone.locator('output svg, main output').first().textContent())?.includes(':')) await phone.getByRole('button', { name: 'Skip', exact: true }).tap();
  await phone.evaluate(() => { const Real = AudioContext; });
  await phone.getByRole('button', { name: 'Start' }).tap();
  await phone.getByRole('button', { name: 'Pause' }).waitFor();
  await phone.waitForTimeout(4000);
  log('sounds put by', await phone.evaluate(async () => { const found = []; for (const n of await caches.keys()) for (const r of await (await caches.open(n)).keys()) if (r.url.includes('/sounds/')) found.push(r.url); return found.length; }));
  await phone.screenshot({ path: '/tmp/looks/nginx-phone.png' });
  await phone.getByRole('button', { name: 'Stop', exact: true }).tap();
  await phone.getByRole('button', { name: 'Enough for today' }).tap();
  await phone.getByRole('button', { name: 'easy', exact: true }).tap();
  await phone.getByRole('button', { name: 'Done' }).tap();
  await phone.getByText('Kept on this device.').waitFor();
  await context.setOffline(false);
  await phone.getByText('Kept on this device.').waitFor({ state: 'hidden' });
  await teacher.goto(`${at}/log`);
  log('in the log', await teacher.getByRole('row', { name: /Maud Pellow.*at home/ }).count(), 'errors', errors);
} catch (error) { console.error(String(error).slice(0, 600)); } finally {
  await browser.close(); nginx.kill(); await server.stop(); cluster.stop();
}
