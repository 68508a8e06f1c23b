// npm test: installs what is missing, then every check there is, and one line at the end that sums them up.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import './ending.mjs';
import { installPackages } from './postgres.mjs';
import { CHROMIUM_PACKAGE, chromium, ensureBuilt, ensurePackages, project, run } from './run.mjs';

const isQuick = process.argv.includes('--quick');
// A quarter less time goes into tidying memory: young things are many here, and the machine has room for them.
process.env.NODE_OPTIONS = `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`;
const say = (text) => console.log(`\n— ${text}`);
const results = join(project, 'test-results');
let passed = 0;
let failed = 0;

/** One check; what it says stands together under its name, whatever ran beside it. */
async function check(name, command, args) {
  const said = [];
  const code = await run(command, args, {
    stdio: ['ignore', 'pipe', 'pipe'],
    onOutput: (chunk) => said.push(chunk),
  });
  say(name);
  process.stdout.write(Buffer.concat(said));
  if (code === 0) passed += 1;
  else failed += 1;
}

/** Checks one after the other. */
async function inTurn(checks) {
  for (const one of checks) await check(...one);
}

/** Counts of a runner that wrote a JSON report. */
function count(file, read) {
  try {
    const [good, bad] = read(JSON.parse(readFileSync(join(results, file), 'utf8')));
    passed += good;
    failed += bad;
    return good + bad;
  } catch {
    return 0;
  }
}

async function suite(name, args, file, read) {
  say(name);
  const code = await new Promise((resolve) => {
    spawn('npx', args, {
      cwd: project,
      stdio: 'inherit',
      env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, file) },
    }).on('exit', resolve);
  });
  const ran = count(file, read);
  // A runner that failed without a single failed test, or ran none, did not do its work.
  if (ran === 0 || (code !== 0 && failed === 0)) failed += 1;
}

await ensurePackages(say);
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
// What is built first is what the others look at; then two of them at a time, the longest alone.
say('types and build');
try {
  await ensureBuilt(console.log);
  passed += 1;
} catch (error) {
  console.log(error.message);
  failed += 1;
}
await Promise.all([
  check('lint', 'npx', ['eslint', '.', '--max-warnings', '0']),
  inTurn([
    // The build has looked at the page’s, its tests among them.
    ['types of tests', 'npm', ['run', '--silent', 'types:beside']],
    ['format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
    ['dependency rules', 'npm', ['run', '--silent', 'rules']],
    ['nothing unused', 'npx', ['knip', '--no-progress']],
  ]),
]);
await suite(
  'unit tests and API on PostgreSQL',
  ['jest', '--json', '--outputFile', join(results, 'jest.json'), '--silent'],
  'jest.json',
  (report) => [report.numPassedTests, report.numFailedTests + report.numRuntimeErrorTestSuites],
);
if (!isQuick) {
  if (!chromium()) installPackages([CHROMIUM_PACKAGE], say);
  await ensureBuilt(say);
  await suite(
    'journeys in the browser',
    ['playwright', 'test', '--config', 'e2e/playwright.config.ts'],
    'playwright.json',
    ({ stats }) => [stats.expected + stats.flaky, stats.unexpected],
  );
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
