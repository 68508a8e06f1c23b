// npm run password -- name@example.org: a new password for an account whose holder has lost it, on this machine's database.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { startCluster } from './postgres.mjs';
import { ensureBuilt, ensurePackages, project } from './run.mjs';

const [, , email] = process.argv;
if (!email) {
  console.error('Give the address of the account:  npm run password -- name@example.org');
  process.exit(1);
}
await ensurePackages(console.log);
await ensureBuilt(console.log);
const cluster = process.env.DATABASE_URL ? null : await startCluster(project, 'database', { say: console.log });
const env = { ...process.env, DATABASE_URL: process.env.DATABASE_URL ?? cluster.url('soft_lark') };
const { status } = spawnSync('node', [join(project, 'server/dist/reset-password.js'), email], {
  env,
  stdio: 'inherit',
});
if (cluster && !cluster.reused) cluster.stop();
process.exit(status ?? 1);
