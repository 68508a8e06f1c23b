// Writes server/openapi.json from the code and the web's types from it.
import { execFileSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { startCluster } from './postgres.mjs';

const project = join(dirname(fileURLToPath(import.meta.url)), '..');
const cluster = await startCluster(project, 'test-database', { durable: false });
cluster.dropDatabase('open_api');
cluster.createDatabase('open_api');
const env = { ...process.env, DATABASE_URL: cluster.url('open_api'), DEMO: 'off' };
const target = join(project, 'server/openapi.json');
execFileSync('node', [join(project, 'server/dist/write-open-api.js'), target], { env, stdio: 'inherit' });
execFileSync('npx', ['openapi-typescript', target, '-o', join(project, 'web/src/api/schema.gen.ts')], {
  stdio: 'inherit',
});
if (!cluster.reused) cluster.stop();
