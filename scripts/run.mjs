// Small things the scripts share: running a program, knowing what is stale, finding the machine's programs.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { onEnd } from './ending.mjs';

/** A setting up that cannot go on; the message says what to do. */
export class SetUpError extends Error {}

export const project = join(dirname(fileURLToPath(import.meta.url)), '..');
const stamps = join(project, '.soft-lark');

/** Runs a program to its end, its output shown as it comes or, where that is piped, handed on. @returns {Promise<number>} its exit code */
export function run(command, args, { onOutput, ...options } = {}) {
  return new Promise((resolve) => {
    // A group of its own, so that ending it ends what it started, too.
    const child = spawn(command, args, { cwd: project, stdio: 'inherit', detached: true, ...options });
    child.stdout?.on('data', (chunk) => onOutput?.(chunk));
    child.stderr?.on('data', (chunk) => onOutput?.(chunk));
    const isDone = onEnd(() => killGroup(child.pid));
    child.on('exit', (code) => {
      isDone();
      resolve(code ?? 1);
    });
    child.on('error', () => {
      isDone();
      resolve(127);
    });
  });
}

function killGroup(pid) {
  try {
    process.kill(-pid, 'SIGTERM');
  } catch {
    // It has ended by itself.
  }
}

/** The newest change in some folders, milliseconds. */
function newest(path) {
  if (!existsSync(path)) return 0;
  const { mtimeMs } = statSync(path);
  if (!statSync(path).isDirectory()) return mtimeMs;
  return readdirSync(path, { withFileTypes: true })
    .filter(({ name }) => !['node_modules', 'dist', 'sounds'].includes(name))
    .reduce((latest, { name }) => Math.max(latest, newest(join(path, name))), 0);
}

function stampOf(name) {
  const file = join(stamps, name);
  return existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
}

function stamp(name, value) {
  mkdirSync(stamps, { recursive: true });
  writeFileSync(join(stamps, name), String(value));
}

/** Installs the packages of the lock file if it changed since the last time. */
export async function ensurePackages(say) {
  const installed = newest(join(project, 'node_modules/.package-lock.json'));
  if (installed >= newest(join(project, 'package-lock.json'))) return;
  say('installing packages (a minute or two)');
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error'];
  if ((await run('npm', args)) !== 0) throw new SetUpError('npm ci failed; its own words are above.');
  utimesSync(join(project, 'node_modules/.package-lock.json'), new Date(), new Date());
}

const SOURCES = [
  'core/src',
  'core/package.json',
  'server/src',
  'server/package.json',
  'web/src',
  'web/public/soft-lark.svg',
  'web/index.html',
  'web/vite.config.ts',
  'tsconfig.base.json',
];

/** Builds everything if a source changed since the last build. */
export async function ensureBuilt(say) {
  const changed = Math.max(...SOURCES.map((path) => newest(join(project, path))));
  if (
    existsSync(join(project, 'web/dist/index.html')) &&
    existsSync(join(project, 'server/dist/main.js')) &&
    stampOf('built') >= changed
  )
    return;
  say('building');
  if ((await run('npm', ['run', '--silent', 'build'])) !== 0)
    throw new SetUpError('The build failed; its own words are above.');
  stamp('built', changed);
}

/** The Debian package journeys and pictures are made with: Chromium without its windows, an eighth less work. */
export const CHROMIUM_PACKAGE = 'chromium-headless-shell';

/** Chromium of the machine, or null. */
export function chromium() {
  return [`/usr/bin/${CHROMIUM_PACKAGE}`, '/usr/bin/chromium'].find(existsSync) ?? null;
}

/** Chromium of the machine. @throws SetUpError where there is none, with the line that installs it */
export function demandChromium() {
  const found = chromium();
  if (found) return found;
  throw new SetUpError(
    'There is no Chromium on this machine. Run this once, then try again:  apt-get install -y ' + CHROMIUM_PACKAGE,
  );
}

/** Whether a program answers. */
export function has(command) {
  return spawnSync(command, ['--version'], { stdio: 'ignore' }).status === 0;
}
