// npm run dev: the server on the private database, rebuilt and restarted on change, and the pages with hot reload.
import { spawn } from 'node:child_process';
import { watch } from 'node:fs';
import { join } from 'node:path';
import { startCluster } from './postgres.mjs';
import { ensurePackages, project, run } from './run.mjs';
import { serve } from './serve.mjs';

const PORT = 4600;
const QUIET_MS = 400;

await ensurePackages(console.log);
const cluster = await startCluster(project, 'database', { say: console.log });
cluster.createDatabase('soft_lark');
let server;
let timer;

async function restart() {
  if ((await run('npx', ['tsc', '-b', 'core', 'server'])) !== 0) return;
  await server?.stop();
  server = await serve({ databaseUrl: cluster.url('soft_lark'), port: PORT, env: { WEB_FOLDER: '' } });
}

await run('node', ['scripts/copy-sounds.mjs']);
await restart();
for (const folder of ['core/src', 'server/src']) {
  watch(join(project, folder), { recursive: true }, () => {
    clearTimeout(timer);
    timer = setTimeout(() => void restart(), QUIET_MS);
  });
}
const pages = spawn('npx', ['vite'], { cwd: join(project, 'web'), stdio: 'inherit' });
process.on('SIGINT', async () => {
  pages.kill();
  await server?.stop();
  cluster.stop();
  process.exit(0);
});
