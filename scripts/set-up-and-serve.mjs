// Installs what is missing, builds what changed, starts a private database, fills the demo, serves, and stops it all again.
import { createServer } from 'node:net';
import { join } from 'node:path';
import { end, isOver, onEnd } from './ending.mjs';
import { freePort, startCluster } from './postgres.mjs';
import { ensureBuilt, ensurePackages, project, SetUpError } from './run.mjs';
import { serve } from './serve.mjs';
import { inWords } from './trouble.mjs';

const isFresh = process.argv.includes('--fresh');
const { DATABASE_URL, PORT, HOST = '127.0.0.1' } = process.env;
const USUAL_PORT = 4600;
const DATABASE = 'soft_lark';
/** A server that is killed comes back, but not for ever. */
const MOST_RETURNS = 5;
const RETURNS_WITHIN_MS = 60_000;
const WATCH_EVERY_MS = 2000;
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

/** The database to serve: the one that is named, or a private cluster, which is stopped again if it was started here. */
async function database() {
  if (DATABASE_URL) return { url: DATABASE_URL, watch: () => undefined };
  const cluster = await startCluster(project, 'database', { say });
  if (!cluster.reused) onEnd(cluster.stop);
  else say('the database is running already');
  if (isFresh) {
    say('making new demo data');
    cluster.dropDatabase(DATABASE);
  }
  cluster.createDatabase(DATABASE);
  return { url: cluster.url(DATABASE), watch: () => watch(cluster) };
}

/** A database that was killed is started again; the server finds it by itself. */
function watch(cluster) {
  let isBusy = false;
  setInterval(() => {
    if (isBusy || isOver() || cluster.isRunning()) return;
    isBusy = true;
    say('the database is gone; starting it again');
    cluster
      .startAgain()
      .then(() => say('the database is back'))
      .catch((error) => say(error.message))
      .finally(() => {
        isBusy = false;
      });
  }, WATCH_EVERY_MS).unref();
}

/** Serves, and again where the server ended by itself. */
async function serveOn(settings, returns = []) {
  const server = await serve(settings);
  const isDone = onEnd(server.stop);
  server.child.once('exit', () => {
    isDone();
    if (isOver()) return;
    const lately = returns.filter((at) => Date.now() - at < RETURNS_WITHIN_MS);
    if (lately.length >= MOST_RETURNS) {
      console.error('\n  The server ended again and again; its own words are above.\n');
      return void end(1);
    }
    say('the server is gone; starting it again');
    serveOn(settings, [...lately, Date.now()]).then(() => say('the server is back'), fail);
  });
}

function fail(error) {
  console.error(`\n  ${inWords(error, DATABASE_URL)}\n`);
  return end(1);
}

async function main() {
  console.log('\nSoft Lark');
  await ensurePackages(say);
  await ensureBuilt(say);
  const port = await choosePort();
  const { url, watch: watchDatabase } = await database();
  const settings = {
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    BACKUP_FOLDER: process.env.BACKUP_FOLDER ?? join(project, '.soft-lark/backups'),
  };
  say('starting the server; the first time it fills the demo studio');
  await serveOn({ databaseUrl: url, port, host: HOST, env: settings });
  watchDatabase();
  say('ready');
  console.log(`\n  Open  http://${HOST}:${port}\n  Ctrl-C stops everything.\n`);
}

main().catch((error) => {
  if (!isOver()) void fail(error);
});
