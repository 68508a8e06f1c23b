// npm run bench: every figure the project promises, measured here and now, as a table with its target.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort, startCluster } from './postgres.mjs';
import { chromium, ensureBuilt, ensurePackages, project } from './run.mjs';
import { serve } from './serve.mjs';

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Seconds from `npm start` to a page that answers, everything being installed and built. */
async function warmStart() {
  const port = await freePort();
  const began = performance.now();
  const child = spawn('node', ['scripts/start.mjs'], {
    cwd: project,
    env: { ...process.env, PORT: String(port) },
    stdio: 'ignore',
  });
  for (;;) {
    const answer = await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => null);
    if (answer?.ok) break;
    if (child.exitCode !== null) throw new Error('npm start ended before it answered.');
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const seconds = (performance.now() - began) / 1000;
  child.kill('SIGINT');
  await new Promise((resolve) => child.once('exit', resolve));
  return seconds;
}

await ensurePackages(console.log);
await ensureBuilt(console.log);
const { coreFigures } = await import('../bench/core-figures.mjs');
const { pageFigures } = await import('../bench/page-figures.mjs');
const { thinkFigures } = await import('../bench/think-figures.mjs');
const { shelfFigures } = await import('../bench/shelf-figures.mjs');
const { printTable } = await import('../bench/table.mjs');
const figures = [...(await coreFigures()), ...(await thinkFigures())];
const cluster = await startCluster(project, 'bench-database', { durable: false });
cluster.dropDatabase('bench');
cluster.createDatabase('bench');
const port = await freePort();
const server = await serve({ databaseUrl: cluster.url('bench'), port, quiet: true, env: { LOG_LEVEL: 'silent' } });
try {
  const address = `http://127.0.0.1:${port}`;
  const page = { address, folder: join(project, 'web/dist'), executablePath: chromium(), flags: FLAGS };
  figures.push(...(await pageFigures(page)), ...(await shelfFigures(page)));
} finally {
  await server.stop();
  cluster.stop();
}
figures.push({
  name: 'warm npm start to a page that answers',
  value: await warmStart(),
  unit: 's',
  target: 20,
  isCeiling: true,
});
process.exit(printTable(figures) ? 0 : 1);
