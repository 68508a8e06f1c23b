import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { startCluster } from '../postgres.mjs';

const project = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** A cluster for tests alone, so that no test can touch a studio's data. */
export default async function startDatabase() {
  const cluster = await startCluster(project, 'test-database', { durable: false });
  process.env.TEST_DATABASE_SERVER = cluster.url('');
  globalThis.testCluster = cluster;
}
