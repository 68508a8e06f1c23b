// npm run bench: every figure the project promises, measured here and now, as a table with its target.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort, startCluster } from './postgres.mjs';
import { demandChromium, ensureBuilt, ensurePackages, project } from './run.mjs';
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

/** A Wednesday afternoon of the demo studio, with lessons to come, whatever day it is. */
const DEMO_DAY = { SOFT_LARK_NOW: '2026-11-25T15:18:00Z' };

const TABLES = ['core', 'think', 'drafts', 'year', 'page', 'slow', 'timing', 'walls', 'size', 'carry', 'start'];

/** Which tables are wanted: all, or those named behind the command. */
const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !TABLES.includes(name));
if (unknown.length > 0) {
  console.error(`There is no table “${unknown[0]}”; there are ${TABLES.join(', ')}.`);
  process.exit(1);
}
const isWanted = (name) => wanted.length === 0 || wanted.includes(name);

await ensurePackages(console.log);
await ensureBuilt(console.log);
const { printTable } = await import('../bench/table.mjs');

/** What a table measures on a server of its own, with an empty database. */
async function onServer(database, env, measure) {
  const cluster = await startCluster(project, 'bench-database', { durable: false });
  cluster.dropDatabase(database);
  cluster.createDatabase(database);
  const port = await freePort();
  const databaseUrl = cluster.url(database);
  const server = await serve({ databaseUrl, port, quiet: true, env: { LOG_LEVEL: 'silent', ...env } });
  try {
    return await measure({ address: `http://127.0.0.1:${port}`, databaseUrl, pid: server.child.pid });
  } finally {
    await server.stop();
    cluster.dropDatabase(database);
    cluster.stop();
  }
}

/** What a table measures in Chromium, on the demo studio of a day. */
function inChromium(database, figures) {
  return onServer(database, DEMO_DAY, ({ address }) =>
    figures({ address, executablePath: demandChromium(), flags: FLAGS }),
  );
}

const MEASURE = {
  core: async () => (await import('../bench/core-figures.mjs')).coreFigures(),
  think: async () => (await import('../bench/think-figures.mjs')).thinkFigures(),
  drafts: async () => (await import('../bench/draft-figures.mjs')).draftFigures(),
  year: async () => (await import('../bench/year-figures.mjs')).yearFigures(),
  page: () =>
    onServer('bench', DEMO_DAY, async ({ address }) => {
      const { pageFigures } = await import('../bench/page-figures.mjs');
      const { shelfFigures } = await import('../bench/shelf-figures.mjs');
      const page = { address, folder: join(project, 'web/dist'), executablePath: demandChromium(), flags: FLAGS };
      return [...(await pageFigures(page)), ...(await shelfFigures(page))];
    }),
  slow: async () => inChromium('slow', (await import('../bench/slow-figures.mjs')).slowFigures),
  timing: async () => inChromium('timing', (await import('../bench/timing-figures.mjs')).timingFigures),
  walls: () =>
    onServer('walls', { DEMO: 'off' }, async (server) =>
      (await import('../bench/walls-figures.mjs')).wallsFigures(server),
    ),
  size: () =>
    onServer('size', { DEMO: 'off' }, async (server) =>
      (await import('../bench/size-figures.mjs')).sizeFigures(server),
    ),
  carry: () =>
    onServer('carry', { DEMO: 'off' }, async (server) =>
      (await import('../bench/carry-figures.mjs')).carryFigures(server),
    ),
  start: async () => [
    {
      name: 'warm npm start to a page that answers',
      value: await warmStart(),
      unit: 's',
      target: 20,
      isCeiling: true,
    },
  ],
};

let isMet = true;
for (const name of TABLES.filter(isWanted)) {
  console.log(`\n${name}`);
  isMet = printTable(await MEASURE[name]()) && isMet;
}
process.exit(isMet ? 0 : 1);
