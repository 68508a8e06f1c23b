import { test as base } from '@playwright/test';
import { freePort, startCluster } from '../scripts/postgres.mjs';
import { project } from '../scripts/run.mjs';
import { serve } from '../scripts/serve.mjs';

/** The built application on a database of its own; journeys may stop and start either. */
export interface Studio {
  readonly address: string;
  readonly databaseUrl: string;
  readonly stopServer: () => Promise<void>;
  readonly startServer: () => Promise<void>;
  readonly killDatabase: () => void;
  readonly startDatabase: () => Promise<void>;
}

export const test = base.extend<{ baseURL: string }, { studio: Studio }>({
  studio: [
    async ({}, use, worker) => {
      const name = `journeys_${String(worker.workerIndex)}`;
      const cluster = await startCluster(project, `journeys-${String(worker.parallelIndex)}`, { durable: false });
      cluster.dropDatabase(name);
      cluster.createDatabase(name);
      const port = await freePort();
      const start = () =>
        serve({
          databaseUrl: cluster.url(name),
          port,
          quiet: true,
          env: { LOG_LEVEL: 'silent', SIGN_IN_TRIES: '100' },
        });
      let server = await start();
      await use({
        address: `http://127.0.0.1:${String(port)}`,
        databaseUrl: cluster.url(name),
        stopServer: () => server.stop(),
        startServer: async () => {
          server = await start();
        },
        killDatabase: cluster.kill,
        startDatabase: cluster.startAgain,
      });
      await server.stop();
      cluster.stop();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  baseURL: async ({ studio }, use) => {
    await use(studio.address);
  },
});

export { expect } from '@playwright/test';
