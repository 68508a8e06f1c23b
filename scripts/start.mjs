// npm start: installs what is missing, builds what changed, starts a private database, fills the demo, serves.
import { createServer } from 'node:net';
import { freePort, SetUpError, startCluster } from './postgres.mjs';
import { ensureBuilt, ensurePackages, project } from './run.mjs';
import { serve } from './serve.mjs';

const isFresh = process.argv.includes('--fresh');
const { DATABASE_URL, PORT, HOST = '127.0.0.1' } = process.env;
const USUAL_PORT = 4600;
const DATABASE = 'soft_lark';
const began = Date.now();
const say = (text) => console.log(`  ${((Date.now() - began) / 1000).toFixed(1).padStart(5)} s  ${text}`);

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, HOST, () => probe.close(() => resolve(true)));
  });
}

async function choosePort() {
  const wanted = Number(PORT ?? USUAL_PORT);
  if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65_535)
    throw new SetUpError(`PORT is “${PORT}”; give a number from 1 to 65535.`);
  if (await isFree(wanted)) return wanted;
  const other = await freePort();
  if (PORT)
    throw new SetUpError(
      `Port ${wanted} is taken by another program. Start again with a free one:  PORT=${other} npm start`,
    );
  say(`port ${wanted} is taken by another program; using ${other} instead`);
  return other;
}

async function database() {
  if (DATABASE_URL) return { url: DATABASE_URL, stop: () => undefined, watch: () => undefined };
  const cluster = await startCluster(project, 'database', { say });
  if (cluster.reused) say('the database is running already');
  if (isFresh) {
    say('making new demo data');
    cluster.dropDatabase(DATABASE);
  }
  cluster.createDatabase(DATABASE);
  return {
    url: cluster.url(DATABASE),
    stop: cluster.reused ? () => undefined : cluster.stop,
    watch: () => watch(cluster),
  };
}

/** A database that was killed is started again; the server finds it by itself. */
function watch(cluster) {
  let isBusy = false;
  setInterval(() => {
    if (isBusy || cluster.isRunning()) return;
    isBusy = true;
    say('the database is gone; starting it again');
    cluster
      .startAgain()
      .then(() => say('the database is back'))
      .catch((error) => say(error.message))
      .finally(() => {
        isBusy = false;
      });
  }, 2000).unref();
}

async function main() {
  console.log('\nSoft Lark');
  await ensurePackages(say);
  await ensureBuilt(say);
  const port = await choosePort();
  const { url, stop, watch: watchDatabase } = await database();
  say('starting the server; the first time it fills the demo studio');
  const server = await serve({
    databaseUrl: url,
    port,
    host: HOST,
    env: { LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn' },
  }).catch((error) => {
    stop();
    throw error;
  });
  let isStopping = false;
  const end = async (code) => {
    if (isStopping) return;
    isStopping = true;
    await server.stop();
    stop();
    process.exit(code);
  };
  process.on('SIGINT', () => void end(0));
  process.on('SIGTERM', () => void end(0));
  server.child.once('exit', () => void end(1));
  watchDatabase();
  say('ready');
  console.log(`\n  Open  http://${HOST}:${port}\n  Ctrl-C stops everything.\n`);
}

main().catch((error) => {
  console.error(error instanceof SetUpError ? `\n  ${error.message}\n` : error);
  process.exit(1);
});
